package app.clearpane.core.markup;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.GeometryFixer;
import org.locationtech.jts.util.GeometricShapeFactory;

/**
 * The area that a mark is about (M1), measured in page widths both ways: a point and the tip of an arrow are discs of radius 0.02, a line is
 * as broad as such a disc, what is drawn by hand is closed; a moment without a shape is about the whole picture.
 */
public final class PlaceArea {
  /** In page widths. */
  static final double RADIUS = 0.02;
  private static final GeometryFactory GEOMETRY = new GeometryFactory();
  private static final int CORNERS = 64;

  private final Geometry shape;

  private PlaceArea(Geometry shape) {
    this.shape = shape;
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
      return GEOMETRY.toGeometry(new Envelope(r.x(), r.x() + r.width(), r.y() * ratio, (r.y() + r.height()) * ratio));
    }
    if (place instanceof Place.Ellipse e) {
      GeometricShapeFactory round = new GeometricShapeFactory(GEOMETRY);
      round.setEnvelope(new Envelope(e.x(), e.x() + e.width(), e.y() * ratio, (e.y() + e.height()) * ratio));
      round.setNumPoints(CORNERS);
      return round.createEllipse();
    }
    if (place instanceof Place.Line l) {
      return GEOMETRY.createLineString(new Coordinate[] {new Coordinate(l.fromX(), l.fromY() * ratio), new Coordinate(l.toX(), l.toY() * ratio)}).buffer(RADIUS);
    }
    if (place instanceof Place.Freehand f) {
      return closed(f, ratio);
    }
    if (place instanceof Place.TextRange || place instanceof Place.Moment m && m.shape().isEmpty()) {
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

  /** What a line drawn by hand encloses when its ends are joined; a line that encloses next to nothing is as broad as a disc. */
  private static Geometry closed(Place.Freehand line, double ratio) {
    Coordinate[] corners = new Coordinate[line.spots().size() + 1];
    for (int i = 0; i < corners.length; i++) {
      Place.Spot spot = line.spots().get(i % line.spots().size());
      corners[i] = new Coordinate(spot.x(), spot.y() * ratio);
    }
    Geometry inside = corners.length < 4 ? GEOMETRY.createPolygon() : GeometryFixer.fix(GEOMETRY.createPolygon(corners));
    return inside.getArea() > RADIUS * RADIUS ? inside : GEOMETRY.createLineString(corners).buffer(RADIUS);
  }

  private static Geometry disc(double x, double y) {
    return GEOMETRY.createPoint(new Coordinate(x, y)).buffer(RADIUS);
  }

  /** The part of the smaller of two areas that the other covers, 0 to 1. */
  public double overlap(PlaceArea other) {
    double smaller = Math.min(shape.getArea(), other.shape.getArea());
    return smaller == 0 ? 0 : Math.min(1, shape.intersection(other.shape).getArea() / smaller);
  }

  /** The part of it that these boxes cover together, 0 to 1. @param ratio of the page the boxes are fractions of */
  public double coveredBy(Iterable<Box> boxes, double ratio) {
    Geometry union = GEOMETRY.createPolygon();
    for (Box box : boxes) {
      union = union.union(rectangle(box, ratio).intersection(shape));
    }
    return shape.getArea() == 0 ? 0 : Math.min(1, union.getArea() / shape.getArea());
  }

  /** The part of a box that lies in it, 0 to 1. */
  public double holdsOf(Box box, double ratio) {
    Geometry rectangle = rectangle(box, ratio);
    return rectangle.getArea() == 0 ? 0 : Math.min(1, rectangle.intersection(shape).getArea() / rectangle.getArea());
  }

  /** How far a box is from it, in page widths; 0 if they touch. */
  public double distance(Box box, double ratio) {
    return shape.distance(rectangle(box, ratio));
  }

  private static Geometry rectangle(Box box, double ratio) {
    return GEOMETRY.toGeometry(new Envelope(box.x(), box.right(), box.y() * ratio, box.bottom() * ratio));
  }
}
