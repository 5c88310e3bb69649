package app.clearpane.core.signoff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.markup.Place.Spot;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DrawnSignatureTest {
    @Test
    void nothingDrawnIsNoSignature() {
        assertThat(DrawnSignature.read(null)).isEmpty();
        assertThat(DrawnSignature.read("  ")).isEmpty();
    }

    @Test
    void whatIsWrittenIsReadBack() {
        Random random = new Random(3);
        for (int i = 0; i < 200; i++) {
            DrawnSignature drawn = new DrawnSignature(IntStream.rangeClosed(0, random.nextInt(5))
                    .mapToObj(stroke -> IntStream.rangeClosed(0, random.nextInt(40))
                            .mapToObj(spot ->
                                    new Spot(random.nextInt(10_001) / 10_000.0, random.nextInt(10_001) / 10_000.0))
                            .toList())
                    .toList());
            assertThat(DrawnSignature.read(drawn.text())).hasValue(drawn);
        }
    }

    @Test
    void isAPathThreeTimesAsWideAsHigh() {
        assertThat(new DrawnSignature(List.of(List.of(new Spot(0, 0), new Spot(1, 1)), List.of(new Spot(0.5, 0.5))))
                        .path(300))
                .isEqualTo("M0.0 0.0L300.0 100.0M150.0 50.0h0.1");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "here",
                "0.1",
                "0.1,",
                ",0.1",
                "0.1,0.2,0.3",
                "0.1,1.01",
                "-0.1,0",
                "NaN,0",
                "0.1,0.2;x",
                "0.1,0.2;;0.3,0.3",
                "<path>",
                "1e400,0"
            })
    void anythingElseIsRefused(String text) {
        assertThatThrownBy(() -> DrawnSignature.read(text)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aSignatureHasAnEnd() {
        String long4001 = IntStream.range(0, DrawnSignature.MOST_SPOTS + 1)
                .mapToObj(i -> "0.5,0.5")
                .collect(Collectors.joining(" "));
        assertThatThrownBy(() -> DrawnSignature.read(long4001)).hasMessageContaining("4,000");
        assertThat(DrawnSignature.read(long4001.substring(8))).isPresent();
    }
}
