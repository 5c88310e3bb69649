package app.clearpane.core.compare;

import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.PlaceArea;
import java.util.List;

/**
 * Whether the next version did anything where a mark is (C4).
 *
 * @param kind what it comes to
 * @param covered the part of the mark's area that changed pixels cover, 0 to 1
 */
public record Touch(Kind kind, double covered) {
    private static final double COVERED_ENOUGH = 0.05;
    private static final double MOSTLY_INSIDE = 0.5;
    private static final double SLACK = 1e-9;
    /** In page widths. */
    private static final double NEAR = 0.03;

    /** How near the changes are. */
    public enum Kind {
        /** Changed pixels cover at least 5 % of the place, or at least half of some region's lie in it. */
        TOUCHED,
        /** A changed pixel is within 0.03 page widths. */
        NEARBY,
        UNTOUCHED;

        public boolean isTouched() {
            return this == TOUCHED;
        }

        public boolean isUntouched() {
            return this == UNTOUCHED;
        }
    }

    /**
     * What changed at a place.
     *
     * @param regions the changed pixels of each, in fractions of the page the place is on
     * @param ratio that page's height over its width
     */
    static Touch of(Place place, List<Runs> regions, double ratio) {
        PlaceArea area = PlaceArea.of(place, ratio);
        Swept swept = Swept.over(area, regions, ratio);
        if (swept.covered() >= COVERED_ENOUGH - SLACK || swept.mostOfOne() >= MOSTLY_INSIDE - SLACK) {
            return new Touch(Kind.TOUCHED, swept.covered());
        }
        PlaceArea around = area.widened(NEAR);
        return new Touch(
                regions.stream().anyMatch(region -> Swept.meets(around, region, ratio)) ? Kind.NEARBY : Kind.UNTOUCHED,
                swept.covered());
    }

    /** Whether a changed pixel of a region is at or near any of these places. Both are in fractions of one page. */
    static boolean asked(List<Place> places, Runs region, double ratio) {
        return places.stream()
                .anyMatch(place -> Swept.meets(PlaceArea.of(place, ratio).widened(NEAR), region, ratio));
    }
}
