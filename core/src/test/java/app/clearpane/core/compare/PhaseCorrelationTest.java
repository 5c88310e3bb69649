package app.clearpane.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** By how much a picture was moved is found from the pictures alone. */
class PhaseCorrelationTest {
  private static final int SIDE = 128;
  private static final PhaseCorrelation.Cut ALL = new PhaseCorrelation.Cut(0, 0, SIDE, SIDE);

  /** A page with blots, as seen through a window that lies so far from its corner. */
  private static AreaMean.Grey seen(long seed, double left, double top) {
    Random random = new Random(seed);
    float[] light = new float[SIDE * SIDE];
    Arrays.fill(light, 230);
    for (int blot = 0; blot < 60; blot++) {
      double x = random.nextDouble() * (SIDE + 60) - 30 - left;
      double y = random.nextDouble() * (SIDE + 60) - 30 - top;
      double radius = 2 + random.nextDouble() * 5;
      double dark = 60 + random.nextDouble() * 150;
      for (int at = 0; at < light.length; at++) {
        double away = Math.hypot(at % SIDE - x, at / SIDE - y) / radius;
        light[at] -= (float) (dark * Math.exp(-away * away));
      }
    }
    return new AreaMean.Grey(SIDE, SIDE, light);
  }

  @ParameterizedTest(name = "{0} right, {1} down")
  @CsvSource({"0, 0", "3, 0", "0, -5", "-7, 4", "9, 9", "2.5, 0", "-1.25, 3.75"})
  void aMovedPageIsFoundWhereItWasMoved(double right, double down) {
    AreaMean.Grey before = seen(1, 0, 0);
    AreaMean.Grey after = seen(1, -right, -down);
    PhaseCorrelation.Found found = PhaseCorrelation.between(before, after, ALL, 16);
    assertThat(found.dx()).isCloseTo(right, within(0.3));
    assertThat(found.dy()).isCloseTo(down, within(0.3));
    assertThat(found.peak()).isGreaterThan(0.2);
    PhaseCorrelation.Found back = PhaseCorrelation.between(after, before, ALL, 16);
    assertThat(back.dx()).isCloseTo(-found.dx(), within(0.05));
    assertThat(back.dy()).isCloseTo(-found.dy(), within(0.05));
  }

  @ParameterizedTest(name = "seed {0}")
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void anotherPageIsLessClearThanTheSameOneMoved(long seed) {
    assertThat(PhaseCorrelation.between(seen(seed, 0, 0), seen(seed + 100, 0, 0), ALL, 16).peak()).isLessThan(PhaseCorrelation.between(seen(seed, 0, 0), seen(seed, 2, 1), ALL, 16).peak() * 0.75);
  }

  @Test
  void onAnEmptyPageThereIsNothingToFind() {
    float[] white = new float[SIDE * SIDE];
    Arrays.fill(white, 255);
    AreaMean.Grey empty = new AreaMean.Grey(SIDE, SIDE, white);
    assertThat(PhaseCorrelation.between(empty, empty, ALL, 16)).isEqualTo(new PhaseCorrelation.Found(0, 0, 0));
  }

  @Test
  void aPartOfThePageIsLookedAtByItself() {
    AreaMean.Grey before = seen(7, 0, 0);
    AreaMean.Grey after = seen(7, -4, 2);
    PhaseCorrelation.Found found = PhaseCorrelation.between(before, after, new PhaseCorrelation.Cut(20, 30, 90, 80), 16);
    assertThat(found.dx()).isCloseTo(4, within(0.5));
    assertThat(found.dy()).isCloseTo(-2, within(0.5));
  }
}
