package app.clearpane.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A smaller picture has the colours of the larger one, each by the part it covers. */
class AreaMeanTest {
    private static Raster grey(int width, int height, int... shades) {
        return new Raster(
                width,
                height,
                Arrays.stream(shades)
                        .map(shade -> shade << 16 | shade << 8 | shade)
                        .toArray());
    }

    private static Raster random(Random random, int width, int height) {
        return new Raster(
                width, height, random.ints((long) width * height, 0, 1 << 24).toArray());
    }

    private static double mean(Raster picture, int shift) {
        return Arrays.stream(picture.rgb())
                .map(rgb -> rgb >> shift & 255)
                .average()
                .orElseThrow();
    }

    @Test
    void aPixelIsTheMeanOfWhatItCovers() {
        assertThat(AreaMean.of(grey(4, 2, 0, 100, 200, 0, 100, 200, 0, 40), 2).rgb())
                .containsExactly(0x646464, 0x3c3c3c);
        assertThat(AreaMean.of(grey(3, 1, 0, 90, 240), 2).rgb())
                .as("the middle one belongs to both by half")
                .containsExactly(0x1e1e1e, 0xbebebe);
        assertThat(AreaMean.of(new Raster(2, 1, new int[] {0xff0000, 0x0000ff}), 1)
                        .rgb())
                .as("each colour for itself")
                .containsExactly(0x800080);
    }

    @Test
    void atItsOwnWidthItIsTheSame() {
        Raster picture = random(new Random(5), 17, 9);
        assertThat(AreaMean.of(picture, 17).rgb()).isEqualTo(picture.rgb());
    }

    @ParameterizedTest(name = "{0} × {1} at {2}: {3} high")
    @CsvSource({"100, 50, 10, 5", "100, 55, 10, 6", "100, 54, 10, 5", "1000, 1, 10, 1", "3, 1000, 1, 333", "1, 1, 1, 1"
    })
    void theHeightKeepsTheRatioAndIsNeverNothing(int width, int height, int smaller, int high) {
        Raster small = AreaMean.of(random(new Random(1), width, height), smaller);
        assertThat(small.width()).isEqualTo(smaller);
        assertThat(small.height()).isEqualTo(high);
    }

    /** However small it is made, the whole is neither lighter nor darker. */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void theMeanOfAllStays(long seed) {
        Random random = new Random(seed);
        Raster picture = random(random, 1 + random.nextInt(60), 1 + random.nextInt(60));
        Raster small = AreaMean.of(picture, 1 + random.nextInt(picture.width()));
        for (int shift : new int[] {0, 8, 16}) {
            assertThat(mean(small, shift)).isCloseTo(mean(picture, shift), within(0.51));
        }
    }

    /** A page narrower or lower than a block is one block, as light as it is. */
    @ParameterizedTest(name = "{0} × {1} in blocks of {2}: {3} × {4}")
    @CsvSource({
        "8, 8, 4, 2, 2",
        "9, 11, 4, 2, 2",
        "10, 2, 4, 2, 1",
        "2, 10, 4, 1, 2",
        "1, 1, 8, 1, 1",
        "3, 3, 1, 3, 3",
        "5, 3, 7, 1, 1"
    })
    void blocksAreAsLightAsWhatTheyHold(int width, int height, int block, int columns, int rows) {
        int[] shades = new int[width * height];
        Arrays.fill(shades, 140);
        AreaMean.Grey even = AreaMean.grey(grey(width, height, shades), block);
        assertThat(even.width()).isEqualTo(columns);
        assertThat(even.height()).isEqualTo(rows);
        for (float light : even.light()) {
            assertThat(light).isCloseTo(140f, within(0.5f));
        }
    }

    @Test
    void blocksAreTheMeanOfTheirPixelsAndWhatIsLeftOverIsLeftOut() {
        assertThat(AreaMean.grey(grey(3, 2, 0, 100, 255, 100, 200, 255), 2).light())
                .hasSize(1);
        assertThat(AreaMean.grey(grey(3, 2, 0, 100, 255, 100, 200, 255), 2).light()[0])
                .isCloseTo(100f, within(0.5f));
    }
}
