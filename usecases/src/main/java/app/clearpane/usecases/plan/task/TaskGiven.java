package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.KeepPlan;
import app.clearpane.usecases.shell.TheAgency;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What follows when a task is somebody else’s now. */
@Component
class TaskGiven {
    private final Tasks tasks;
    private final TellDoer tellDoer;
    private final KeepPlan keepPlan;
    private final TheAgency agency;

    TaskGiven(Tasks tasks, TellDoer tellDoer, KeepPlan keepPlan, TheAgency agency) {
        this.tasks = tasks;
        this.tellDoer = tellDoer;
        this.keepPlan = keepPlan;
        this.agency = agency;
    }

    /** After a task was given to somebody else: whose turn it is, when it began for the client, and a mail. */
    void given(ProjectPlan plan, ItemId id, Optional<PlannedTask> before, Actor by) {
        PlannedTask task = plan.task(id).orElseThrow();
        boolean same = before.filter(was -> was.hands().equals(task.hands())
                        && was.task().side() == task.task().side())
                .isPresent();
        if (same) {
            return;
        }
        Side was = before.map(one -> ProjectPlan.isClientsTurn(one) ? Side.CLIENTS : Side.OURS)
                .orElse(Side.OURS);
        if (task.hands().contact().isPresent()) {
            if (tellDoer.ifReady(plan, task, by)) {
                keepPlan.changed(task.project());
            }
        } else if (was == Side.CLIENTS) {
            tasks.turned(id, TurnEvent.TASK_WITH_US, by, agency.now());
        }
    }
}
