package app.clearpane.core.markup;

import java.util.Optional;

/**
 * Finds a stretch of a text again in a later one (M5): its very words, where what stands around them fits best; else
 * the words nearest to them, as long as no more than a fifth of its characters would have to change.
 */
public final class FoundAgain {
    /** The part of the quote that may differ. */
    private static final double MAY_DIFFER = 0.2;
    /**
     * More steps than this are not taken to look for words like these: a long quote is then looked for near where it
     * was.
     */
    private static final long MOST_STEPS = 20_000_000;

    private FoundAgain() {}

    /** Where it is in the later text; empty if its text is gone. */
    public static Optional<Place.TextRange> in(String later, Place.TextRange range) {
        Optional<Place.TextRange> exact = exactly(later, range);
        return exact.isPresent() ? exact : nearly(later, range);
    }

    private static Optional<Place.TextRange> exactly(String later, Place.TextRange range) {
        int best = -1;
        for (int at = later.indexOf(range.quote()); at >= 0; at = later.indexOf(range.quote(), at + 1)) {
            if (!standsAlone(later, at, at + range.quote().length(), range)) {
                continue;
            }
            if (best < 0
                    || fits(later, at, at + range.quote().length(), range)
                            > fits(later, best, best + range.quote().length(), range)
                    || fits(later, at, at + range.quote().length(), range)
                                    == fits(later, best, best + range.quote().length(), range)
                            && Math.abs(at - range.start()) < Math.abs(best - range.start())) {
                best = at;
            }
        }
        return best < 0
                ? Optional.empty()
                : Optional.of(
                        Place.TextRange.in(later, best, best + range.quote().length()));
    }

    /** Whether no letter or figure is stuck to a stretch where none was stuck to the range: a 9 is not the 9 of 19. */
    private static boolean standsAlone(String later, int start, int end, Place.TextRange range) {
        boolean left = start > 0
                && stuck(later.charAt(start - 1), range.quote().charAt(0))
                && (range.before().isEmpty()
                        || !stuck(
                                range.before().charAt(range.before().length() - 1),
                                range.quote().charAt(0)));
        char last = range.quote().charAt(range.quote().length() - 1);
        boolean right = end < later.length()
                && stuck(last, later.charAt(end))
                && (range.after().isEmpty() || !stuck(last, range.after().charAt(0)));
        return !left && !right;
    }

    private static boolean stuck(char one, char other) {
        return Character.isLetterOrDigit(one) && Character.isLetterOrDigit(other);
    }

    /** How many characters around a stretch are those that stood around the range. */
    private static int fits(String later, int start, int end, Place.TextRange range) {
        int fits = 0;
        while (fits < range.before().length()
                && fits < start
                && later.charAt(start - 1 - fits)
                        == range.before().charAt(range.before().length() - 1 - fits)) {
            fits++;
        }
        int after = 0;
        while (after < range.after().length()
                && end + after < later.length()
                && later.charAt(end + after) == range.after().charAt(after)) {
            after++;
        }
        return fits + after;
    }

    /**
     * The stretch with the least edit distance to the quote (Sellers, 1980): a column of the table for each character
     * of the text, each cell knowing where its stretch began.
     */
    private static Optional<Place.TextRange> nearly(String later, Place.TextRange range) {
        String quote = range.quote();
        int most = (int) Math.floor(quote.length() * MAY_DIFFER);
        if (most == 0) {
            return Optional.empty();
        }
        int reach = (int) Math.max(2L * quote.length(), MOST_STEPS / quote.length() / 2);
        int from = Math.max(0, Math.min(later.length(), range.start()) - reach);
        int to = (int) Math.min(later.length(), (long) range.end() + reach);
        int[] costs = new int[quote.length() + 1];
        int[] begun = new int[quote.length() + 1];
        for (int i = 0; i <= quote.length(); i++) {
            costs[i] = i;
            begun[i] = from;
        }
        int[] best = {most + 1, 0, 0};
        for (int at = from; at < to; at++) {
            int diagonal = costs[0];
            int diagonalBegun = at;
            begun[0] = at + 1;
            for (int i = 1; i <= quote.length(); i++) {
                int substituted = diagonal + (quote.charAt(i - 1) == later.charAt(at) ? 0 : 1);
                int dropped = costs[i - 1] + 1;
                int added = costs[i] + 1;
                int cost = Math.min(substituted, Math.min(dropped, added));
                int start = cost == substituted ? diagonalBegun : cost == added ? begun[i] : begun[i - 1];
                diagonal = costs[i];
                diagonalBegun = begun[i];
                costs[i] = cost;
                begun[i] = start;
            }
            int start = begun[quote.length()];
            int end = at + 1;
            int cost = costs[quote.length()];
            if (start < end
                    && (cost < best[0]
                            || cost == best[0]
                                    && cost <= most
                                    && fits(later, start, end, range) > fits(later, best[1], best[2], range))) {
                best = new int[] {cost, start, end};
            }
        }
        return best[0] > most ? Optional.empty() : Optional.of(Place.TextRange.in(later, best[1], best[2]));
    }
}
