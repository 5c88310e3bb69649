package app.clearpane.core.plan;

import java.util.List;
import java.util.OptionalInt;

/** How much of some tasks is done (P1), by the effort in their leaves. */
public final class Progress {
    private static final int AN_HOUR = 60;

    private Progress() {}

    /**
     * {@code floor(100 · done / total)} over the leaves that were not dropped, weighed by their estimates in minutes
     * (an hour where there is none). At least 1 when anything is done, at most 99 while a leaf is open: 1 of 300 gives
     * 1, 299 of 300 give 99; weights 3 done, 1 open, 2 dropped give 75.
     *
     * @param leaves tasks without parts
     * @return 0 to 100; empty where there is nothing to do
     */
    public static OptionalInt percent(List<Task> leaves) {
        long total = 0;
        long done = 0;
        for (Task leaf : leaves) {
            if (leaf.stage() != Stage.DROPPED) {
                int weight = leaf.shape().effortMinutes().orElse(AN_HOUR);
                total += weight;
                done += leaf.stage() == Stage.DONE ? weight : 0;
            }
        }
        if (total == 0) {
            return OptionalInt.empty();
        }
        if (done == total) {
            return OptionalInt.of(100);
        }
        return OptionalInt.of(done == 0 ? 0 : (int) Math.min(99, Math.max(1, 100 * done / total)));
    }
}
