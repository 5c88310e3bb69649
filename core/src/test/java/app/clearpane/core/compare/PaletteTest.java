package app.clearpane.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PaletteTest {
    private static Raster stripes(int... colours) {
        int[] rgb = new int[128 * 128];
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] = colours[i / 128 * colours.length / 128];
        }
        return new Raster(128, 128, rgb);
    }

    @Test
    void findsTheColoursOfAFlatPictureWithTheirShares() {
        Palette palette = Palette.of(stripes(0x14706A, 0x14706A, 0xA8321F, 0xF6F5EF));
        assertThat(palette.colours()).extracting(Palette.Colour::hex).containsExactly("#14706a", "#a8321f", "#f6f5ef");
        assertThat(palette.colours().get(0).share()).isCloseTo(0.5, within(1e-9));
        assertThat(palette.colours().stream().mapToDouble(Palette.Colour::share).sum())
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void takesColoursTheEyeCannotTellApartForOne() {
        assertThat(Palette.of(stripes(0x14706A, 0x15716B, 0xFFFFFF)).colours()).hasSize(2);
        assertThat(Palette.of(stripes(0x777777)).colours()).containsExactly(new Palette.Colour(0x777777, 1));
    }

    @ParameterizedTest(name = "{0} on {1}: {2}")
    @CsvSource({"0, ffffff, 21", "ffffff, ffffff, 1", "777777, ffffff, 4.48", "14706a, ffffff, 5.8"})
    void tellsTheContrastOfAPair(String one, String other, double contrast) {
        Palette.Colour first = new Palette.Colour(Integer.parseInt(one, 16), 1);
        Palette.Colour second = new Palette.Colour(Integer.parseInt(other, 16), 1);
        assertThat(first.contrast(second)).isCloseTo(contrast, within(0.15)).isEqualTo(second.contrast(first));
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {41, 42, 43, 44})
    void givesTheSamePictureTheSamePaletteOfItsOwnColours(long seed) {
        Random random = new Random(seed);
        int[] rgb = random.ints(128 * 90, 0, 0x1000000).toArray();
        Raster picture = new Raster(128, 90, rgb);
        Palette palette = Palette.of(picture);
        assertThat(Palette.of(picture)).isEqualTo(palette);
        assertThat(palette.colours()).hasSizeBetween(1, 8).allSatisfy(colour -> assertThat(
                        Arrays.stream(rgb).anyMatch(pixel -> pixel == colour.rgb()))
                .isTrue());
        for (int i = 1; i < palette.colours().size(); i++) {
            assertThat(palette.colours().get(i).share())
                    .isLessThanOrEqualTo(palette.colours().get(i - 1).share());
            for (int j = 0; j < i; j++) {
                assertThat(Oklab.of(palette.colours().get(i).rgb())
                                .distance(Oklab.of(palette.colours().get(j).rgb())))
                        .isGreaterThanOrEqualTo(0.03);
            }
        }
    }

    @Test
    void placesBlackWhiteAndGreysOnTheLine() {
        assertThat(Oklab.of(0)).isEqualTo(new Oklab(0, 0, 0));
        assertThat(Oklab.of(0xFFFFFF).light()).isCloseTo(1, within(1e-6));
        assertThat(Oklab.of(0x808080).green()).isCloseTo(0, within(1e-4));
        assertThat(Oklab.of(0xFF0000).green()).isGreaterThan(0.2);
    }
}
