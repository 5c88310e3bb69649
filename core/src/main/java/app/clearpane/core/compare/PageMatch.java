package app.clearpane.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What became of a page from one version to another (C2). Pages count from 1. */
public sealed interface PageMatch {

    /** A page that is in both. Whether anything on it changed is for {@link ChangeMap} to say. */
    record Both(int before, int after) implements PageMatch {
        /** Whether it has another number now. */
        public boolean movedOn() {
            return before != after;
        }
    }

    /** A page that is new. */
    record Inserted(int after) implements PageMatch {}

    /** A page that is gone. */
    record Removed(int before) implements PageMatch {}

    /** What a page that is in only one of them costs. */
    int GAP = 20;

    /** The distance above which two pages are never the same one. */
    int FARTHEST = 40;

    /**
     * Matches the pages of two versions at the least cost: 20 for a page that is only in one, the distance of their
     * hashes for a pair of at most 40. Then pages left over on both sides that are alike are pairs too: they were moved
     * past others. Where both have one page, these are a pair whatever is on them.
     *
     * @return in the order of the later version, with removed pages where they were
     */
    static List<PageMatch> of(List<PageHash> before, List<PageHash> after) {
        if (before.size() == 1 && after.size() == 1) {
            return List.of(new Both(1, 1));
        }
        return withMoves(aligned(before, after), before, after);
    }

    private static List<PageMatch> aligned(List<PageHash> before, List<PageHash> after) {
        int[][] cost = new int[before.size() + 1][after.size() + 1];
        for (int i = before.size(); i >= 0; i--) {
            for (int j = after.size(); j >= 0; j--) {
                cost[i][j] = i == before.size()
                        ? (after.size() - j) * GAP
                        : j == after.size()
                                ? (before.size() - i) * GAP
                                : Math.min(
                                        cost[i + 1][j + 1] + pair(before.get(i), after.get(j)),
                                        GAP + Math.min(cost[i + 1][j], cost[i][j + 1]));
            }
        }
        List<PageMatch> result = new ArrayList<>();
        int i = 0;
        int j = 0;
        while (i < before.size() || j < after.size()) {
            if (i < before.size()
                    && j < after.size()
                    && cost[i][j] == cost[i + 1][j + 1] + pair(before.get(i), after.get(j))) {
                result.add(new Both(++i, ++j));
            } else if (i < before.size() && cost[i][j] == GAP + cost[i + 1][j]) {
                result.add(new Removed(++i));
            } else {
                result.add(new Inserted(++j));
            }
        }
        return result;
    }

    private static int pair(PageHash before, PageHash after) {
        int distance = before.distance(after);
        return distance > FARTHEST ? 3 * GAP : distance;
    }

    private static List<PageMatch> withMoves(List<PageMatch> aligned, List<PageHash> before, List<PageHash> after) {
        List<PageMatch> result = new ArrayList<>(aligned);
        for (Inserted inserted : aligned.stream()
                .filter(Inserted.class::isInstance)
                .map(Inserted.class::cast)
                .toList()) {
            PageHash hash = after.get(inserted.after - 1);
            Optional<Removed> moved = result.stream()
                    .filter(Removed.class::isInstance)
                    .map(Removed.class::cast)
                    .filter(gone -> before.get(gone.before - 1).distance(hash) <= FARTHEST)
                    .min(Comparator.comparingInt(
                            gone -> before.get(gone.before - 1).distance(hash)));
            moved.ifPresent(gone -> {
                result.set(result.indexOf(inserted), new Both(gone.before, inserted.after));
                result.remove(gone);
            });
        }
        return List.copyOf(result);
    }
}
