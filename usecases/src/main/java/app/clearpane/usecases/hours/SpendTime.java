package app.clearpane.usecases.hours;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Effort;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.plan.TimeSpent;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.RunningClocks;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Writes down the time people spend on tasks, by hand or by a clock; everybody has one clock. */
@Component
public class SpendTime {
    private static final int A_DAY = 24 * 60;
    private final Tasks tasks;
    private final TimeSpent timeSpent;
    private final RunningClocks clocks;
    private final TheAgency agency;
    private final Clock clock;

    SpendTime(Tasks tasks, TimeSpent timeSpent, RunningClocks clocks, TheAgency agency, Clock clock) {
        this.tasks = tasks;
        this.timeSpent = timeSpent;
        this.clocks = clocks;
        this.agency = agency;
        this.clock = clock;
    }

    /** Writes down time that was spent. */
    @Transactional
    public void byHand(ItemId id, String time, String day, Person.OfTeam by) {
        NotFound.unless(tasks.find(id));
        Input input = new Input();
        Optional<LocalDate> on = input.day("The day", day);
        int minutes = Effort.minutes(time);
        input.require(
                minutes > 0 && minutes <= A_DAY, "“" + time.strip() + "” is not a time of a day like 2.5h or 90m.");
        input.allGood();
        timeSpent.add(id, by.memberId(), minutes, on.orElseThrow(), clock.instant());
    }

    /** Starts somebody's clock on a task; where it ran on another, that one stops and is written down. */
    @Transactional
    public void start(ItemId id, Person.OfTeam by) {
        NotFound.unless(tasks.find(id));
        stop(by);
        timeSpent.add(id, by.memberId(), null, agency.today(), clock.instant());
        clocks.changed();
    }

    /** Stops somebody's clock and writes down how long it ran: whole minutes begun, at most a day. */
    @Transactional
    public void stop(Person.OfTeam by) {
        timeSpent.running(by.memberId()).ifPresent(running -> timeSpent.stop(running.id(), minutes(running)));
        clocks.changed();
    }

    private int minutes(TimeSpent.Entry running) {
        return (int) Math.min(
                A_DAY, Duration.between(running.since(), clock.instant()).toMinutes() + 1);
    }

    /** Takes away what somebody wrote down wrongly themselves. */
    @Transactional
    public void remove(UUID entry, Person.OfTeam by) {
        timeSpent.remove(entry, by.memberId());
    }

    /**
     * The time spent on a task.
     *
     * @param entries the latest first
     * @param minutes all of it that is written down
     * @param mine the clock of whoever looks, if it runs on this task
     */
    record Spent(List<TimeSpent.Entry> entries, int minutes, Optional<TimeSpent.Entry> mine) {}

    /** The time spent on a task, for one of the team. */
    public Spent spentOn(ItemId id, Person.OfTeam me) {
        List<TimeSpent.Entry> entries = timeSpent.entriesOf(id);
        return new Spent(
                entries,
                entries.stream()
                        .map(TimeSpent.Entry::minutes)
                        .filter(Objects::nonNull)
                        .mapToInt(Integer::intValue)
                        .sum(),
                entries.stream()
                        .filter(entry -> entry.running() && entry.member().equals(me.memberId()))
                        .findFirst());
    }
}
