package app.clearpane.core.markup;

import java.util.Comparator;

/** The order in which one walks through marks (M2): by page, in bands of 0.03 from top to bottom, then from left to right. */
public final class ReadingOrder {
  private static final double BAND = 0.03;

  /** Compares places by page, band and distance from the left. */
  public static final Comparator<Place> BY_BANDS =
      Comparator.comparingInt(Place::page).thenComparingInt(p -> (int) (p.centreY() / BAND)).thenComparingDouble(Place::centreX);

  private ReadingOrder() {}
}
