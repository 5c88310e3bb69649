package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.project.Project;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** One task. */
@TeamController
@ForOutsideMakers
class TaskController {
    private final PlanBook book;
    private final TeamSight sight;
    private final ProjectFrame frame;
    private final Windows windows;
    private final Markups markups;
    private final BesideTask beside;
    private final TaskInPlan inPlan;

    TaskController(
            PlanBook book,
            ProjectFrame frame,
            Windows windows,
            Markups markups,
            TeamSight sight,
            BesideTask beside,
            TaskInPlan inPlan) {
        this.inPlan = inPlan;
        this.beside = beside;
        this.markups = markups;
        this.book = book;
        this.sight = sight;
        this.frame = frame;
        this.windows = windows;
    }

    /** Something that holds the start of a task. @param whose who has it */
    public record Holder(ItemId id, String name, String whose) {
        static Holder of(PlannedTask task) {
            boolean client = task.task().side() == Side.CLIENTS;
            return new Holder(
                    task.id(),
                    task.name(),
                    ProjectPlan.isClientsTurn(task)
                            ? "which is with the client"
                            : client && task.task().actual().began().isEmpty()
                                    ? "which was not sent to the client yet"
                                    : "which is with us");
        }
    }

    @GetMapping("/t/tasks/{task}")
    String one(@PathVariable ItemId task, @AuthenticationPrincipal Person.OfTeam me, Model model) {
        Markups.Origin found = NotFound.unless(markups.origin(task));
        Project project = frame.above(model, found.project(), "Plan");
        ProjectPlan plan = book.planOf(project);
        PlannedTask planned = NotFound.unless(plan.task(task));
        Windows.All all = windows.all(project.id());
        model.addAttribute("window", all.windows().get(task));
        model.addAttribute(
                "holders", plan.holdsStart(task).stream().map(Holder::of).toList());
        List<Item> works = all.there(ContentKind.DELIVERABLES);
        model.addAttribute("works", works);
        inPlan.show(model, plan, planned, works);
        model.addAttribute("mark", found.mark());
        model.addAllAttributes(beside.read(task, project.id(), me));
        model.addAttribute("saysToClient", sight.saysToClient(project.id()));
        return "plan/task";
    }
}
