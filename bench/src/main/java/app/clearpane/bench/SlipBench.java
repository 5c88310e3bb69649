package app.clearpane.bench;

import app.clearpane.core.calendar.Timeline;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Forecast;
import app.clearpane.core.plan.Network;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.SlipLedger;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Forecast and slip of 500 activities over 250 days, on each of which something is done, begun or changed. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 3, time = 2)
public class SlipBench {
    private static final int ACTIVITIES = 500;
    private static final int DAYS = 250;
    private static final LocalDate START = LocalDate.of(2027, 3, 1);
    private final Random random = new Random(11);
    private final Timeline timeline = new Timeline(WorkingCalendar.weekdays(ZoneOffset.UTC), START);
    private final List<SlipLedger.State> states = states();

    private List<SlipLedger.State> states() {
        List<Task> tasks = new ArrayList<>();
        for (int i = 0; i < ACTIVITIES; i++) {
            List<Task.After> after = new ArrayList<>();
            for (int k = 0; k < 3 && i > 0; k++) {
                ItemId before =
                        tasks.get(Math.max(0, i - 1 - random.nextInt(20))).id();
                if (after.stream().noneMatch(link -> link.predecessor().equals(before))) {
                    after.add(new Task.After(before, random.nextInt(2)));
                }
            }
            tasks.add(new Task(
                    new ItemId(new UUID(1, i)),
                    Optional.empty(),
                    "Task " + i,
                    i % 3 == 0 ? Side.CLIENTS : Side.OURS,
                    new Task.Shape(1 + random.nextInt(5), Optional.empty(), after, OptionalInt.empty()),
                    Stage.TO_DO,
                    Task.Actual.NONE));
        }
        List<SlipLedger.State> all = new ArrayList<>();
        for (int day = 0; day < DAYS; day++) {
            all.add(new SlipLedger.State(timeline.day(day), timeline, new Network(tasks), Map.of(), false));
            tasks = changed(tasks, timeline.day(day), 2 * day);
        }
        return all;
    }

    private List<Task> changed(List<Task> tasks, LocalDate day, int done) {
        List<Task> next = new ArrayList<>(tasks);
        for (int i = done; i < Math.min(done + 2, next.size()); i++) {
            Task task = next.get(i);
            next.set(
                    i,
                    new Task(
                            task.id(),
                            task.parent(),
                            task.name(),
                            task.side(),
                            task.shape(),
                            Stage.DONE,
                            new Task.Actual(Optional.of(day), Optional.of(day), Optional.empty())));
        }
        Task other = next.get(random.nextInt(next.size()));
        Task.Shape shape = new Task.Shape(
                1 + random.nextInt(6), Optional.empty(), other.shape().after(), OptionalInt.empty());
        next.set(
                next.indexOf(other),
                new Task(other.id(), other.parent(), other.name(), other.side(), shape, other.stage(), other.actual()));
        return next;
    }

    /** The whole ledger and today's forecast. */
    @Benchmark
    public int ledger() {
        SlipLedger.State today = states.get(states.size() - 1);
        return SlipLedger.of(states, START.plusDays(400)).sum().total()
                + Forecast.of(today.activities(), timeline, DAYS).finish();
    }
}
