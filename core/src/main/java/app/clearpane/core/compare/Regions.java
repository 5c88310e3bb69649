package app.clearpane.core.compare;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;

/**
 * Gathers differing pixels into regions (C3): gaps close, what touches in eight directions belongs together, noise is
 * left out, and regions near each other join.
 *
 * <p><b>Algorithm.</b> Each row becomes runs, runs nearer than the gap being one; a run joins those of the rows below
 * it within the gap that it touches (union-find). What is left after noise is joined the same way over the joining
 * distance, so that it is the parts themselves that must be near, not the boxes around them.
 */
final class Regions {
    /** The width of page that the pixel figures below are said for. */
    private static final double FOR_WIDTH = 1_600;

    private static final double GAP = 6;
    private static final double NOISE = 12;
    private static final double JOIN = 16;
    private final Bits bits;
    private final int gap;
    private final double noise;
    private final int join;
    private IntList runs = new IntList(1_024);
    private final int[] firstOfRow;
    private int[] parent = new int[0];

    private Regions(Bits bits, int workingWidth) {
        double scale = workingWidth / FOR_WIDTH;
        this.bits = bits;
        gap = (int) Math.round(GAP * scale);
        noise = NOISE * scale * scale;
        join = (int) Math.round(JOIN * scale);
        firstOfRow = new int[bits.height() + 1];
    }

    /**
     * A region in pixels; its far edges are exclusive.
     *
     * @param pixels how many differ
     * @param runs row, left and right of each of its runs, small gaps closed, by row and then from the left
     */
    record Piece(int left, int top, int right, int bottom, long pixels, int[] runs) {
        /** The runs on a grid that begins further on. */
        int[] spans(int across, int down) {
            int[] spans = runs.clone();
            for (int at = 0; at < spans.length; at++) {
                spans[at] += at % Runs.EACH == 0 ? down : across;
            }
            return spans;
        }

        long area() {
            return (long) (right - left) * (bottom - top);
        }
    }

    /** The regions, largest first. */
    static List<Piece> of(Bits bits, int workingWidth) {
        return new Regions(bits, workingWidth).gather();
    }

    private List<Piece> gather() {
        findRuns();
        connect(gap, 0);
        dropNoise();
        connect(join, join);
        return pieces().stream()
                .sorted(Comparator.comparingLong(Piece::area)
                        .reversed()
                        .thenComparingInt(Piece::top)
                        .thenComparingInt(Piece::left))
                .toList();
    }

    /** Runs of differing pixels, as left, right (exclusive) and how many differ. */
    private void findRuns() {
        for (int y = 0; y < bits.height(); y++) {
            firstOfRow[y] = runs.size() / 3;
            int x = bits.next(y, 0);
            while (x < bits.width()) {
                int left = x;
                int end = bits.nextClear(y, x);
                x = bits.next(y, end);
                while (x < bits.width() && x - end <= gap) {
                    end = bits.nextClear(y, x);
                    x = bits.next(y, end);
                }
                runs.add(left);
                runs.add(end);
                runs.add(bits.count(y, left, end));
            }
        }
        firstOfRow[bits.height()] = runs.size() / 3;
    }

    /**
     * Joins runs to those of the rows below.
     *
     * @param down how many rows may lie between them
     * @param across how many columns may, where they do not lie above each other; runs of neighbouring rows always join
     *     at their corners
     */
    private void connect(int down, int across) {
        parent = new int[runs.size() / 3];
        for (int i = 0; i < parent.length; i++) {
            parent[i] = i;
        }
        for (int y = 0; y < bits.height(); y++) {
            for (int below = y; below <= Math.min(bits.height() - 1, y + 1 + down); below++) {
                connectRows(y, below, Math.max(across, below == y + 1 ? 1 : 0));
            }
        }
    }

    private void connectRows(int y, int below, int across) {
        int first = firstOfRow[below];
        for (int i = firstOfRow[y]; i < firstOfRow[y + 1]; i++) {
            while (first < firstOfRow[below + 1] && runs.get(first * 3 + 1) + across <= runs.get(i * 3)) {
                first++;
            }
            for (int j = first; j < firstOfRow[below + 1] && runs.get(j * 3) < runs.get(i * 3 + 1) + across; j++) {
                union(i, j);
            }
        }
    }

    private void union(int i, int j) {
        parent[find(j)] = find(i);
    }

    private int find(int i) {
        int at = i;
        while (parent[at] != at) {
            parent[at] = parent[parent[at]];
            at = parent[at];
        }
        return at;
    }

    /** Leaves out the runs that belong to nothing larger than noise, so that they join nothing. */
    private void dropNoise() {
        long[] pixels = new long[parent.length];
        for (int i = 0; i < parent.length; i++) {
            pixels[find(i)] += runs.get(i * 3 + 2);
        }
        IntList left = new IntList(1_024);
        for (int y = 0; y < bits.height(); y++) {
            int from = firstOfRow[y];
            firstOfRow[y] = left.size() / 3;
            for (int i = from; i < firstOfRow[y + 1]; i++) {
                for (int part = 0; pixels[find(i)] >= noise && part < 3; part++) {
                    left.add(runs.get(i * 3 + part));
                }
            }
        }
        firstOfRow[bits.height()] = left.size() / 3;
        runs = left;
    }

    private List<Piece> pieces() {
        Gathered[] byRoot = new Gathered[parent.length];
        for (int y = 0; y < bits.height(); y++) {
            for (int i = firstOfRow[y]; i < firstOfRow[y + 1]; i++) {
                int root = find(i);
                byRoot[root] = byRoot[root] == null ? new Gathered() : byRoot[root];
                byRoot[root].add(y, runs.get(i * 3), runs.get(i * 3 + 1), runs.get(i * 3 + 2));
            }
        }
        return Arrays.stream(byRoot)
                .filter(Objects::nonNull)
                .map(Gathered::piece)
                .toList();
    }

    /** Runs that belong together. */
    private static final class Gathered {
        private final IntList runs = new IntList(12);
        private int left = Integer.MAX_VALUE;
        private int right;
        private long pixels;

        void add(int y, int from, int to, int differing) {
            runs.add(y);
            runs.add(from);
            runs.add(to);
            left = Math.min(left, from);
            right = Math.max(right, to);
            pixels += differing;
        }

        Piece piece() {
            int[] all = runs.toArray();
            return new Piece(left, all[0], right, all[all.length - 3] + 1, pixels, all);
        }
    }

    /** Numbers one after another. */
    private static final class IntList {
        private int[] values;
        private int size;

        IntList(int expected) {
            values = new int[expected];
        }

        int[] toArray() {
            return Arrays.copyOf(values, size);
        }

        void add(int number) {
            if (size == values.length) {
                values = Arrays.copyOf(values, size * 2);
            }
            values[size++] = number;
        }

        int get(int at) {
            return values[at];
        }

        int size() {
            return size;
        }
    }
}
