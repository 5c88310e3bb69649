package app.clearpane.core.markup;

/**
 * Where a mark is: a page and a shape on it, in fractions of the upright page from its top left corner (M1).
 */
public sealed interface Place {
  /** The page, from 1. */
  int page();

  /** The height at which its note wants to stand, in fractions of the page's height. */
  double centreY();

  /** The middle from left to right, in fractions of the page's width. */
  double centreX();

  /** A spot. */
  record Point(int page, double x, double y) implements Place {
    public Point {
      onPage(page, x, y);
    }

    @Override
    public double centreX() {
      return x;
    }

    @Override
    public double centreY() {
      return y;
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
    public double centreX() {
      return x + width / 2;
    }

    @Override
    public double centreY() {
      return y + height / 2;
    }
  }

  /** An arrow from its tail to its tip. What it is about lies at the tip. */
  record Arrow(int page, double fromX, double fromY, double toX, double toY) implements Place {
    public Arrow {
      onPage(page, fromX, fromY, toX, toY);
    }

    @Override
    public double centreX() {
      return (fromX + toX) / 2;
    }

    @Override
    public double centreY() {
      return (fromY + toY) / 2;
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
