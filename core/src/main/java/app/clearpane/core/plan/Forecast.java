package app.clearpane.core.plan;

import app.clearpane.core.calendar.Timeline;
import app.clearpane.core.exposure.ItemId;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * When each activity begins and is finished, as computed on the morning of a working day (D2, D3), and what may wait
 * (D4). All days are offsets on the plan's timeline; a finish is exclusive, so that an activity of five days from 0 is
 * finished at 5 and shown to end on the day at 4.
 *
 * <p>Done: its own days. Under way from s: finished at {@code max(s + days, t + 1)}, or {@code max(said + r, t + 1)}
 * when r working days were said to remain. Not begun: begins at its not-before, when its predecessors are finished, and
 * not before t. What the client does begins the working day after it was sent.
 */
public final class Forecast {
    private final Network network;
    private final Timeline timeline;
    private final int morning;
    private final int[] starts;
    private final int[] finishes;
    private final BitSet done = new BitSet();
    private final BitSet begun = new BitSet();
    private final int finish;

    private Forecast(Network network, Timeline timeline, int morning) {
        this.network = network;
        this.timeline = timeline;
        this.morning = morning;
        int count = network.activities().size();
        starts = new int[count];
        finishes = new int[count];
        for (int i : network.order()) {
            place(i);
        }
        finish = Arrays.stream(finishes).max().orElse(0);
    }

    /**
     * Computes it.
     *
     * @param morning the working day on whose morning it is computed, 0 or more; 0 with nothing begun is the plan as it
     *     was made
     */
    public static Forecast of(Network network, Timeline timeline, int morning) {
        return new Forecast(network, timeline, Math.max(0, morning));
    }

    private void place(int i) {
        Task task = network.activities().get(i);
        Task.Actual actual = task.actual();
        int ready = task.shape().notBefore().isPresent()
                ? Math.max(0, timeline.offset(task.shape().notBefore().get()))
                : 0;
        boolean allDone = true;
        for (int k = 0; k < network.predecessors[i].length; k++) {
            ready = Math.max(ready, finishes[network.predecessors[i][k]] + network.lags[i][k]);
            allDone &= done.get(network.predecessors[i][k]);
        }
        if (task.milestone()) {
            milestone(i, task, ready, allDone);
        } else if (actual.done().isPresent()) {
            finishes[i] = timeline.offsetAfter(actual.done().get());
            starts[i] = Math.min(
                    finishes[i],
                    actual.began().isPresent()
                            ? began(task, actual.began().get())
                            : finishes[i] - task.shape().days());
            done.set(i);
            begun.set(i);
        } else if (actual.began().isPresent()) {
            starts[i] = began(task, actual.began().get());
            finishes[i] = Math.max(
                    morning + 1,
                    actual.remaining()
                            .map(left -> timeline.offset(left.saidOn()) + left.days())
                            .orElse(starts[i] + task.shape().days()));
            begun.set(i);
        } else {
            starts[i] = Math.max(ready, morning);
            finishes[i] = starts[i] + task.shape().days();
        }
    }

    /**
     * A day that waits for something is reached with the last of it, and not before its own day; one that waits for
     * nothing stands on its own day and slips from the next.
     */
    private void milestone(int i, Task task, int waited, boolean allDone) {
        int ready = Math.max(
                waited, task.shape().notBefore().map(timeline::offsetAfter).orElse(0));
        boolean waits = network.predecessors[i].length > 0;
        Optional<Integer> reached = task.actual().done().map(timeline::offsetAfter);
        if (reached.isPresent()) {
            finishes[i] = reached.get();
        } else if (waits) {
            finishes[i] = ready;
        } else {
            finishes[i] = Math.max(
                    morning + 1,
                    task.shape().notBefore().map(timeline::offsetAfter).orElse(0));
        }
        starts[i] = finishes[i];
        if (reached.isPresent() || waits && allDone && ready <= morning) {
            done.set(i);
            begun.set(i);
        }
    }

    private int began(Task task, LocalDate day) {
        return task.side() == Side.CLIENTS
                ? timeline.offsetAfter(timeline.calendar().rollForward(day))
                : timeline.offset(day);
    }

    /** The activities it is of. */
    public Network network() {
        return network;
    }

    /** The timeline its offsets are on. */
    public Timeline timeline() {
        return timeline;
    }

    /** The morning it was computed on. */
    public int morning() {
        return morning;
    }

    /** When everything is finished, exclusive; 0 without activities. */
    public int finish() {
        return finish;
    }

    /** When an activity begins. @throws java.util.NoSuchElementException if it is none of them */
    public int start(ItemId id) {
        return starts[network.place(id).orElseThrow()];
    }

