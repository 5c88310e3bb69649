package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.WatchArrivals;
import app.clearpane.usecases.plan.KeepPlan;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Moves tasks from stage to stage, with what follows: whose turn it is, what may begin now, what comes again. */
@Component
public class MoveTask {
    private final Tasks tasks;
    private final WatchArrivals arrivals;
    private final KeepPlan keepPlan;
    private final TellDoer tellDoer;
    private final AuditLog audit;
    private final SetStage setStage;

    MoveTask(
            Tasks tasks,
            WatchArrivals arrivals,
            KeepPlan keepPlan,
            TellDoer tellDoer,
            AuditLog audit,
            SetStage setStage) {
        this.setStage = setStage;
        this.tasks = tasks;
        this.arrivals = arrivals;
        this.keepPlan = keepPlan;
        this.tellDoer = tellDoer;
        this.audit = audit;
    }

    /**
     * Moves a task; of one that gathers others, all leaves that are not there yet. @return the stage it had, and its
     * project
     */
    @Transactional
    public Moved move(ItemId id, Stage stage, Actor by) {
        PlannedTask task = NotFound.unless(tasks.find(id));
        arrivals.watch(task.project(), by);
        ProjectPlan before = keepPlan.changed(task.project());
        Stage was = before.outline().stage(id);
        List<Task> leaves = before.outline().leavesOf(id);
        leaves.forEach(leaf -> setStage.set(before.task(leaf.id()).orElseThrow(), stage, by));
        after(task.project(), by);
        if (stage == was) {
            return new Moved(task.project(), was);
        }
        audit.append(task.project(), id.value(), new PlanActs.TaskMoved(act(stage), by, task.name(), was));
        return new Moved(task.project(), was);
    }

    private static Act act(Stage stage) {
        return switch (stage) {
            case TO_DO -> Act.TASK_TO_DO;
            case UNDER_WAY -> Act.TASK_UNDER_WAY;
            case IN_CHECK -> Act.TASK_IN_CHECK;
            case DONE -> Act.TASK_DONE;
            case DROPPED -> Act.TASK_DROPPED;
        };
    }

    /** Where a task was moved from. */
    public record Moved(ProjectId project, Stage was) {}

    /** What waited for it may begin: what the client's people are to do is sent to them. */
    private void after(ProjectId project, Actor by) {
        ProjectPlan plan = keepPlan.changed(project);
        boolean sent = false;
        for (PlannedTask task : plan.open()) {
            sent |= tellDoer.ifReady(plan, task, by);
        }
        if (sent) {
            keepPlan.changed(project);
        }
    }
}
