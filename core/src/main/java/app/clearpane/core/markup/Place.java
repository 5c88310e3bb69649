package app.clearpane.core.markup;

import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Where a mark is: a page and a shape on it, in fractions of the upright page from its top left corner (M1).
 */
public sealed interface Place {
  /** The page, from 1. */
  int page();

  /** The smallest box around it, in fractions of the page. */
  Box bounds();

  /** The height at which its note wants to stand, in fractions of the page's height. */
  default double centreY() {
    return bounds().y() + bounds().height() / 2;
  }

  /** The middle from left to right, in fractions of the page's width. */
  default double centreX() {
    return bounds().x() + bounds().width() / 2;
  }

  /**
   * The same shape on another page, each of its spots brought there.
   *
   * @param bring may not leave the page
   * @return a point where a box would have no size any more
   */
  Place brought(int toPage, UnaryOperator<Spot> bring);

  /** A spot. */
  record Point(int page, double x, double y) implements Place {
    public Point {
      onPage(page, x, y);
    }

    @Override
    public Box bounds() {
      return new Box(x, y, 0, 0);
    }

    @Override
    public Place brought(int toPage, UnaryOperator<Spot> bring) {
      Spot spot = bring.apply(new Spot(x, y));
      return new Point(toPage, spot.x, spot.y);
    }
  }

  /**
   * A rectangle with its sides along the page's.
   *
   * @param width above 0; the right edge may not leave the page
   * @param height above 0; the lower edge may not leave the page
   */
  record Rectangle(int page, double x, double y, double width, double height) implements Place {
    public Rectangle {
      onPage(page, x, y, x + width, y + height);
      if (width <= 0 || height <= 0) {
        throw new OutOfRange("a rectangle needs a width and a height above 0, got " + width + " × " + height);
      }
    }

    @Override
    public Box bounds() {
      return new Box(x, y, width, height);
    }

    @Override
    public Place brought(int toPage, UnaryOperator<Spot> bring) {
      Spot from = bring.apply(new Spot(x, y));
      Spot to = bring.apply(new Spot(x + width, y + height));
      return to.x > from.x && to.y > from.y ? new Rectangle(toPage, from.x, from.y, to.x - from.x, to.y - from.y) : new Point(toPage, from.x, from.y);
    }
  }

  /**
   * An ellipse in a box with its sides along the page's.
   *
   * @param width above 0; the right edge may not leave the page
   * @param height above 0; the lower edge may not leave the page
   */
  record Ellipse(int page, double x, double y, double width, double height) implements Place {
    public Ellipse {
      onPage(page, x, y, x + width, y + height);
      if (width <= 0 || height <= 0) {
        throw new OutOfRange("an ellipse needs a width and a height above 0, got " + width + " × " + height);
      }
    }

    @Override
    public Box bounds() {
      return new Box(x, y, width, height);
    }

    @Override
    public Place brought(int toPage, UnaryOperator<Spot> bring) {
      Spot from = bring.apply(new Spot(x, y));
      Spot to = bring.apply(new Spot(x + width, y + height));
      return to.x > from.x && to.y > from.y ? new Ellipse(toPage, from.x, from.y, to.x - from.x, to.y - from.y) : new Point(toPage, from.x, from.y);
    }
  }

  /** A straight line between two spots. */
  record Line(int page, double fromX, double fromY, double toX, double toY) implements Place {
    public Line {
      onPage(page, fromX, fromY, toX, toY);
    }

    @Override
    public Box bounds() {
      return Box.between(fromX, fromY, toX, toY);
    }

    @Override
    public Place brought(int toPage, UnaryOperator<Spot> bring) {
      Spot from = bring.apply(new Spot(fromX, fromY));
      Spot to = bring.apply(new Spot(toX, toY));
      return new Line(toPage, from.x, from.y, to.x, to.y);
    }
  }

  /**
   * A line drawn by hand.
   *
   * @param spots in the order they were drawn, 2 to 10,000
   */
  record Freehand(int page, List<Spot> spots) implements Place {
    /** The most spots one line may have. */
    public static final int MOST_SPOTS = 10_000;

    public Freehand {
      spots = List.copyOf(spots);
      if (spots.size() < 2 || spots.size() > MOST_SPOTS) {
        throw new OutOfRange("a line drawn by hand has 2 to " + MOST_SPOTS + " spots, got " + spots.size());
      }
      spots.forEach(spot -> onPage(page, spot.x, spot.y));
    }

    /** The line as it was drawn, without the spots that are not needed to tell its course. */
    public static Freehand drawn(int page, List<Spot> spots) {
      return new Freehand(page, Simplified.of(spots));
    }

    @Override
    public Box bounds() {
      DoubleSummaryStatistics across = spots.stream().mapToDouble(Spot::x).summaryStatistics();
      DoubleSummaryStatistics down = spots.stream().mapToDouble(Spot::y).summaryStatistics();
      return Box.between(across.getMin(), down.getMin(), across.getMax(), down.getMax());
    }

    @Override
    public Place brought(int toPage, UnaryOperator<Spot> bring) {
      return new Freehand(toPage, spots.stream().map(bring).toList());
    }
  }

  /** A spot on a page, in fractions of its width and height. */
  record Spot(double x, double y) {}

  /** An arrow from its tail to its tip. What it is about lies at the tip. */
  record Arrow(int page, double fromX, double fromY, double toX, double toY) implements Place {
    public Arrow {
      onPage(page, fromX, fromY, toX, toY);
    }

    @Override
    public Box bounds() {
      return Box.between(fromX, fromY, toX, toY);
    }

    @Override
    public Place brought(int toPage, UnaryOperator<Spot> bring) {
      Spot from = bring.apply(new Spot(fromX, fromY));
      Spot to = bring.apply(new Spot(toX, toY));
      return new Arrow(toPage, from.x, from.y, to.x, to.y);
    }
  }

  /** A place that is not on a page. */
  final class OutOfRange extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    OutOfRange(String message) {
      super(message);
    }
  }

  private static void onPage(int page, double... fractions) {
    if (page < 1) {
      throw new OutOfRange("pages count from 1, got " + page);
    }
    for (double fraction : fractions) {
      if (!(fraction >= 0 && fraction <= 1 + 1e-9)) {
        throw new OutOfRange("a place lies between 0 and 1 of its page, got " + fraction);
      }
    }
  }
}
