package app.clearpane.core.compare;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Differing pixels become regions as looking at every pair of runs would make them. */
class RegionsTest {
    /** At this width a gap is 6 pixels, noise less than 12, and parts up to 16 apart join. */
    private static final int WIDTH = 1_600;

    private record Run(int y, int left, int right, int pixels) {
        boolean joins(Run other, int down, int across) {
            int apart = Math.abs(y - other.y);
            int beside = Math.max(across, apart == 1 ? 1 : 0);
            return apart <= down + 1 && left < other.right + beside && other.left < right + beside;
        }
    }

    private static Bits bits(String... rows) {
        Bits bits = new Bits(rows[0].length(), rows.length);
        for (int y = 0; y < rows.length; y++) {
            for (int x = 0; x < rows[y].length(); x++) {
                if (rows[y].charAt(x) == '#') {
                    bits.set(x, y);
                }
            }
        }
        return bits;
    }

    /** Every run against every other. */
    private static List<Regions.Piece> slowly(Bits bits) {
        List<Run> runs = new ArrayList<>();
        for (int y = 0; y < bits.height(); y++) {
            Run open = null;
            for (int x = 0; x < bits.width(); x++) {
                if (bits.get(x, y)) {
                    if (open != null && x - open.right() <= 6) {
                        open = new Run(y, open.left(), x + 1, open.pixels() + 1);
                    } else {
                        if (open != null) {
                            runs.add(open);
                        }
                        open = new Run(y, x, x + 1, 1);
                    }
                }
            }
            if (open != null) {
                runs.add(open);
            }
        }
        List<Run> large = together(runs, 6, 0).stream()
                .filter(part -> part.stream().mapToInt(Run::pixels).sum() >= 12)
                .flatMap(List::stream)
                .toList();
        return together(large, 16, 16).stream()
                .map(RegionsTest::piece)
                .sorted(Comparator.comparingLong(Regions.Piece::area)
                        .reversed()
                        .thenComparingInt(Regions.Piece::top)
                        .thenComparingInt(Regions.Piece::left))
                .toList();
    }

    private static List<List<Run>> together(List<Run> runs, int down, int across) {
        int[] part = new int[runs.size()];
        Arrays.setAll(part, i -> i);
        for (int i = 0; i < runs.size(); i++) {
            for (int j = 0; j < i; j++) {
                if (part[i] != part[j] && runs.get(i).joins(runs.get(j), down, across)) {
                    int from = part[i];
                    int to = part[j];
                    Arrays.setAll(part, k -> part[k] == from ? to : part[k]);
                }
            }
        }
        Map<Integer, List<Run>> parts = new LinkedHashMap<>();
        for (int i = 0; i < part.length; i++) {
            parts.computeIfAbsent(part[i], none -> new ArrayList<>()).add(runs.get(i));
        }
        return List.copyOf(parts.values());
    }

    private static Regions.Piece piece(List<Run> runs) {
        int[] all = runs.stream()
                .sorted(Comparator.comparingInt(Run::y).thenComparingInt(Run::left))
                .flatMapToInt(run -> IntStream.of(run.y, run.left, run.right))
                .toArray();
        return new Regions.Piece(
                runs.stream().mapToInt(Run::left).min().orElseThrow(),
                runs.stream().mapToInt(Run::y).min().orElseThrow(),
                runs.stream().mapToInt(Run::right).max().orElseThrow(),
                runs.stream().mapToInt(Run::y).max().orElseThrow() + 1,
                runs.stream().mapToLong(Run::pixels).sum(),
                all);
    }

