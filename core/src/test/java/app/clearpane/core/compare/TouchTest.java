package app.clearpane.core.compare;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.compare.Touch.Kind;
import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TouchTest {
    private static final double RATIO = 1.5;
    private static final Place MARKED = new Place.Rectangle(1, 0.2, 0.2, 0.2, 0.2);

    @ParameterizedTest(name = "a region of {2} × {3} at {0}, {1} leaves it {4}")
    @CsvSource({
        "0.2, 0.2, 0.2, 0.01, TOUCHED", // exactly 5 % of the place
        "0.2, 0.2, 0.2, 0.0099, TOUCHED", // less, but all of it lies in the place
        "0.1, 0.2, 0.1050, 0.2, NEARBY", // 2.5 % of the place, and mostly outside it
        "0.0, 0.0, 1.0, 1.0, TOUCHED",
        "0.1, 0.2, 0.09, 0.2, NEARBY", // 0.01 away
        "0.1, 0.2, 0.0701, 0.2, NEARBY", // just under 0.03 away
        "0.1, 0.2, 0.0699, 0.2, UNTOUCHED", // just over
        "0.2, 0.415, 0.2, 0.1, NEARBY", // 0.015 of the height is 0.0225 widths
        "0.2, 0.4201, 0.2, 0.1, UNTOUCHED", // and 0.0201 of it is over 0.03 widths
        "0.7, 0.7, 0.1, 0.1, UNTOUCHED"
    })
    void saysHowNearAChangeIs(double x, double y, double width, double height, Kind kind) {
        assertThat(touch(MARKED, List.of(new Box(x, y, width, height))).kind()).isEqualTo(kind);
    }

    @Test
    void countsWhatSeveralRegionsCoverOnce() {
        List<Box> twice =
                List.of(new Box(0.2, 0.2, 0.1, 0.2), new Box(0.2, 0.2, 0.1, 0.2), new Box(0.15, 0.2, 0.1, 0.2));
        assertThat(touch(MARKED, twice).covered()).isCloseTo(0.5, Offset.offset(1e-9));
    }

    @Test
    void leavesAMarkUntouchedWhereNothingChanged() {
        assertThat(touch(MARKED, List.of())).isEqualTo(new Touch(Kind.UNTOUCHED, 0));
    }

    @Test
    void takesAPointForADiscAndAnArrowForTheDiscAtItsTip() {
        List<Box> change = List.of(new Box(0.81, 0.3, 0.01, 0.01));
        assertThat(touch(new Place.Point(1, 0.815, 0.305), change).kind()).isEqualTo(Kind.TOUCHED);
        assertThat(touch(new Place.Arrow(1, 0.815, 0.305, 0.2, 0.9), change).kind())
                .isEqualTo(Kind.UNTOUCHED);
        assertThat(touch(new Place.Arrow(1, 0.2, 0.9, 0.815, 0.305), change).kind())
                .isEqualTo(Kind.TOUCHED);
    }

    @Test
    void findsWhatChangedWithoutBeingAsked() {
        Box asked = new Box(0.21, 0.21, 0.05, 0.05);
        Box near = new Box(0.41, 0.21, 0.01, 0.01);
        Box nobodyAsked = new Box(0.8, 0.8, 0.1, 0.1);
        assertThat(List.of(asked, near, nobodyAsked))
                .filteredOn(box -> !Touch.asked(List.of(MARKED), Runs.of(box), RATIO))
                .containsExactly(nobodyAsked);
        assertThat(List.of(asked, near)).noneMatch(box -> Touch.asked(List.of(), Runs.of(box), RATIO));
    }

    /** A line of one pixel around a page of 1,600 pixels. */
    private static Runs frame() {
        List<Integer> spans = new ArrayList<>(List.of(0, 0, 1_600));
        for (int row = 1; row < 2_399; row++) {
            spans.addAll(List.of(row, 0, 1, row, 1_599, 1_600));
        }
        spans.addAll(List.of(2_399, 0, 1_600));
        return new Runs(
                0,
                0,
                1 / 1_600.0,
                1 / 2_400.0,
                spans.stream().mapToInt(Integer::intValue).toArray());
    }

    @Test
    void aFrameAroundAPageTouchesNothingOnIt() {
        Random random = new Random(26);
        assertThat(frame().box()).isEqualTo(new Box(0, 0, 1, 1));
        for (int mark = 0; mark < 300; mark++) {
            Place place = new Place.Rectangle(
                    1,
                    0.05 + random.nextDouble() * 0.6,
                    0.05 + random.nextDouble() * 0.6,
                    0.02 + random.nextDouble() * 0.25,
                    0.02 + random.nextDouble() * 0.25);
            assertThat(Touch.of(place, List.of(frame()), RATIO))
                    .as("%s", place)
                    .isEqualTo(new Touch(Kind.UNTOUCHED, 0));
        }
        assertThat(Touch.of(new Place.Rectangle(1, 0.9, 0.4, 0.08, 0.1), List.of(frame()), RATIO)
                        .kind())
                .as("0.02 from its edge")
                .isEqualTo(Kind.NEARBY);
        assertThat(Touch.of(new Place.Rectangle(1, 0, 0, 1, 1), List.of(frame()), RATIO)
                        .kind())
                .as("all of it lies in it")
                .isEqualTo(Kind.TOUCHED);
        assertThat(Touch.asked(List.of(new Place.Rectangle(1, 0.3, 0.3, 0.4, 0.4)), frame(), RATIO))
                .as("nobody asked for it")
                .isFalse();
    }

    private static Touch touch(Place place, List<Box> boxes) {
        return Touch.of(place, boxes.stream().map(Runs::of).toList(), RATIO);
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void neverSaysLessWhenMoreChanged(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 40; i++) {
            Place place = new Place.Ellipse(
                    1,
                    random.nextDouble() * 0.5,
                    random.nextDouble() * 0.5,
                    0.05 + random.nextDouble() * 0.4,
                    0.05 + random.nextDouble() * 0.4);
            Box one = box(random);
            Touch before = touch(place, List.of(one));
            Touch after = touch(place, List.of(one, box(random)));
            assertThat(after.kind()).isLessThanOrEqualTo(before.kind());
            assertThat(after.covered()).isBetween(before.covered() - 1e-9, 1.0);
        }
    }

    private static Box box(Random random) {
        return new Box(
                random.nextDouble() * 0.7,
                random.nextDouble() * 0.7,
                random.nextDouble() * 0.3,
                random.nextDouble() * 0.3);
    }
}
