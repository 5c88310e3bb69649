package app.clearpane.core.markup;

import java.util.Comparator;

/**
 * The order in which one walks through marks (M2): by page, in bands of 0.03 from top to bottom, then from left to
 * right; texts and what is played from beginning to end.
 */
public final class ReadingOrder {
    private static final double BAND = 0.03;

    /** Compares places by page, band or time, and distance from the left. */
    public static final Comparator<Place> BY_BANDS = Comparator.comparingInt(Place::page)
            .thenComparingDouble(ReadingOrder::along)
            .thenComparingDouble(Place::centreX);

    private ReadingOrder() {}

    private static double along(Place place) {
        if (place instanceof Place.TextRange range) {
            return range.start();
        }
        return place instanceof Place.Moment moment ? moment.from() : (int) (place.centreY() / BAND);
    }
}
