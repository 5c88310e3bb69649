package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.reminders.AwaitsSomebody;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Tasks that somebody of the clients' is to do by a day. */
@Component
class TasksAwait implements AwaitsSomebody {
    private final Tasks tasks;
    private final TellDoer tellDoer;
    private final Seats seats;
    private final TheAgency agency;
    private final Clock clock;

    TasksAwait(Tasks tasks, TellDoer tellDoer, Seats seats, TheAgency agency, Clock clock) {
        this.tasks = tasks;
        this.tellDoer = tellDoer;
        this.seats = seats;
        this.agency = agency;
        this.clock = clock;
    }

    @Override
    public List<Thing> now() {
        return tasks.withClientsAndDue().stream()
                .flatMap(task -> seats
                        .paneThatOpens(task.project(), task.hands().contact().orElseThrow(), clock.instant())
                        .map(pane -> new Thing(
                                task.id().value(),
                                task.project(),
                                task.hands().contact().orElseThrow(),
                                task.name(),
                                task.details().by().until(agency.get().zone()).orElseThrow(),
                                endOf(task.task().actual().began().orElseThrow()),
                                "/c/panes/" + pane + "/tasks/" + task.id()))
                        .stream())
                .toList();
    }

    private Instant endOf(LocalDate day) {
        return day.plusDays(1).atStartOfDay(agency.get().zone()).toInstant();
    }

    @Override
    public boolean reaches(Thing thing) {
        Optional<PlannedTask> task = tasks.find(new ItemId(thing.about()));
        return task.filter(found ->
                        found.task().stage().open() && tellDoer.seeing(found).isPresent())
                .isPresent();
    }
}
