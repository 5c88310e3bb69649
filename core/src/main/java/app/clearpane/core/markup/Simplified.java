package app.clearpane.core.markup;

import app.clearpane.core.markup.Place.Spot;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.List;

/**
 * A line with fewer spots that tell the same course (Ramer, 1972; Douglas and Peucker, 1973): a spot stays when it lies
 * further than the tolerance from the straight line between the two kept around it.
 */
final class Simplified {
    /** In page widths: about two pixels on a large sheet. */
    static final double TOLERANCE = 0.0015;

    private Simplified() {}

    static List<Spot> of(List<Spot> spots) {
        if (spots.size() <= 2) {
            return spots;
        }
        BitSet kept = new BitSet();
        kept.set(0);
        kept.set(spots.size() - 1);
        Deque<int[]> open = new ArrayDeque<>(List.of(new int[] {0, spots.size() - 1}));
        while (!open.isEmpty()) {
            int[] part = open.pop();
            int farthest = farthest(spots, part[0], part[1]);
            if (farthest > 0) {
                kept.set(farthest);
                open.push(new int[] {part[0], farthest});
                open.push(new int[] {farthest, part[1]});
            }
        }
        List<Spot> result = new ArrayList<>();
        kept.stream().forEach(at -> result.add(spots.get(at)));
        return result;
    }

    /** The spot between two that lies furthest from their line; 0 if none lies further than the tolerance. */
    private static int farthest(List<Spot> spots, int from, int to) {
        int result = 0;
        double most = TOLERANCE;
        for (int i = from + 1; i < to; i++) {
            double distance = distance(spots.get(i), spots.get(from), spots.get(to));
            if (distance > most) {
                most = distance;
                result = i;
            }
        }
        return result;
    }

    private static double distance(Spot spot, Spot from, Spot to) {
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double length = dx * dx + dy * dy;
        double along = length == 0
                ? 0
                : Math.max(0, Math.min(1, ((spot.x() - from.x()) * dx + (spot.y() - from.y()) * dy) / length));
        return Math.hypot(spot.x() - from.x() - along * dx, spot.y() - from.y() - along * dy);
    }
}
