package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.KeepPlan;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Moves tasks to a step of their project. */
@Component
public class MoveToStep {
    private final Tasks tasks;
    private final TaskSteps steps;
    private final KeepPlan keepPlan;
    private final MoveTask moveTask;
    private final AuditLog audit;

    MoveToStep(Tasks tasks, TaskSteps steps, KeepPlan keepPlan, MoveTask moveTask, AuditLog audit) {
        this.tasks = tasks;
        this.steps = steps;
        this.keepPlan = keepPlan;
        this.moveTask = moveTask;
        this.audit = audit;
    }

    /**
     * Moves a task to a step of its project, as a form says it. @return the step it was at, and its project @throws
     * Refused if there is no such step
     */
    @Transactional
    public Stepped toStep(ItemId id, String step, Actor by) {
        PlannedTask task = NotFound.unless(tasks.find(id));
        TaskSteps.OfProject known = steps.ofProject(task.project());
        Steps.Step wanted = known.steps()
                .read(step)
                .orElseThrow(() -> Refused.changedMeanwhile(
                        "There is no such step any more; the names of the steps were changed meanwhile. "
                                + "Nothing was moved."));
        ProjectPlan before = keepPlan.changed(task.project());
        Steps.Step was = known.stepOf(id, before.outline().stage(id));
        moveTask.move(id, wanted.stage(), by);
        before.outline().leavesOf(id).forEach(leaf -> steps.put(leaf.id(), wanted));
        keepPlan.changed(task.project());
        if (was.stage() == wanted.stage() && !was.equals(wanted)) {
            audit.append(
                    task.project(), id.value(), new PlanActs.TaskStepped(by, task.name(), was.name(), wanted.name()));
        }
        return new Stepped(task.project(), was);
    }

    /** The step a task was moved from. */
    public record Stepped(ProjectId project, Steps.Step was) {}

    /** Moves several tasks to a step. */
    @Transactional
    public void all(List<ItemId> ids, String step, Actor by) {
        ids.forEach(id -> toStep(id, step, by));
    }
}
