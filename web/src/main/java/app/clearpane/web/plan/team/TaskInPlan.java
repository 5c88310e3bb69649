package app.clearpane.web.plan.team;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.usecases.plan.task.AgainForm;
import app.clearpane.usecases.plan.task.Assignees;
import app.clearpane.usecases.shell.Words;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Where a task stands in its plan. */
@Component
class TaskInPlan {
    private final StepBook stepBook;
    private final Assignees doers;
    private final Words words;

    TaskInPlan(StepBook stepBook, Assignees doers, Words words) {
        this.words = words;
        this.stepBook = stepBook;
        this.doers = doers;
    }

    private static final TeamMemberId NOBODY = new TeamMemberId(new UUID(0, 0));

    /** Puts it on a page. */
    void show(Model model, ProjectPlan plan, PlannedTask planned, List<Item> works) {
        ItemId task = planned.id();
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
        model.addAttribute("doers", doers.ofProject(plan.project().id()));
        model.addAttribute("doer", Assignees.value(planned));
        model.addAttribute(
                "helping",
                planned.details().also().helpers().stream()
                        .map(helper -> "m:" + helper.id().value())
                        .toList());
        model.addAttribute(
                "facts",
                TaskFacts.of(planned, plan, works.stream().collect(Collectors.toMap(Item::id, Item::name)), words));
    }
}
