package app.clearpane.core.agency;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AccentTest {
    @ParameterizedTest
    @CsvSource({
        "#ffffff, 1.0",
        "#000000, 21.0",
        "#777777, 4.48",
        "#767676, 4.54",
        "#0000ff, 8.59",
        "#ff0000, 4.0",
        "#00ff00, 1.37"
    })
    void contrastIsReckonedAsPublished(String colour, double contrast) {
        assertThat(Accent.read(colour).orElseThrow().contrastWithWhite()).isCloseTo(contrast, within(0.006));
    }

    @Test
    void anyColourCanBeReadOnceItIsDarkEnough() {
        Random random = new Random(7);
        for (int i = 0; i < 2_000; i++) {
            Accent any = new Accent(random.nextInt(256), random.nextInt(256), random.nextInt(256));
            Accent legible = any.legible();
            assertThat(legible.contrastWithWhite()).isGreaterThanOrEqualTo(Accent.LEAST_CONTRAST);
            assertThat(any.contrastWithWhite() >= Accent.LEAST_CONTRAST).isEqualTo(legible.equals(any));
            assertThat(Accent.read(any.toString())).contains(any);
        }
    }

    @ParameterizedTest
    @CsvSource({"red", "#12345", "#1234567", "'#12 456'", "''", "#zzzzzz"})
    void whatIsNoColourIsNotRead(String typed) {
        assertThat(Accent.read(typed)).isEmpty();
    }
}
