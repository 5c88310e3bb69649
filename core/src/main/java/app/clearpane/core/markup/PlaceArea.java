package app.clearpane.core.markup;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.GeometryFixer;
import org.locationtech.jts.util.GeometricShapeFactory;

/**
 * The area that a mark is about (M1), measured in page widths both ways: a point and the tip of an arrow are discs of
 * radius 0.02, a line is as broad as such a disc, what is drawn by hand is closed; a moment without a shape is about
 * the whole picture.
 */
public final class PlaceArea {
    /** In page widths. */
    static final double RADIUS = 0.02;

    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final int CORNERS = 64;

    private final Geometry shape;
    private final Envelope around;
    private final double[] edges;

    private PlaceArea(Geometry shape) {
        this.shape = shape;
        around = shape.getEnvelopeInternal();
        edges = edges(shape);
    }

    /**
     * The area of a place.
     *
     * @param ratio the height of its page over the width
     */
    public static PlaceArea of(Place place, double ratio) {
        return new PlaceArea(shape(place, ratio));
    }

    private static Geometry shape(Place place, double ratio) {
        if (place instanceof Place.Rectangle r) {
            return GEOMETRY.toGeometry(
                    new Envelope(r.x(), r.x() + r.width(), r.y() * ratio, (r.y() + r.height()) * ratio));
        }
        if (place instanceof Place.Ellipse e) {
            GeometricShapeFactory round = new GeometricShapeFactory(GEOMETRY);
            round.setEnvelope(new Envelope(e.x(), e.x() + e.width(), e.y() * ratio, (e.y() + e.height()) * ratio));
            round.setNumPoints(CORNERS);
            return round.createEllipse();
        }
        if (place instanceof Place.Line l) {
            return GEOMETRY.createLineString(new Coordinate[] {
                        new Coordinate(l.fromX(), l.fromY() * ratio), new Coordinate(l.toX(), l.toY() * ratio)
                    })
                    .buffer(RADIUS);
        }
        if (place instanceof Place.Freehand f) {
            return closed(f, ratio);
        }
        if (place instanceof Place.TextRange
                || place instanceof Place.Moment m && m.shape().isEmpty()) {
            return GEOMETRY.toGeometry(new Envelope(0, 1, 0, ratio));
        }
        if (place instanceof Place.Moment m) {
            return shape(m.shape().orElseThrow(), ratio);
        }
        if (place instanceof Place.Arrow a) {
            return disc(a.toX(), a.toY() * ratio);
        }
        return disc(place.centreX(), place.centreY() * ratio);
    }

    /**
     * What a line drawn by hand encloses when its ends are joined; a line that encloses next to nothing is as broad as
     * a disc.
     */
    private static Geometry closed(Place.Freehand line, double ratio) {
        Coordinate[] corners = new Coordinate[line.spots().size() + 1];
        for (int i = 0; i < corners.length; i++) {
            Place.Spot spot = line.spots().get(i % line.spots().size());
            corners[i] = new Coordinate(spot.x(), spot.y() * ratio);
        }
        Geometry inside =
                corners.length < 4 ? GEOMETRY.createPolygon() : GeometryFixer.fix(GEOMETRY.createPolygon(corners));
        return inside.getArea() > RADIUS * RADIUS
                ? inside
                : GEOMETRY.createLineString(corners).buffer(RADIUS);
    }

    private static Geometry disc(double x, double y) {
        return GEOMETRY.createPoint(new Coordinate(x, y)).buffer(RADIUS);
    }

    /** The part of the smaller of two areas that the other covers, 0 to 1. */
    public double overlap(PlaceArea other) {
        double smaller = Math.min(shape.getArea(), other.shape.getArea());
        return smaller == 0 ? 0 : Math.min(1, shape.intersection(other.shape).getArea() / smaller);
    }

    /** The same and all that is no further away. @param by in page widths */
    public PlaceArea widened(double by) {
        return new PlaceArea(shape.buffer(by));
    }

    /** Where it begins from the left, in page widths, as all of these. */
    public double left() {
        return around.getMinX();
    }

    /** Where it ends at the right. */
    public double right() {
        return around.getMaxX();
    }

    /** Where it begins from the top. */
    public double top() {
        return around.getMinY();
    }

    /** Where it ends at the foot. */
    public double bottom() {
        return around.getMaxY();
    }

    /**
     * What of a line from left to right lies in it: begin and end of each stretch, from the left, in page
     * widths. @param y how far from the top
     */
    public double[] stretches(double y) {
        double[] crossed = new double[edges.length / 4];
        int found = 0;
        for (int at = 0; at < edges.length; at += 4) {
            if (edges[at + 1] <= y != edges[at + 3] <= y) {
                crossed[found++] =
                        edges[at] + (y - edges[at + 1]) / (edges[at + 3] - edges[at + 1]) * (edges[at + 2] - edges[at]);
            }
        }
        double[] stretches = Arrays.copyOf(crossed, found);
        Arrays.sort(stretches);
        return stretches;
    }

    /** From and to of each edge of its rings, x before y. */
    private static double[] edges(Geometry shape) {
        List<Double> edges = new ArrayList<>();
        for (int i = 0; i < shape.getNumGeometries(); i++) {
            if (shape.getGeometryN(i) instanceof Polygon polygon && !polygon.isEmpty()) {
                add(polygon.getExteriorRing(), edges);
                for (int hole = 0; hole < polygon.getNumInteriorRing(); hole++) {
                    add(polygon.getInteriorRingN(hole), edges);
                }
            }
        }
        return edges.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private static void add(LineString ring, List<Double> edges) {
        for (int i = 1; i < ring.getNumPoints(); i++) {
            edges.addAll(List.of(
                    ring.getCoordinateN(i - 1).x,
                    ring.getCoordinateN(i - 1).y,
                    ring.getCoordinateN(i).x,
                    ring.getCoordinateN(i).y));
        }
    }
}
