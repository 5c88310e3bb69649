package app.clearpane.core.markup;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Where notes stand in the margins beside a sheet (M4): each wants its middle level with its mark; in one margin they
 * keep the order of their marks and never overlap, and the sum of squared displacements is the least possible.
 *
 * <p><b>Algorithm.</b> With the heights and gaps above a note subtracted, order and distance become plain order, so the
 * best places are the isotonic regression of the wishes, found by pooling adjacent violators in linear time; limits at
 * both ends are met by cutting the result off there, which stays optimal. Lengths may be in any unit, the same for all.
 */
public final class MarginLayout {
    private MarginLayout() {}

    /**
     * A note that wants to stand somewhere.
     *
     * @param wantedTop where its upper edge would be without neighbours
     * @param height 0 or more
     */
    public record Note(double wantedTop, double height) {
        /** A note whose middle is wanted at this height. */
        public static Note centredAt(double centre, double height) {
            return new Note(centre - height / 2, height);
        }
    }

    /** The margin a note stands in. */
    public enum Margin {
        LEFT,
        RIGHT
    }

    /**
     * The upper edges of the notes of one margin, in the order given.
     *
     * @param notes in order from top to bottom
     * @param gap the least distance between two notes, 0 or more
     * @param length the margin's length; when the notes need more they start at 0 and run past it, and the margin
     *     scrolls
     * @return one upper edge for each note, from 0
     */
    public static List<Double> tops(List<Note> notes, double gap, double length) {
        double needed = notes.stream().mapToDouble(Note::height).sum() + gap * Math.max(0, notes.size() - 1);
        double latest = Math.max(0, length - needed);
        List<Double> tops = new ArrayList<>();
        List<Pool> pools = pooled(notes, gap);
        double above = 0;
        int next = 0;
        for (Pool pool : pools) {
            for (int i = 0; i < pool.size; i++) {
                tops.add(Math.min(latest, Math.max(0, pool.mean())) + above);
                above += notes.get(next++).height() + gap;
            }
        }
        return tops;
    }

    private static List<Pool> pooled(List<Note> notes, double gap) {
        List<Pool> pools = new ArrayList<>();
        double above = 0;
        for (Note note : notes) {
            Pool pool = new Pool(note.wantedTop() - above, 1);
            while (!pools.isEmpty() && pools.get(pools.size() - 1).mean() >= pool.mean()) {
                pool = pools.remove(pools.size() - 1).with(pool);
            }
            pools.add(pool);
            above += note.height() + gap;
        }
        return pools;
    }

    /**
     * The margin of each note: the side its mark is nearer to, unless that side would run past its length while the
     * other has room; then the marks nearest the middle move over until both fit or are even.
     *
     * @param centresX where each mark is from left to right, 0 to 1
     * @param heights the height of each note
     * @param length the length of either margin
     */
    public static List<Margin> sides(List<Double> centresX, List<Double> heights, double gap, double length) {
        List<Margin> sides = new ArrayList<>(
                centresX.stream().map(x -> x < 0.5 ? Margin.LEFT : Margin.RIGHT).toList());
        Margin fuller = load(sides, heights, gap, Margin.LEFT) > load(sides, heights, gap, Margin.RIGHT)
                ? Margin.LEFT
                : Margin.RIGHT;
        List<Integer> movable = IntStream.range(0, sides.size())
                .filter(i -> sides.get(i) == fuller)
                .boxed()
                .sorted(Comparator.comparingDouble((Integer i) -> Math.abs(centresX.get(i) - 0.5))
                        .thenComparing(i -> i))
                .toList();
        Margin other = fuller == Margin.LEFT ? Margin.RIGHT : Margin.LEFT;
        for (int i : movable) {
            double otherAfter = load(sides, heights, gap, other) + heights.get(i) + gap;
            if (load(sides, heights, gap, fuller) <= length || otherAfter > load(sides, heights, gap, fuller)) {
                break;
            }
            sides.set(i, other);
        }
        return sides;
    }

    private static double load(List<Margin> sides, List<Double> heights, double gap, Margin side) {
        return IntStream.range(0, sides.size())
                .filter(i -> sides.get(i) == side)
                .mapToDouble(i -> heights.get(i) + gap)
                .sum();
    }

    private record Pool(double sum, int size) {
        double mean() {
            return sum / size;
        }

        Pool with(Pool next) {
            return new Pool(sum + next.sum, size + next.size);
        }
    }
}
