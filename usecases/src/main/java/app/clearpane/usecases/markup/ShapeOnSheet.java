package app.clearpane.usecases.markup;

import app.clearpane.core.markup.Place;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A shape in a drawing that is 1,000 wide.
 *
 * @param shape "point", "rectangle", "ellipse" or "path"
 * @param x1 of a rectangle its left edge, of an ellipse and a point the middle
 * @param x2 of a rectangle its width, of an ellipse half of it
 * @param anchorX where its leader ends
 * @param path of an arrow and of lines; empty for other shapes
 */
public record ShapeOnSheet(
        String shape, double x1, double y1, double x2, double y2, double anchorX, double anchorY, String path) {
    public static final double WIDTH = 1_000;
    private static final double HEAD = 14;

    /**
     * Whether a place is a shape on a sheet: a stretch of text is not, and of what is played a picture from elsewhere
     * would mislead.
     */
    public static boolean pictured(Place place) {
        return !(place instanceof Place.TextRange || place instanceof Place.Moment);
    }

    /**
     * Draws what of a place is a shape; empty for a stretch of text and for a moment without one. @param ratio the
     * height of its page over the width
     */
    public static Optional<ShapeOnSheet> shape(Place place, double ratio) {
        if (place instanceof Place.Moment moment) {
            return moment.shape().map(inner -> of(inner, ratio));
        }
        return place instanceof Place.TextRange ? Optional.empty() : Optional.of(of(place, ratio));
    }

    /** Draws a place. @param ratio the height of its page over the width */
    public static ShapeOnSheet of(Place place, double ratio) {
        double height = WIDTH * ratio;
        double cx = place.centreX() * WIDTH;
        double cy = place.centreY() * height;
        if (place instanceof Place.Rectangle r) {
            return new ShapeOnSheet(
                    "rectangle", r.x() * WIDTH, r.y() * height, r.width() * WIDTH, r.height() * height, cx, cy, "");
        }
        if (place instanceof Place.Ellipse e) {
            return new ShapeOnSheet("ellipse", cx, cy, e.width() / 2 * WIDTH, e.height() / 2 * height, cx, cy, "");
        }
        if (place instanceof Place.Arrow a) {
            double x2 = a.toX() * WIDTH;
            double y2 = a.toY() * height;
            return path(
                    List.of(new Place.Spot(a.fromX(), a.fromY()), new Place.Spot(a.toX(), a.toY())),
                    height,
                    head(a.fromX() * WIDTH, a.fromY() * height, x2, y2));
        }
        if (place instanceof Place.Line l) {
            return path(List.of(new Place.Spot(l.fromX(), l.fromY()), new Place.Spot(l.toX(), l.toY())), height, "");
        }
        if (place instanceof Place.Freehand f) {
            return path(f.spots(), height, "");
        }
        return new ShapeOnSheet("point", cx, cy, 0, 0, cx, cy, "");
    }

    private static ShapeOnSheet path(List<Place.Spot> spots, double height, String more) {
        StringBuilder path = new StringBuilder();
        for (Place.Spot spot : spots) {
            path.append(path.isEmpty() ? 'M' : 'L')
                    .append(String.format(Locale.ROOT, "%.1f %.1f", spot.x() * WIDTH, spot.y() * height));
        }
        return new ShapeOnSheet(
                "path", 0, 0, 0, 0, spots.get(0).x() * WIDTH, spots.get(0).y() * height, path + more);
    }

    private static String head(double x1, double y1, double x2, double y2) {
        double along = Math.atan2(y2 - y1, x2 - x1);
        return String.format(
                Locale.ROOT,
                "M%.1f %.1fL%.1f %.1fL%.1f %.1f",
                x2 - HEAD * Math.cos(along - 0.45),
                y2 - HEAD * Math.sin(along - 0.45),
                x2,
                y2,
                x2 - HEAD * Math.cos(along + 0.45),
                y2 - HEAD * Math.sin(along + 0.45));
    }
}
