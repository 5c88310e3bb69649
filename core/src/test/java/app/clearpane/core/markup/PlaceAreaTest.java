package app.clearpane.core.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** How much of one place another covers, measured in page widths. */
class PlaceAreaTest {
    private static double overlap(Place one, Place other, double ratio) {
        return PlaceArea.of(one, ratio).overlap(PlaceArea.of(other, ratio));
    }

    @Test
    void isThePartOfTheSmallerOne() {
        Place all = new Place.Rectangle(1, 0, 0, 1, 1);
        Place quarter = new Place.Rectangle(1, 0, 0, 0.5, 0.5);
        assertThat(overlap(all, quarter, 1.4)).isEqualTo(1);
        assertThat(overlap(quarter, new Place.Rectangle(1, 0.25, 0, 0.5, 0.5), 1.4))
                .isCloseTo(0.5, within(1e-9));
        assertThat(overlap(quarter, new Place.Rectangle(1, 0.5, 0, 0.5, 0.5), 1.4))
                .as("side by side")
                .isZero();
    }

    @Test
    void aPointIsARoundSpotOnAPageOfAnyHeight() {
        Place point = new Place.Point(1, 0.5, 0.5);
        for (double ratio : new double[] {0.5, 1, 1.414, 3}) {
            assertThat(overlap(point, new Place.Point(1, 0.5 + 2.001 * PlaceArea.RADIUS, 0.5), ratio))
                    .as("beside it")
                    .isZero();
            assertThat(overlap(point, new Place.Point(1, 0.5, 0.5 + 2.001 * PlaceArea.RADIUS / ratio), ratio))
                    .as("below it")
                    .isZero();
            assertThat(overlap(point, new Place.Point(1, 0.5, 0.5 + 1.9 * PlaceArea.RADIUS / ratio), ratio))
                    .isPositive();
        }
    }

    @Test
    void anArrowIsAboutItsTip() {
        Place arrow = new Place.Arrow(1, 0.1, 0.1, 0.8, 0.8);
        assertThat(overlap(arrow, new Place.Point(1, 0.8, 0.8), 1)).isCloseTo(1, within(1e-6));
        assertThat(overlap(arrow, new Place.Point(1, 0.1, 0.1), 1)).isZero();
        assertThat(overlap(new Place.Line(1, 0.1, 0.1, 0.8, 0.8), new Place.Point(1, 0.1, 0.1), 1))
                .as("a line is about all of it")
                .isGreaterThan(0.9);
    }

    @Test
    void anEllipseLeavesTheCornersOfItsBox() {
        Place ellipse = new Place.Ellipse(1, 0.2, 0.2, 0.6, 0.6);
        assertThat(PlaceArea.of(ellipse, 1).stretches(0.5)).containsExactly(new double[] {0.2, 0.8}, within(0.001));
        assertThat(PlaceArea.of(ellipse, 1).stretches(0.35))
                .containsExactly(
                        new double[] {0.5 - 0.3 * Math.sqrt(0.75), 0.5 + 0.3 * Math.sqrt(0.75)}, within(0.001));
        assertThat(overlap(ellipse, new Place.Rectangle(1, 0.2, 0.2, 0.05, 0.05), 1))
                .isZero();
    }

    @Test
    void whatIsDrawnByHandIsAboutWhatItEncloses() {
        Place ring = new Place.Freehand(
                1,
                List.of(
                        new Place.Spot(0.2, 0.2),
                        new Place.Spot(0.8, 0.2),
                        new Place.Spot(0.8, 0.8),
                        new Place.Spot(0.2, 0.8)));
        assertThat(overlap(ring, new Place.Point(1, 0.5, 0.5), 1))
                .as("in the middle of the ring")
                .isCloseTo(1, within(1e-6));
        Place stroke = new Place.Freehand(1, List.of(new Place.Spot(0.2, 0.2), new Place.Spot(0.8, 0.2)));
        assertThat(overlap(stroke, new Place.Point(1, 0.5, 0.2), 1))
                .as("on the stroke")
                .isGreaterThan(0.9);
        Place eight = new Place.Freehand(
                1,
                List.of(
                        new Place.Spot(0.2, 0.2),
                        new Place.Spot(0.8, 0.8),
                        new Place.Spot(0.8, 0.2),
                        new Place.Spot(0.2, 0.8)));
        assertThat(overlap(eight, new Place.Point(1, 0.75, 0.5), 1))
                .as("a line that crosses itself encloses both its halves")
                .isGreaterThan(0.9);
    }

