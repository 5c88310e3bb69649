package app.clearpane.web.plan.team;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.turns.TurnLedger;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.hours.SpendTime;
import app.clearpane.usecases.plan.AgainForm;
import app.clearpane.usecases.plan.Assignees;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** One task. */
@TeamController
@ForOutsideMakers
class TaskController {
    private static final TeamMemberId NOBODY = new TeamMemberId(new UUID(0, 0));
    private final PlanBook book;
    private final SpendTime spendTime;
    private final TeamSight sight;
    private final TaskFiles taskFiles;
    private final Tasks tasks;
    private final StepBook stepBook;
    private final Assignees doers;
    private final ProjectFrame frame;
    private final Windows windows;
    private final TheAgency agency;
    private final Markups markups;
    private final Words words;

    TaskController(
            PlanBook book,
            SpendTime spendTime,
            TaskFiles taskFiles,
            Tasks tasks,
            StepBook stepBook,
            Assignees doers,
            ProjectFrame frame,
            Windows windows,
            TheAgency agency,
            Markups markups,
            TeamSight sight,
            Words words) {
        this.words = words;
        this.markups = markups;
        this.book = book;
        this.spendTime = spendTime;
        this.sight = sight;
        this.taskFiles = taskFiles;
        this.tasks = tasks;
        this.stepBook = stepBook;
        this.doers = doers;
        this.frame = frame;
        this.windows = windows;
        this.agency = agency;
    }

    /** How long each side held a task. */
    record Held(double ours, double clients, Turn holder) {}

    @GetMapping("/t/tasks/{task}")
    String one(@PathVariable ItemId task, @AuthenticationPrincipal Person.OfTeam me, Model model) {
        Markups.Origin found = NotFound.unless(markups.origin(task));
        Project project = frame.above(model, found.project(), "Plan");
        ProjectPlan plan = book.planOf(project);
        PlannedTask planned = NotFound.unless(plan.task(task));
        PlanLines lines = new PlanLines(plan, new PlanFilter("all", NOBODY, Optional.empty(), false));
        model.addAttribute("plan", plan);
        model.addAttribute("task", planned);
        PlanLines.Line line = lines.line(planned, 0);
        TaskSteps.OfProject steps = stepBook.stepsOf(plan);
        model.addAttribute("line", line);
        model.addAttribute("steps", steps.steps());
        model.addAttribute("step", steps.stepOf(task, line.stage()));
        model.addAttribute(
                "path",
                planned.task()
                        .parent()
                        .flatMap(plan::task)
                        .map(above -> plan.path(above.task()))
                        .orElse(""));
        model.addAttribute("again", AgainForm.of(planned.details().repeats()));
        model.addAttribute(
                "parts",
                plan.outline().parts(task).stream()
                        .map(part -> lines.line(plan.task(part.id()).orElseThrow(), 0))
                        .toList());
        model.addAttribute(
                "others",
                plan.tasks().stream()
                        .filter(other -> !other.id().equals(task))
                        .map(other -> new ProjectPlan.Named(other.id(), plan.path(other.task())))
                        .toList());
        model.addAttribute("begin", plan.begins(Optional.of(task)));
        model.addAttribute("doers", doers.ofProject(project.id()));
        model.addAttribute("doer", Assignees.value(planned));
        model.addAttribute(
                "helping",
                planned.details().also().helpers().stream()
                        .map(helper -> "m:" + helper.id().value())
                        .toList());
        Windows.All all = windows.all(project.id());
        model.addAttribute("window", all.windows().get(task));
        List<Item> works = all.there(ContentKind.DELIVERABLES);
        model.addAttribute("works", works);
        model.addAttribute(
                "facts",
                TaskFacts.of(planned, plan, works.stream().collect(Collectors.toMap(Item::id, Item::name)), words));
        model.addAttribute("comments", tasks.comments(task));
        model.addAttribute("held", held(task, project.id()));
        model.addAttribute("files", taskFiles.filesOf(task));
        model.addAttribute("mark", found.mark());
        model.addAttribute("spent", spendTime.spentOn(task, me));
        model.addAttribute("saysToClient", sight.saysToClient(project.id()));
        return "plan/task";
    }

    private Held held(ItemId task, ProjectId project) {
        TurnLedger ledger = Objects.requireNonNull(tasks.ledgers(project).get(task));
        return new Held(
                ledger.daysHeldBy(Turn.OURS, agency.now(), agency.calendar()),
                ledger.daysHeldBy(Turn.CLIENTS, agency.now(), agency.calendar()),
                ledger.holder());
    }
}
