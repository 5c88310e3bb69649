package app.clearpane.core.compare;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.compare.Touch.Kind;
import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
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
    "0.2, 0.2, 0.2, 0.01, TOUCHED",     // exactly 5 % of the place
    "0.2, 0.2, 0.2, 0.0099, TOUCHED",   // less, but all of it lies in the place
    "0.1, 0.2, 0.1050, 0.2, NEARBY",    // 2.5 % of the place, and mostly outside it
    "0.0, 0.0, 1.0, 1.0, TOUCHED",
    "0.1, 0.2, 0.09, 0.2, NEARBY",      // 0.01 away
    "0.1, 0.2, 0.0701, 0.2, NEARBY",    // just under 0.03 away
    "0.1, 0.2, 0.0699, 0.2, UNTOUCHED", // just over
    "0.2, 0.415, 0.2, 0.1, NEARBY",     // 0.015 of the height is 0.0225 widths
    "0.2, 0.4201, 0.2, 0.1, UNTOUCHED", // and 0.0201 of it is over 0.03 widths
    "0.7, 0.7, 0.1, 0.1, UNTOUCHED"
  })
  void saysHowNearAChangeIs(double x, double y, double width, double height, Kind kind) {
    assertThat(Touch.of(MARKED, List.of(new Box(x, y, width, height)), RATIO).kind()).isEqualTo(kind);
  }

  @Test
  void countsWhatSeveralRegionsCoverOnce() {
    List<Box> twice = List.of(new Box(0.2, 0.2, 0.1, 0.2), new Box(0.2, 0.2, 0.1, 0.2), new Box(0.15, 0.2, 0.1, 0.2));
    assertThat(Touch.of(MARKED, twice, RATIO).covered()).isCloseTo(0.5, Offset.offset(1e-9));
  }

  @Test
  void leavesAMarkUntouchedWhereNothingChanged() {
    assertThat(Touch.of(MARKED, List.of(), RATIO)).isEqualTo(new Touch(Kind.UNTOUCHED, 0));
  }

  @Test
  void takesAPointForADiscAndAnArrowForTheDiscAtItsTip() {
    List<Box> change = List.of(new Box(0.81, 0.3, 0.01, 0.01));
    assertThat(Touch.of(new Place.Point(1, 0.815, 0.305), change, RATIO).kind()).isEqualTo(Kind.TOUCHED);
    assertThat(Touch.of(new Place.Arrow(1, 0.815, 0.305, 0.2, 0.9), change, RATIO).kind()).isEqualTo(Kind.UNTOUCHED);
    assertThat(Touch.of(new Place.Arrow(1, 0.2, 0.9, 0.815, 0.305), change, RATIO).kind()).isEqualTo(Kind.TOUCHED);
  }

  @Test
  void findsWhatChangedWithoutBeingAsked() {
    Box asked = new Box(0.21, 0.21, 0.05, 0.05);
    Box near = new Box(0.41, 0.21, 0.01, 0.01);
    Box nobodyAsked = new Box(0.8, 0.8, 0.1, 0.1);
    assertThat(Touch.unasked(List.of(MARKED), List.of(asked, near, nobodyAsked), RATIO)).containsExactly(nobodyAsked);
    assertThat(Touch.unasked(List.of(), List.of(asked, near), RATIO)).containsExactly(asked, near);
  }

  @ParameterizedTest(name = "seed {0}")
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void neverSaysLessWhenMoreChanged(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 40; i++) {
      Place place = new Place.Ellipse(1, random.nextDouble() * 0.5, random.nextDouble() * 0.5, 0.05 + random.nextDouble() * 0.4, 0.05 + random.nextDouble() * 0.4);
      Box one = box(random);
      Touch before = Touch.of(place, List.of(one), RATIO);
      Touch after = Touch.of(place, List.of(one, box(random)), RATIO);
      assertThat(after.kind()).isLessThanOrEqualTo(before.kind());
      assertThat(after.covered()).isBetween(before.covered() - 1e-9, 1.0);
    }
  }

  private static Box box(Random random) {
    return new Box(random.nextDouble() * 0.7, random.nextDouble() * 0.7, random.nextDouble() * 0.3, random.nextDouble() * 0.3);
  }
}