    /** When an activity is finished, exclusive. @throws java.util.NoSuchElementException if it is none of them */
    public int finish(ItemId id) {
        return finishes[network.place(id).orElseThrow()];
    }

    /** Whether an activity is among those of the plan. */
    public boolean has(ItemId id) {
        return network.place(id).isPresent();
    }

    /** Whether an activity is done. */
    public boolean isDone(ItemId id) {
        return done.get(network.place(id).orElseThrow());
    }

    /**
     * The working days each activity may still lose without moving a finish (D4), by the backward pass: what has begun
     * holds nothing back before it.
     *
     * @param finish the offset everything should be finished at, exclusive
     * @return by the activities' places; what is done has its own finish as the latest and so none
     */
    int[] floats(int finish) {
        int[] latest = new int[finishes.length];
        Arrays.fill(latest, finish);
        int[] order = network.order();
        for (int at = order.length - 1; at >= 0; at--) {
            int i = order[at];
            if (!begun.get(i)) {
                for (int k = 0; k < network.predecessors[i].length; k++) {
                    int before = network.predecessors[i][k];
                    latest[before] = Math.min(
                            latest[before],
                            latest[i] - network.activities().get(i).shape().days() - network.lags[i][k]);
                }
            }
        }
        int[] floats = new int[finishes.length];
        for (int i = 0; i < floats.length; i++) {
            floats[i] = done.get(i) ? 0 : latest[i] - finishes[i];
        }
        return floats;
    }

    /** The floats of all activities before an agreed finish, by activity; 0 for what is done. */
    public Map<ItemId, Integer> floatsBefore(int agreedFinish) {
        int[] floats = floats(agreedFinish);
        Map<ItemId, Integer> byId = new HashMap<>();
        for (int i = 0; i < floats.length; i++) {
            byId.put(network.activities().get(i).id(), floats[i]);
        }
        return byId;
    }

    /** The float of one activity before an agreed finish. */
    public int floatOf(ItemId id, int agreedFinish) {
        return floats(agreedFinish)[network.place(id).orElseThrow()];
    }

    /**
     * What is critical: what has no working day to spare before the agreed finish, or lies on the longest path. Nothing
     * that is done is.
     *
     * @param agreedFinish the offset everything was agreed to be finished at, exclusive; empty if nothing was agreed
     */
    public BitSet critical(OptionalInt agreedFinish) {
        BitSet critical = new BitSet();
        int[] own = floats(finish);
        int[] agreed = floats(agreedFinish.orElse(Integer.MAX_VALUE / 2));
        for (int i = 0; i < own.length; i++) {
            critical.set(i, !done.get(i) && (own[i] <= 0 || agreed[i] <= 0));
        }
        return critical;
    }

    /** Whether one activity is critical. */
    public boolean isCritical(ItemId id, OptionalInt agreedFinish) {
        return critical(agreedFinish).get(network.place(id).orElseThrow());
    }

    /**
     * The activity that holds everything up: from the last finish back along the predecessors that set a start, to the
     * first activity not done whose start no unfinished predecessor sets (D5). Ties go to the one that began earlier,
     * then to ours. Where all is done, the one that was last.
     */
    public Optional<Task> head() {
        OptionalInt last =
                choose(IntStream.range(0, finishes.length).filter(i -> finishes[i] == finish && !done.get(i)));
        if (last.isEmpty()) {
            return choose(IntStream.range(0, finishes.length).filter(i -> finishes[i] == finish)).stream()
                    .mapToObj(network.activities()::get)
                    .findFirst();
        }
        int at = last.getAsInt();
        for (OptionalInt next = binding(at); next.isPresent(); next = binding(at)) {
            at = next.getAsInt();
        }
        return Optional.of(network.activities().get(at));
    }

    private OptionalInt binding(int i) {
        if (begun.get(i)) {
            return OptionalInt.empty();
        }
        return choose(IntStream.range(0, network.predecessors[i].length)
                .filter(k -> !done.get(network.predecessors[i][k])
                        && finishes[network.predecessors[i][k]] + network.lags[i][k] == starts[i])
                .map(k -> network.predecessors[i][k]));
    }

    private OptionalInt choose(IntStream of) {
        return of.reduce((a, b) -> starts[b] < starts[a] || starts[b] == starts[a] && ours(b) && !ours(a) ? b : a);
    }

    /** Ours to do, or not sent to them yet. */
    private boolean ours(int i) {
        return network.activities().get(i).side() == Side.OURS || !begun.get(i);
    }
}
