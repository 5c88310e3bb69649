package app.clearpane.web.plan;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.turns.TurnLedger;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.plan.PlannedTask;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Project;
import app.clearpane.usecases.hours.SpendTime;
import app.clearpane.usecases.plan.AgainForm;
import app.clearpane.usecases.plan.Doers;
import app.clearpane.usecases.plan.DueForm;
import app.clearpane.usecases.plan.MoveTask;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.PlanTask;
import app.clearpane.usecases.plan.SayOfTask;
import app.clearpane.usecases.plan.TaskForm;
import app.clearpane.usecases.plan.ThePlan;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotThere;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import app.clearpane.web.exposure.Windows;
import app.clearpane.web.layout.ForOutsideMakers;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.project.ProjectFrame;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** One task. */
@TeamController
@ForOutsideMakers
class TaskController {
    private static final TeamMemberId NOBODY = new TeamMemberId(new UUID(0, 0));
    private final PlanBook book;
    private final PlanTask planTask;
    private final MoveTask moveTask;
    private final SayOfTask sayOfTask;
    private final SpendTime spendTime;
    private final TeamSight sight;
    private final TaskFiles taskFiles;
    private final Consequence consequence;
    private final Tasks tasks;
    private final StepBook stepBook;
    private final Doers doers;
    private final ProjectFrame frame;
    private final Windows windows;
    private final TheAgency agency;
    private final Markups markups;
    private final Words words;
    private final Clock clock;

    TaskController(
            PlanBook book,
            PlanTask planTask,
            MoveTask moveTask,
            SayOfTask sayOfTask,
            SpendTime spendTime,
            TaskFiles taskFiles,
            Consequence consequence,
            Tasks tasks,
            StepBook stepBook,
            Doers doers,
            ProjectFrame frame,
            Windows windows,
            TheAgency agency,
            Markups markups,
            Clock clock,
            TeamSight sight,
            Words words) {
        this.words = words;
        this.markups = markups;
        this.book = book;
        this.planTask = planTask;
        this.moveTask = moveTask;
        this.sayOfTask = sayOfTask;
        this.spendTime = spendTime;
        this.sight = sight;
        this.taskFiles = taskFiles;
        this.consequence = consequence;
        this.tasks = tasks;
        this.stepBook = stepBook;
        this.doers = doers;
        this.frame = frame;
        this.windows = windows;
        this.agency = agency;
        this.clock = clock;
    }

    /** How long each side held a task. */
    record Held(double ours, double clients, Turn holder) {}

    @GetMapping("/t/tasks/{task}")
    String one(@PathVariable ItemId task, @AuthenticationPrincipal Person.OfTeam me, Model model) {
        Markups.Origin found = NotThere.unless(markups.origin(task));
        Project project = frame.above(model, found.project(), "Plan");
        ThePlan plan = book.of(project);
        PlannedTask planned = NotThere.unless(plan.task(task));
        PlanLines lines = new PlanLines(plan, new PlanFilter("all", NOBODY, Optional.empty(), false));
        model.addAttribute("plan", plan);
        model.addAttribute("task", planned);
        PlanLines.Line line = lines.line(planned, 0);
        TaskSteps.OfProject steps = stepBook.of(plan);
        model.addAttribute("line", line);
        model.addAttribute("steps", steps.steps());
        model.addAttribute("step", steps.of(task, line.stage()));
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
                        .map(other -> new ThePlan.Named(other.id(), plan.path(other.task())))
                        .toList());
        model.addAttribute("begin", plan.begins(Optional.of(task)));
        model.addAttribute("doers", doers.of(project.id()));
        model.addAttribute("doer", Doers.value(planned));
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
        model.addAttribute("files", taskFiles.on(task));
        model.addAttribute("mark", found.mark());
        model.addAttribute("spent", spendTime.on(task, me));
        model.addAttribute("saysToClient", sight.saysToClient(project.id()));
        return "plan/task";
    }

    private Held held(ItemId task, ProjectId project) {
        TurnLedger ledger = Objects.requireNonNull(tasks.ledgers(project).get(task));
        return new Held(
                ledger.daysHeldBy(Turn.OURS, clock.instant(), agency.calendar()),
                ledger.daysHeldBy(Turn.CLIENTS, clock.instant(), agency.calendar()),
                ledger.holder());
    }

    @PostMapping("/t/tasks/{task}")
    String change(
            @PathVariable ItemId task,
            TaskForm form,
            DueForm due,
            AgainForm again,
            @AuthenticationPrincipal Person.OfTeam me) {
        planTask.change(task, form, due, again, me);
        return "redirect:/t/tasks/" + task;
    }

    @PostMapping("/t/tasks/{task}/hand-on")
    String handOn(
            @PathVariable ItemId task,
            @RequestParam(defaultValue = "") String doer,
            @AuthenticationPrincipal Person.OfTeam me) {
        planTask.handOn(task, doer, me);
        return "redirect:/t/people";
    }

    @PostMapping("/t/tasks/{task}/stage")
    String stage(
            @PathVariable ItemId task,
            @RequestParam String stage,
            @RequestParam(defaultValue = "") String from,
            @AuthenticationPrincipal Person me) {
        MoveTask.Stepped moved = moveTask.toStep(task, stage, me.actor());
        return from.equals("task")
                ? "redirect:/t/tasks/" + task
                : "redirect:/t/projects/" + moved.project() + "/plan?moved=" + task + "&was="
                        + moved.was().value();
    }

    @PostMapping("/t/projects/{project}/plan/shape")
    String shape(
            @PathVariable ProjectId project,
            @RequestParam ItemId task,
            @RequestParam String from,
            @RequestParam String to,
            @RequestParam int revision,
            @AuthenticationPrincipal Person.OfTeam me) {
        NotThere.unless(tasks.find(task).filter(found -> found.project().equals(project)));
        planTask.reshape(task, PlanController.day(from), days(from, to), revision, me);
        return "redirect:/t/projects/" + project + "/plan";
    }

    /** What moving or stretching a task would do, before it is done. */
    @GetMapping("/t/tasks/{task}/if")
    @ResponseBody
    ResponseEntity<List<String>> ifShaped(
            @PathVariable ItemId task, @RequestParam String from, @RequestParam String to) {
        PlannedTask found = NotThere.unless(tasks.find(task));
        ThePlan now = book.fresh(found.project());
        return ResponseEntity.ok(
                consequence.of(now, planTask.ifReshaped(task, PlanController.day(from), days(from, to)), task));
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

    @PostMapping("/t/tasks/{task}/comments")
    String say(
            @PathVariable ItemId task,
            @RequestParam String said,
            @RequestParam(defaultValue = "false") boolean teamOnly,
            @AuthenticationPrincipal Person.OfTeam me) {
        sayOfTask.byTeam(task, said, teamOnly, me);
        return "redirect:/t/tasks/" + task + "#said";
    }

    @PostMapping("/t/tasks/{task}/parts")
    String addPart(@PathVariable ItemId task, @RequestParam String line, @AuthenticationPrincipal Person.OfTeam me) {
        planTask.line(NotThere.unless(tasks.find(task)).project(), line, Optional.of(task), Optional.empty(), me);
        return "redirect:/t/tasks/" + task + "#parts";
    }

    @PostMapping("/t/tasks/{task}/delete")
    String delete(@PathVariable ItemId task, @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + planTask.delete(task, me.actor()) + "/plan?deleted=" + task;
    }

    @PostMapping("/t/tasks/{task}/restore")
    String restore(
            @PathVariable ItemId task,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        planTask.restore(task, sure, me.actor());
        return "redirect:/t/tasks/" + task;
    }
}
