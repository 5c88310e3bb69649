package app.clearpane.core.markup;

/**
 * A rectangle in fractions of a page's width and height from its top left corner.
 *
 * @param width 0 or more
 * @param height 0 or more
 */
public record Box(double x, double y, double width, double height) {

    /** The box with these two spots in opposite corners. */
    public static Box between(double x1, double y1, double x2, double y2) {
        return new Box(Math.min(x1, x2), Math.min(y1, y2), Math.abs(x1 - x2), Math.abs(y1 - y2));
    }

    /** The right edge. */
    public double right() {
        return x + width;
    }

    /** The lower edge. */
    public double bottom() {
        return y + height;
    }

    /** How large it is, as a part of the page. */
    public double area() {
        return width * height;
    }

    /** The smallest box around both. */
    public Box with(Box other) {
        double left = Math.min(x, other.x);
        double top = Math.min(y, other.y);
        return new Box(left, top, Math.max(right(), other.right()) - left, Math.max(bottom(), other.bottom()) - top);
    }

    /** The part of it that lies on the page; of no size if none does. */
    public Box onPage() {
        double left = Math.min(1, Math.max(0, x));
        double top = Math.min(1, Math.max(0, y));
        return new Box(left, top, Math.min(1, Math.max(0, right())) - left, Math.min(1, Math.max(0, bottom())) - top);
    }
}
