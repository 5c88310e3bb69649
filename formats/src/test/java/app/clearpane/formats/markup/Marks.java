package app.clearpane.formats.markup;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;

/** Marks for tests. */
final class Marks {
    private static final Instant AT = Instant.parse("2027-03-24T09:30:00Z");

    private Marks() {}

    static Annotation of(int number, Place place, Intent intent, PageSize size) {
        return new Annotation(
                "urn:uuid:" + new UUID(1, number),
                "2·" + number,
                place,
                size,
                intent,
                MarkupProgress.values()[number % MarkupProgress.values().length],
                "Note " + number + ", with ä and “quotes”",
                "Jasper",
                AT,
                number % 2 == 0 ? List.of(new Annotation.Reply("Yes", "Teo", AT.plusSeconds(60))) : List.of(),
                java.util.Optional.empty());
    }

    /** One of each shape on each page, at random places. */
    static List<Annotation> ofEveryKind(long seed, int pages, PageSize size) {
        Random random = new Random(seed);
        List<Annotation> all = new ArrayList<>();
        for (int page = 1; page <= pages; page++) {
            for (Place place : places(random, page)) {
                all.add(of(all.size() + 1, place, Intent.values()[all.size() % 4], size));
            }
        }
        return all;
    }

    private static List<Place> places(Random random, int page) {
        double x = 0.05 + random.nextDouble() * 0.5;
        double y = 0.05 + random.nextDouble() * 0.5;
        double w = 0.05 + random.nextDouble() * 0.3;
        double h = 0.05 + random.nextDouble() * 0.3;
        List<Place.Spot> spots = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            spots.add(new Place.Spot(random.nextDouble(), random.nextDouble()));
        }
        return List.of(
                new Place.Point(page, x, y),
                new Place.Rectangle(page, x, y, w, h),
                new Place.Ellipse(page, x, y, w, h),
                new Place.Line(page, x, y, x + w, y + h),
                new Place.Arrow(page, x + w, y, x, y + h),
                new Place.Freehand(page, spots));
    }

    /** The greatest distance between the same spots of two places of one kind, in fractions of the page. */
    static double apart(Place one, Place other) {
        List<Place.Spot> a = spots(one);
        List<Place.Spot> b = spots(other);
        double most = one.getClass() == other.getClass() && a.size() == b.size() && one.page() == other.page()
                ? 0
                : Double.MAX_VALUE;
        for (int i = 0; i < Math.min(a.size(), b.size()); i++) {
            most = Math.max(
                    most,
                    Math.max(
                            Math.abs(a.get(i).x() - b.get(i).x()),
                            Math.abs(a.get(i).y() - b.get(i).y())));
        }
        return most;
    }

    private static List<Place.Spot> spots(Place place) {
        if (place instanceof Place.Freehand f) {
            return f.spots();
        }
        if (place instanceof Place.Line l) {
            return List.of(new Place.Spot(l.fromX(), l.fromY()), new Place.Spot(l.toX(), l.toY()));
        }
        if (place instanceof Place.Arrow a) {
            return List.of(new Place.Spot(a.fromX(), a.fromY()), new Place.Spot(a.toX(), a.toY()));
        }
        return List.of(
                new Place.Spot(place.bounds().x(), place.bounds().y()),
                new Place.Spot(place.bounds().right(), place.bounds().bottom()));
    }
}
