package app.clearpane.core.compare;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PageMatchTest {
    private static List<PageHash> pages(long... seeds) {
        return LongStream.of(seeds)
                .mapToObj(seed -> PageHash.of(Drawn.raster(Drawn.page(400, 560, seed))))
                .toList();
    }

    @Test
    void knowsAPageAgainWhenWordsOnItChanged() {
        PageHash before = PageHash.of(Drawn.raster(Drawn.page(400, 560, 3)));
        PageHash after = PageHash.of(Drawn.raster(
                Drawn.page(400, 560, 3, g -> Drawn.text(g, "Car park entrance in Kettle Lane", 300, 900, 24))));
        assertThat(before.distance(after)).isLessThanOrEqualTo(20);
        assertThat(before.distance(pages(4).get(0))).isGreaterThan(12);
    }

    @Test
    void knowsAPageAgainAtAnotherSize() {
        assertThat(PageHash.of(Drawn.raster(Drawn.page(1_200, 1_680, 3))).distance(pages(3).get(0)))
                .isLessThan(12);
    }

    @Test
    void findsAnInsertedPageAndThoseItMovedOn() {
        assertThat(PageMatch.of(pages(1, 2, 3), pages(1, 9, 2, 3)))
                .containsExactly(
                        new PageMatch.Both(1, 1),
                        new PageMatch.Inserted(2),
                        new PageMatch.Both(2, 3),
                        new PageMatch.Both(3, 4));
    }

    @Test
    void findsARemovedPage() {
        assertThat(PageMatch.of(pages(1, 2, 3), pages(1, 3)))
                .containsExactly(new PageMatch.Both(1, 1), new PageMatch.Removed(2), new PageMatch.Both(3, 2));
    }

    @Test
    void findsAPageThatWasMovedPastOthers() {
        assertThat(PageMatch.of(pages(1, 2, 3, 4), pages(2, 3, 4, 1)))
                .containsExactlyInAnyOrder(
                        new PageMatch.Both(1, 4),
                        new PageMatch.Both(2, 1),
                        new PageMatch.Both(3, 2),
                        new PageMatch.Both(4, 3));
    }

    @Test
    void pairsTheOnlyPageOfEachWhateverIsOnIt() {
        assertThat(PageMatch.of(pages(1), pages(2))).containsExactly(new PageMatch.Both(1, 1));
        assertThat(PageMatch.of(List.of(), pages(1, 2)))
                .containsExactly(new PageMatch.Inserted(1), new PageMatch.Inserted(2));
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {11, 12, 13, 14, 15, 16})
    void costsNoMoreThanAnyOtherMatching(long seed) {
        Random random = new Random(seed);
        List<PageHash> before = hashes(random, 4);
        List<PageHash> after = new ArrayList<>(hashes(random, 2));
        before.subList(0, 3)
                .forEach(
                        hash -> after.add(random.nextInt(after.size() + 1), flipped(hash, random, random.nextInt(50))));
        List<PageMatch> aligned = PageMatch.of(before, after).stream().toList();
        assertThat(aligned.stream().filter(PageMatch.Both.class::isInstance)).allSatisfy(match -> {
            PageMatch.Both both = (PageMatch.Both) match;
            assertThat(before.get(both.before() - 1).distance(after.get(both.after() - 1)))
                    .isLessThanOrEqualTo(PageMatch.FARTHEST);
        });
        assertThat(cost(aligned, before, after)).isLessThanOrEqualTo(best(before, after, 0, 0));
    }

    private static int cost(List<PageMatch> matches, List<PageHash> before, List<PageHash> after) {
        return matches.stream()
                .mapToInt(match -> match instanceof PageMatch.Both both
                        ? before.get(both.before() - 1).distance(after.get(both.after() - 1))
                        : PageMatch.GAP)
                .sum();
    }

    /** The least cost of any order-keeping matching, by trying all. */
    private static int best(List<PageHash> before, List<PageHash> after, int i, int j) {
        if (i == before.size() || j == after.size()) {
            return (before.size() - i + after.size() - j) * PageMatch.GAP;
        }
        int apart = PageMatch.GAP + Math.min(best(before, after, i + 1, j), best(before, after, i, j + 1));
        int distance = before.get(i).distance(after.get(j));
        return distance > PageMatch.FARTHEST ? apart : Math.min(apart, distance + best(before, after, i + 1, j + 1));
    }

    private static List<PageHash> hashes(Random random, int count) {
        List<PageHash> result = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            result.add(new PageHash(random.nextLong(), random.nextLong(), random.nextLong(), random.nextLong()));
        }
        return result;
    }

    private static PageHash flipped(PageHash hash, Random random, int bits) {
        long[] words = {hash.one(), hash.two(), hash.three(), hash.four()};
        for (int i = 0; i < bits; i++) {
            words[random.nextInt(4)] ^= 1L << random.nextInt(64);
        }
        return new PageHash(words[0], words[1], words[2], words[3]);
    }
}
