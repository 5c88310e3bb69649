package app.clearpane.core.compare;

import app.clearpane.core.markup.Box;
import java.util.Arrays;

/**
 * Pixels of a page as runs in rows, on a grid of their own.
 *
 * <p>The array is not copied: whoever makes them does not write to it any more.
 *
 * @param left where the grid begins, in page widths
 * @param top where it begins, in page heights
 * @param across how wide a column is, in page widths, above 0
 * @param down how high a row is, in page heights, above 0
 * @param spans row, first column and column after the last of each run, by row and then from the left; none overlaps
 *     another
 */
public record Runs(double left, double top, double across, double down, int[] spans) {
    /** How many numbers say a run. */
    static final int EACH = 3;

    /** All of a box. */
    public static Runs of(Box box) {
        return new Runs(box.x(), box.y(), box.width(), box.height(), new int[] {0, 0, 1});
    }

    /** The same pixels in fractions of a page that is so placed in what they are fractions of. */
    Runs on(Box page) {
        return new Runs(
                (left - page.x()) / page.width(),
                (top - page.y()) / page.height(),
                across / page.width(),
                down / page.height(),
                spans);
    }

    /** How many pixels they are. */
    long pixels() {
        long pixels = 0;
        for (int at = 0; at < spans.length; at += EACH) {
            pixels += spans[at + 2] - spans[at + 1];
        }
        return pixels;
    }

    /** How large they are together, as a part of the page. */
    double area() {
        return pixels() * across * down;
    }

    /** The smallest box around all of them; of no size if there is none. */
    Box box() {
        if (spans.length == 0) {
            return new Box(left, top, 0, 0);
        }
        int from = Integer.MAX_VALUE;
        int to = Integer.MIN_VALUE;
        for (int at = 0; at < spans.length; at += EACH) {
            from = Math.min(from, spans[at + 1]);
            to = Math.max(to, spans[at + 2]);
        }
        int last = spans[spans.length - EACH];
        return new Box(left + from * across, top + spans[0] * down, (to - from) * across, (last + 1 - spans[0]) * down);
    }

    /** Where the runs of the row at this height begin in the array, or where they would. @param y in page heights */
    int rowAt(double y) {
        double row = Math.floor((y - top) / down);
        int low = 0;
        int high = spans.length / EACH;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (spans[middle * EACH] < row) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low < spans.length / EACH && spans[low * EACH] == row ? low * EACH : spans.length;
    }

    /** Whether two runs of the array are of one row. */
    boolean sameRow(int at, int other) {
        return at < spans.length && spans[at] == spans[other];
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Runs o
                && left == o.left
                && top == o.top
                && across == o.across
                && down == o.down
                && Arrays.equals(spans, o.spans);
    }

    @Override
    public int hashCode() {
        return 31 * Double.hashCode(left + top + across + down) + Arrays.hashCode(spans);
    }

    @Override
    public String toString() {
        return spans.length / EACH + " runs in " + box();
    }
}
