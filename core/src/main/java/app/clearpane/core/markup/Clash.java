package app.clearpane.core.markup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Two marks of one round that cannot both be followed (M6): by two people, on places that overlap, of which one asks
 * for a change and one to keep it, or which ask for two different wordings.
 *
 * @param first the one placed earlier
 * @param second the one placed later
 */
public record Clash(MarkupId first, MarkupId second) {
    /** The part of the smaller place that must lie in the other. */
    private static final double OVERLAP = 0.5;

    /**
     * A mark as far as it can clash.
     *
     * @param person who wants it: equal for two marks of one person
     * @param ratio the height of its page over the width
     * @param replacement the wording asked for; empty if none is given
     */
    public record Wish(
            MarkupId mark, Object person, Place place, Intent intent, double ratio, Optional<String> replacement) {

        private boolean overlaps(Wish other) {
            return !person.equals(other.person) && Clash.overlap(place, other.place, ratio);
        }

        private boolean against(Wish other) {
            return intent == Intent.KEEP && other.intent == Intent.CHANGE
                    || intent == Intent.CHANGE && other.intent == Intent.KEEP
                    || otherWords(other);
        }

        private boolean otherWords(Wish other) {
            return intent == Intent.CHANGE
                    && other.intent == Intent.CHANGE
                    && replacement.isPresent()
                    && other.replacement.isPresent()
                    && !replacement.equals(other.replacement);
        }
    }

    /**
     * Whether two places are the same for most of the smaller one; stretches of text share a character, spans of time
     * meet.
     */
    private static boolean overlap(Place a, Place b, double ratio) {
        if (a instanceof Place.TextRange one && b instanceof Place.TextRange other) {
            return one.shares(other);
        }
        if (a instanceof Place.Moment one && b instanceof Place.Moment other) {
            return one.meets(other)
                    && (one.shape().isEmpty()
                            || other.shape().isEmpty()
                            || overlap(one.shape().get(), other.shape().get(), ratio));
        }
        return a.page() == b.page() && PlaceArea.of(a, ratio).overlap(PlaceArea.of(b, ratio)) >= OVERLAP;
    }

    /** The clashes among the marks that stand in one round, in the order they were placed. */
    public static List<Clash> among(List<Wish> wishes) {
        return pairs(wishes, true);
    }

    /** Pairs of marks by two people that ask for a change at one place: they can be read as one wish. */
    public static List<Clash> sameWishes(List<Wish> wishes) {
        return pairs(wishes, false);
    }

    private static List<Clash> pairs(List<Wish> wishes, boolean against) {
        List<Clash> result = new ArrayList<>();
        for (int later = 1; later < wishes.size(); later++) {
            for (int earlier = 0; earlier < later; earlier++) {
                Wish a = wishes.get(earlier);
                Wish b = wishes.get(later);
                boolean asked = against
                        ? a.against(b)
                        : a.intent == Intent.CHANGE && b.intent == Intent.CHANGE && !a.otherWords(b);
                if (asked && a.overlaps(b)) {
                    result.add(new Clash(a.mark, b.mark));
                }
            }
        }
        return result;
    }

    /** Whether a mark is one of the two. */
    public boolean involves(MarkupId mark) {
        return first.equals(mark) || second.equals(mark);
    }

    /** The other of the two. */
    public MarkupId other(MarkupId mark) {
        return first.equals(mark) ? second : first;
    }
}
