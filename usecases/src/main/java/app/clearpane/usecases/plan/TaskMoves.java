package app.clearpane.usecases.plan;

import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.WatchArrivals;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Moves tasks that follow something else; whoever moves them says afterwards that the plan was changed. */
@Component
class TaskMoves {
    private final Tasks tasks;
    private final WatchArrivals arrivals;
    private final TheAgency agency;
    private final Clock clock;

    TaskMoves(Tasks tasks, WatchArrivals arrivals, TheAgency agency, Clock clock) {
        this.tasks = tasks;
        this.arrivals = arrivals;
        this.agency = agency;
        this.clock = clock;
    }

    void move(PlannedTask planned, Stage stage, TurnEvent what, Actor by) {
        move(planned, stage, what, Optional.empty(), by);
    }

    void move(PlannedTask planned, Stage stage, TurnEvent what, Optional<Task.Remaining> remaining, Actor by) {
        Task.Actual actual = new Task.Actual(
                planned.task().actual().began().or(() -> Optional.of(agency.today())),
                stage == Stage.DONE ? Optional.of(agency.today()) : Optional.empty(),
                remaining);
        put(planned, stage, actual, what, by);
    }

    /** It is as if it had not been sent. */
    void unsent(PlannedTask planned, Actor by) {
        put(planned, Stage.TO_DO, Task.Actual.NONE, TurnEvent.TASK_WITH_US, by);
    }

    private void put(PlannedTask planned, Stage stage, Task.Actual actual, TurnEvent what, Actor by) {
        Task task = planned.task();
        arrivals.watch(planned.project(), by);
        tasks.change(
                planned.with(new Task(task.id(), task.parent(), task.name(), task.side(), task.shape(), stage, actual)),
                clock.instant());
        tasks.turned(task.id(), what, by, clock.instant());
    }

    /** Has a task wait for another, so many working days after it. */
    void waits(PlannedTask planned, Task.After after, Actor by) {
        Task task = planned.task();
        arrivals.watch(planned.project(), by);
        List<Task.After> links = Stream.concat(
                        task.shape().after().stream()
                                .filter(link -> !link.predecessor().equals(after.predecessor())),
                        Stream.of(after))
                .toList();
        tasks.change(planned.with(task.waitingFor(links)), clock.instant());
    }
}
