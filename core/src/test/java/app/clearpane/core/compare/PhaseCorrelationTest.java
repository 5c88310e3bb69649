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
    private static final PhaseCorrelation.Reach FAR = PhaseCorrelation.Reach.of(16);

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
        PhaseCorrelation.Found found = PhaseCorrelation.between(before, after, FAR);
        assertThat(found.dx()).isCloseTo(right, within(0.3));
        assertThat(found.dy()).isCloseTo(down, within(0.3));
        assertThat(found.peak()).isGreaterThan(0.2);
        PhaseCorrelation.Found back = PhaseCorrelation.between(after, before, FAR);
        assertThat(back.dx()).isCloseTo(-found.dx(), within(0.05));
        assertThat(back.dy()).isCloseTo(-found.dy(), within(0.05));
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void anotherPageIsLessClearThanTheSameOneMoved(long seed) {
        assertThat(PhaseCorrelation.between(seen(seed, 0, 0), seen(seed + 100, 0, 0), FAR)
                        .peak())
                .isLessThan(PhaseCorrelation.between(seen(seed, 0, 0), seen(seed, 2, 1), FAR)
                                .peak()
                        * 0.75);
    }

    @Test
    void onAnEmptyPageThereIsNothingToFind() {
        float[] white = new float[SIDE * SIDE];
        Arrays.fill(white, 255);
        AreaMean.Grey empty = new AreaMean.Grey(SIDE, SIDE, white);
        assertThat(PhaseCorrelation.between(empty, empty, FAR)).isEqualTo(new PhaseCorrelation.Found(0, 0, 0));
    }

    /** What of a page is seen through a window that lies on it. */
    private static AreaMean.Grey window(AreaMean.Grey page, int left, int top, int width, int height) {
        float[] light = new float[width * height];
        for (int at = 0; at < light.length; at++) {
            light[at] = page.light()[(top + at / width) * page.width() + left + at % width];
        }
        return new AreaMean.Grey(width, height, light);
    }

    @Test
    void aPartOfAPageIsFoundOnTheWholeOfIt() {
        AreaMean.Grey page = seen(7, 0, 0);
        PhaseCorrelation.Found found =
                PhaseCorrelation.between(window(page, 30, 22, 80, 90), page, new PhaseCorrelation.Reach(4, 52, 4, 42));
        assertThat(found.dx()).isCloseTo(30, within(0.5));
        assertThat(found.dy()).isCloseTo(22, within(0.5));
    }

    @ParameterizedTest(name = "{0} right, {1} down")
    @CsvSource({"0, 0", "0.05, 0", "0.1, -0.35", "0.25, 0.25", "0.5, 0", "-0.4, 0.7"})
    void aPartOfAPixelIsFoundToATwentieth(double right, double down) {
        PartOfPixel.Shift found = PartOfPixel.between(seen(3, 0, 0), seen(3, -right, -down));
        assertThat(found.dx()).isCloseTo(right, within(0.025));
        assertThat(found.dy()).isCloseTo(down, within(0.025));
    }
}
