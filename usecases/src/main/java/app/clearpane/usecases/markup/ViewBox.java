package app.clearpane.usecases.markup;

import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
import java.util.Locale;

/** What of a drawing that is 1,000 wide to show of one thing on it, as a view box three wide and two high. */
public final class ViewBox {
    private static final double LEAST = 120;
    /** How much of what is around a thing is shown on each side, in its own sizes. */
    private static final double AROUND = 0.35;

    private ViewBox() {}

    /** Around a box of the drawing. */
    public static String around(Box box) {
        double width = Math.max(LEAST, Math.max(box.width(), box.height() * 1.5) * (1 + 2 * AROUND));
        double height = width / 1.5;
        return String.format(
                Locale.ROOT,
                "%.1f %.1f %.1f %.1f",
                box.x() + box.width() / 2 - width / 2,
                box.y() + box.height() / 2 - height / 2,
                width,
                height);
    }

    /** Around a place; of an arrow, around its tip. @param ratio the height of its page over the width */
    public static String around(Place place, double ratio) {
        return around(drawn(place instanceof Place.Arrow a ? new Box(a.toX(), a.toY(), 0, 0) : place.bounds(), ratio));
    }

    /** A box of a page in its drawing. */
    public static Box drawn(Box box, double ratio) {
        return new Box(
                box.x() * ShapeOnSheet.WIDTH,
                box.y() * ShapeOnSheet.WIDTH * ratio,
                box.width() * ShapeOnSheet.WIDTH,
                box.height() * ShapeOnSheet.WIDTH * ratio);
    }
}
