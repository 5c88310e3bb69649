package app.clearpane.core.turns;

import app.clearpane.core.exposure.ItemId;
import java.time.Instant;
import java.util.Comparator;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Something somebody could do next, and what it costs to let it wait (T3).
 *
 * @param holdsUp whether the finish of the project waits for it
 * @param spareDays working days it may lose without moving the finish; empty for what is not on the plan
 * @param due when it is to be done; empty if no day was set
 * @param daysHeld working days its holder has had it
 */
public record NextMove(ItemId item, boolean holdsUp, OptionalInt spareDays, Optional<Instant> due, double daysHeld) {

    /**
     * What holds the finish up, then the least float, then the earliest due, then the longest held; in the end by
     * identifier, so that it is one order.
     */
    public static final Comparator<NextMove> ORDER = Comparator.comparing(NextMove::holdsUp)
            .reversed()
            .thenComparingInt(move -> move.spareDays().orElse(Integer.MAX_VALUE))
            .thenComparing(move -> move.due().orElse(Instant.MAX))
            .thenComparing(Comparator.comparingDouble(NextMove::daysHeld).reversed())
            .thenComparing(move -> move.item().toString());

    /** Whether each working day of waiting moves the finish of the project by a day. */
    public boolean everyDayCounts() {
        return holdsUp || spareDays.isPresent() && spareDays.getAsInt() <= 0;
    }
}
