package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.WaitsAtClient;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Words;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Tasks that were sent to somebody of the client's. */
@Component
class TasksAtClient implements WaitsAtClient {
    private final Tasks tasks;
    private final Seats seats;
    private final KeepPlan keepPlan;
    private final Words words;
    private final AuditLog audit;
    private final Clock clock;

    TasksAtClient(Tasks tasks, Seats seats, KeepPlan keepPlan, Words words, AuditLog audit, Clock clock) {
        this.tasks = tasks;
        this.seats = seats;
        this.keepPlan = keepPlan;
        this.words = words;
        this.audit = audit;
        this.clock = clock;
    }

    @Override
    public List<Waiting> in(ProjectId project, Optional<PaneId> pane) {
        return tasks.ofProject(project).stream()
                .filter(task -> ProjectPlan.isClientsTurn(task)
                        && task.hands().contact().isPresent()
                        && (pane.isEmpty() || seesOnlyThrough(task, pane.get())))
                .map(task -> new Waiting(
                        task.id(),
                        task.name(),
                        words.first(task.hands().name()),
                        task.hands().contact()))
                .toList();
    }

    private boolean seesOnlyThrough(PlannedTask task, PaneId pane) {
        return seats.ofProject(task.project()).stream()
                .filter(seat -> seat.state() != SeatState.ENDED
                        && seat.contact().equals(task.hands().contact().orElseThrow()))
                .allMatch(seat -> seat.pane().equals(pane));
    }

    /** It is as if it had not been sent; once it is let go again it can be sent anew. */
    @Override
    public void bringBack(ItemId id, String because, Actor by) {
        PlannedTask planned = NotFound.unless(tasks.find(id));
        Task task = planned.task();
        tasks.change(
                planned.with(new Task(
                        task.id(),
                        task.parent(),
                        task.name(),
                        task.side(),
                        task.shape(),
                        task.stage(),
                        Task.Actual.NONE)),
                clock.instant());
        tasks.turned(id, TurnEvent.TASK_WITH_US, by, clock.instant());
        keepPlan.changed(planned.project());
        audit.append(
                planned.project(),
                id.value(),
                new PlanActs.TaskBroughtBack(by, planned.name(), planned.hands().name(), because));
    }
}