    @Test
    void aMomentWithoutAShapeIsAboutTheWholePicture() {
        assertThat(overlap(
                        new Place.Moment(3, 3, Optional.empty()), new Place.Rectangle(1, 0.9, 0.9, 0.1, 0.1), 0.5625))
                .isEqualTo(1);
        assertThat(overlap(
                        new Place.Moment(3, 3, Optional.of(new Place.Rectangle(1, 0, 0, 0.5, 1))),
                        new Place.Rectangle(1, 0.9, 0.9, 0.1, 0.1),
                        0.5625))
                .isZero();
    }

    @Test
    void aLineAcrossItIsInItInStretches() {
        PlaceArea high = PlaceArea.of(new Place.Rectangle(1, 0, 0.25, 0.5, 0.5), 2);
        assertThat(new double[] {high.left(), high.right(), high.top(), high.bottom()})
                .as("measured in page widths")
                .containsExactly(0, 0.5, 0.5, 1.5);
        assertThat(high.stretches(1)).containsExactly(0, 0.5);
        assertThat(high.stretches(0.4)).isEmpty();
        assertThat(high.widened(0.2).stretches(0.4))
                .containsExactly(
                        new double[] {-Math.sqrt(0.2 * 0.2 - 0.1 * 0.1), 0.5 + Math.sqrt(0.2 * 0.2 - 0.1 * 0.1)},
                        within(0.01));
        Place horseshoe = new Place.Freehand(
                1,
                List.of(
                        new Place.Spot(0.1, 0.1),
                        new Place.Spot(0.3, 0.1),
                        new Place.Spot(0.3, 0.6),
                        new Place.Spot(0.6, 0.6),
                        new Place.Spot(0.6, 0.1),
                        new Place.Spot(0.9, 0.1),
                        new Place.Spot(0.9, 0.9),
                        new Place.Spot(0.1, 0.9)));
        assertThat(PlaceArea.of(horseshoe, 1).stretches(0.3))
                .containsExactly(new double[] {0.1, 0.3, 0.6, 0.9}, within(1e-9));
    }

    /** Overlap has no order, lies between 0 and 1, is whole with itself, and is what trying spots at random finds. */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void overlapIsWhatSpotsAtRandomFind(long seed) {
        Random random = new Random(seed);
        double ratio = 0.5 + random.nextDouble() * 2;
        Place one = rectangle(random);
        Place other = random.nextBoolean() ? rectangle(random) : ellipse(random);
        double overlap = overlap(one, other, ratio);
        assertThat(overlap).isBetween(0.0, 1.0).isCloseTo(overlap(other, one, ratio), within(1e-9));
        assertThat(overlap(one, one, ratio)).isCloseTo(1, within(1e-9));
        int both = 0;
        int inOne = 0;
        int inOther = 0;
        for (int i = 0; i < 40_000; i++) {
            double x = random.nextDouble();
            double y = random.nextDouble();
            boolean a = holds(one, x, y);
            boolean b = holds(other, x, y);
            inOne += a ? 1 : 0;
            inOther += b ? 1 : 0;
            both += a && b ? 1 : 0;
        }
        assertThat(overlap).isCloseTo((double) both / Math.max(1, Math.min(inOne, inOther)), within(0.06));
    }

    private static Place rectangle(Random random) {
        double width = 0.2 + random.nextDouble() * 0.4;
        double height = 0.2 + random.nextDouble() * 0.4;
        return new Place.Rectangle(
                1, random.nextDouble() * (1 - width), random.nextDouble() * (1 - height), width, height);
    }

    private static Place ellipse(Random random) {
        Box box = rectangle(random).bounds();
        return new Place.Ellipse(1, box.x(), box.y(), box.width(), box.height());
    }

    private static boolean holds(Place place, double x, double y) {
        Box box = place.bounds();
        if (place instanceof Place.Rectangle) {
            return x >= box.x() && x <= box.right() && y >= box.y() && y <= box.bottom();
        }
        double across = (x - box.x() - box.width() / 2) / (box.width() / 2);
        double down = (y - box.y() - box.height() / 2) / (box.height() / 2);
        return across * across + down * down <= 1;
    }
}