    /** A piece that fills each of its rows, or two rows that meet at a corner. */
    private static Regions.Piece piece(int left, int top, int right, int bottom, long pixels) {
        boolean corner = bottom - top == 2 && pixels < 2L * (right - left);
        int middle = (left + right) / 2;
        int[] rows = bottom - top == 1
                ? new int[] {top, left, right}
                : new int[] {top, left, corner ? middle : right, top + 1, corner ? middle : left, right};
        return new Regions.Piece(left, top, right, bottom, pixels, rows);
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void areThoseThatComparingAllRunsGives(long seed) {
        Random random = new Random(seed);
        Bits bits = new Bits(40 + random.nextInt(200), 30 + random.nextInt(120));
        for (int blot = random.nextInt(14); blot >= 0; blot--) {
            int left = random.nextInt(bits.width());
            int top = random.nextInt(bits.height());
            int wide = 1 + random.nextInt(12);
            int high = 1 + random.nextInt(9);
            for (int i = random.nextInt(wide * high) + 1; i > 0; i--) {
                bits.set(
                        Math.min(bits.width() - 1, left + random.nextInt(wide)),
                        Math.min(bits.height() - 1, top + random.nextInt(high)));
            }
        }
        assertThat(Regions.of(bits, WIDTH)).usingRecursiveComparison().isEqualTo(slowly(bits));
    }

    @Test
    void whatIsTooLittleIsNoise() {
        assertThat(Regions.of(bits("###########."), WIDTH)).as("11 pixels").isEmpty();
        assertThat(Regions.of(bits("############"), WIDTH))
                .usingRecursiveFieldByFieldElementComparator()
                .containsExactly(piece(0, 0, 12, 1, 12));
        assertThat(Regions.of(bits("######", "######"), WIDTH))
                .usingRecursiveFieldByFieldElementComparator()
                .containsExactly(piece(0, 0, 6, 2, 12));
        assertThat(Regions.of(new Bits(70, 3), WIDTH)).isEmpty();
    }

    @Test
    void gapsCloseAndCornersTouch() {
        assertThat(Regions.of(bits("######......######"), WIDTH))
                .as("six between them")
                .usingRecursiveFieldByFieldElementComparator()
                .containsExactly(piece(0, 0, 18, 1, 12));
        assertThat(Regions.of(bits("######.......######"), WIDTH))
                .as("seven: each of them is noise")
                .isEmpty();
        assertThat(Regions.of(bits("######......", "......######"), WIDTH))
                .as("at a corner")
                .usingRecursiveFieldByFieldElementComparator()
                .containsExactly(piece(0, 0, 12, 2, 12));
    }

    @Test
    void whatLiesNearJoinsAndNoiseBetweenDoesNotHelp() {
        String part = "#".repeat(12);
        assertThat(Regions.of(bits(part + ".".repeat(15) + part), WIDTH)).hasSize(1);
        assertThat(Regions.of(bits(part + ".".repeat(16) + part), WIDTH))
                .as("the far edge is not part of it")
                .hasSize(2);
        assertThat(Regions.of(bits(part + ".".repeat(14) + "##" + ".".repeat(14) + part), WIDTH))
                .as("what is left out joins nothing")
                .hasSize(2);
    }

    @Test
    void onALargerPageEverythingIsMeasuredLarger() {
        Bits bits = bits("############......######");
        assertThat(Regions.of(bits, WIDTH))
                .usingRecursiveFieldByFieldElementComparator()
                .containsExactly(piece(0, 0, 24, 1, 18));
        assertThat(Regions.of(bits, 2 * WIDTH))
                .as("of 48 pixels and fewer nothing is said")
                .isEmpty();
        assertThat(Regions.of(bits, WIDTH / 2))
                .as("a gap is 3 there, and 8 join")
                .usingRecursiveFieldByFieldElementComparator()
                .containsExactly(new Regions.Piece(0, 0, 24, 1, 18, new int[] {0, 0, 12, 0, 18, 24}));
    }

    /** Counting and finding in a row is the same as looking at each bit. */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void bitsAreCountedAndFoundAsOneByOne(long seed) {
        Random random = new Random(seed);
        int width = 1 + random.nextInt(300);
        Bits bits = new Bits(width, 3);
        boolean[] set = new boolean[width];
        for (int i = random.nextInt(width + 1); i > 0; i--) {
            int x = random.nextInt(width);
            set[x] = true;
            bits.set(x, 1);
        }
        runsAreFoundAndCounted(random, width, bits, set);
        neighboursAreFound(width, bits, set);
    }

    private void runsAreFoundAndCounted(Random random, int width, Bits bits, boolean[] set) {
        for (int from = 0; from <= width; from++) {
            int next = from;
            int clear = from;
            while (next < width && !set[next]) {
                next++;
            }
            while (clear < width && set[clear]) {
                clear++;
            }
            assertThat(bits.next(1, from)).isEqualTo(next);
            assertThat(bits.nextClear(1, from)).isEqualTo(clear);
            int end = from + random.nextInt(width - from + 1);
            int count = 0;
            for (int x = from; x < end; x++) {
                count += set[x] ? 1 : 0;
            }
            assertThat(bits.count(1, from, end)).isEqualTo(count);
        }
    }

    private void neighboursAreFound(int width, Bits bits, boolean[] set) {
        long[] around = new long[bits.words()];
        for (int y = 0; y < 3; y++) {
            bits.around(y, around);
            for (int x = 0; x < width; x++) {
                assertThat((around[x >> 6] >>> (x & 63) & 1) != 0)
                        .isEqualTo(set[x] || x > 0 && set[x - 1] || x < width - 1 && set[x + 1]);
            }
        }
    }
}
