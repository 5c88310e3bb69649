package app.clearpane.core.deliverable;

import java.util.List;

/** How many rounds of review were used (R1). */
public final class RoundCount {
    private RoundCount() {}

    /**
     * 1 for the first version sent, and 1 for each later one whose predecessor was sent back or asked to change.
     *
     * @param askedForMore for each version sent, in order: whether it had a send back, or a client's Change mark that
     *     was not withdrawn
     * @return 0 when nothing was sent
     */
    public static int used(List<Boolean> askedForMore) {
        if (askedForMore.isEmpty()) {
            return 0;
        }
        return 1
                + (int) askedForMore.subList(0, askedForMore.size() - 1).stream()
                        .filter(asked -> asked)
                        .count();
    }
}
