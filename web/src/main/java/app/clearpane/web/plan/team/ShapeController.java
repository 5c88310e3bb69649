package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.task.ReshapeTask;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** How long a task takes and when it may begin, and what would follow from it. */
@TeamController
@ForOutsideMakers
class ShapeController {
    private final PlanBook book;
    private final Consequence consequence;
    private final Tasks tasks;
    private final TheAgency agency;
    private final ReshapeTask reshapeTask;

    ShapeController(PlanBook book, Consequence consequence, Tasks tasks, TheAgency agency, ReshapeTask reshapeTask) {
        this.reshapeTask = reshapeTask;
        this.agency = agency;
        this.book = book;
        this.consequence = consequence;
        this.tasks = tasks;
    }

    @PostMapping("/t/projects/{project}/plan/shape")
    String shape(
            @PathVariable ProjectId project,
            @RequestParam ItemId task,
            @RequestParam String from,
            @RequestParam String to,
            @RequestParam int revision,
            @AuthenticationPrincipal Person.OfTeam me) {
        NotFound.unless(tasks.find(task).filter(found -> found.project().equals(project)));
        reshapeTask.reshape(task, PlanController.day(from), days(from, to), revision, me);
        return "redirect:/t/projects/" + project + "/plan";
    }

    /** What moving or stretching a task would do, before it is done. */
    @GetMapping("/t/tasks/{task}/if")
    @ResponseBody
    ResponseEntity<List<String>> ifShaped(
            @PathVariable ItemId task, @RequestParam String from, @RequestParam String to) {
        PlannedTask found = NotFound.unless(tasks.find(task));
        ProjectPlan now = book.fresh(found.project());
        return ResponseEntity.ok(consequence.describe(
                now, reshapeTask.ifReshaped(task, PlanController.day(from), days(from, to)), task));
    }

    private int days(String from, String to) {
        LocalDate first = PlanController.day(from);
        LocalDate last = PlanController.day(to);
        return Math.max(
                1,
                last.toEpochDay() - first.toEpochDay() > 20_000
                        ? Integer.MAX_VALUE
                        : agency.calendar().workingDays(first, last.plusDays(1)));
    }
}
