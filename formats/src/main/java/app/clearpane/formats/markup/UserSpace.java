package app.clearpane.formats.markup;

import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * The user space of a PDF's page against the upright page as one sees it: cut to its crop box and turned by its
 * {@code /Rotate}.
 *
 * @param turn clockwise, in degrees: 0, 90, 180 or 270
 */
record UserSpace(double left, double bottom, double width, double height, int turn) {

    static UserSpace of(PDPage page) {
        PDRectangle crop = page.getCropBox();
        return new UserSpace(
                crop.getLowerLeftX(),
                crop.getLowerLeftY(),
                crop.getWidth(),
                crop.getHeight(),
                Math.floorMod(page.getRotation(), 360));
    }

    /** Where a spot of the upright page, in fractions from its top left, is in user space. */
    float[] point(double x, double y) {
        double across =
                switch (turn) {
                    case 90 -> y;
                    case 180 -> 1 - x;
                    case 270 -> 1 - y;
                    default -> x;
                };
        double up =
                switch (turn) {
                    case 90 -> x;
                    case 180 -> y;
                    case 270 -> 1 - x;
                    default -> 1 - y;
                };
        return new float[] {(float) (left + across * width), (float) (bottom + up * height)};
    }

    /**
     * Where a spot of user space is on the upright page. What lies outside by less than the width of a line is brought
     * to the edge.
     */
    Place.Spot spot(double u, double v) {
        double across = (u - left) / width;
        double up = (v - bottom) / height;
        return switch (turn) {
            case 90 -> new Place.Spot(edge(up), edge(across));
            case 180 -> new Place.Spot(edge(1 - across), edge(up));
            case 270 -> new Place.Spot(edge(1 - up), edge(1 - across));
            default -> new Place.Spot(edge(across), edge(1 - up));
        };
    }

    private static double edge(double fraction) {
        double slack = 0.01;
        return fraction < 0 && fraction > -slack ? 0 : fraction > 1 && fraction < 1 + slack ? 1 : fraction;
    }

    PDRectangle box(Box box) {
        float[] one = point(box.x(), box.y());
        float[] other = point(box.right(), box.bottom());
        return new PDRectangle(
                Math.min(one[0], other[0]),
                Math.min(one[1], other[1]),
                Math.abs(one[0] - other[0]),
                Math.abs(one[1] - other[1]));
    }

    Box box(PDRectangle rectangle) {
        Place.Spot one = spot(rectangle.getLowerLeftX(), rectangle.getLowerLeftY());
        Place.Spot other = spot(rectangle.getUpperRightX(), rectangle.getUpperRightY());
        return Box.between(one.x(), one.y(), other.x(), other.y());
    }
}
