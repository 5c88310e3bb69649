package app.clearpane.core.compare;

import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.PlaceArea;
import java.util.List;

/**
 * Whether the next version did anything where a mark is (C4).
 *
 * @param kind what it comes to
 * @param covered the part of the mark's area that regions cover, 0 to 1
 */
public record Touch(Kind kind, double covered) {
  private static final double COVERED_ENOUGH = 0.05;
  private static final double MOSTLY_INSIDE = 0.5;
  /** In page widths. */
  private static final double NEAR = 0.03;

  /** How near the changes are. */
  public enum Kind {
    /** Regions cover at least 5 % of the place, or at least half of some region lies in it. */
    TOUCHED,
    /** A region is within 0.03 page widths. */
    NEARBY,
    UNTOUCHED
  }

  /**
   * What changed at a place.
   *
   * @param regions in fractions of the page the place is on
   * @param ratio that page's height over its width
   */
  public static Touch of(Place place, List<Box> regions, double ratio) {
    PlaceArea area = PlaceArea.of(place, ratio);
    double covered = area.coveredBy(regions, ratio);
    if (covered >= COVERED_ENOUGH || regions.stream().anyMatch(box -> area.holdsOf(box, ratio) >= MOSTLY_INSIDE)) {
      return new Touch(Kind.TOUCHED, covered);
    }
    return new Touch(regions.stream().anyMatch(box -> near(area, box, ratio)) ? Kind.NEARBY : Kind.UNTOUCHED, covered);
  }

  /** The regions that are at or near none of these places: they changed without being asked. Both are in fractions of one page. */
  public static List<Box> unasked(List<Place> asked, List<Box> regions, double ratio) {
    List<PlaceArea> areas = asked.stream().map(place -> PlaceArea.of(place, ratio)).toList();
    return regions.stream().filter(box -> areas.stream().noneMatch(area -> near(area, box, ratio))).toList();
  }

  private static boolean near(PlaceArea area, Box box, double ratio) {
    return area.distance(box, ratio) <= NEAR;
  }
}
