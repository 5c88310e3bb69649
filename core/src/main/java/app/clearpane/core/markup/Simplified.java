package app.clearpane.core.markup;

import app.clearpane.core.markup.Place.Spot;
import java.util.List;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;

/**
 * A line with fewer spots that tell the same course (Ramer, 1972; Douglas and Peucker, 1973): a spot stays when it lies
 * further than the tolerance from the straight line between the two kept around it.
 */
final class Simplified {
    /** In page widths: about two pixels on a large sheet. */
    static final double TOLERANCE = 0.0015;

    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    private Simplified() {}

    static List<Spot> of(List<Spot> spots) {
        if (spots.size() <= 2) {
            return spots;
        }
        Coordinate[] line =
                spots.stream().map(spot -> new Coordinate(spot.x(), spot.y())).toArray(Coordinate[]::new);
        DouglasPeuckerSimplifier simplifier = new DouglasPeuckerSimplifier(GEOMETRY.createLineString(line));
        simplifier.setDistanceTolerance(TOLERANCE);
        simplifier.setEnsureValid(false);
        return Stream.of(simplifier.getResultGeometry().getCoordinates())
                .map(kept -> new Spot(kept.x, kept.y))
                .toList();
    }
}
