package app.clearpane.core.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.markup.Place.Freehand;
import app.clearpane.core.markup.Place.Spot;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FreehandTest {
    @Test
    void leavesOutSpotsOnAStraightLine() {
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i <= 100; i++) {
            spots.add(new Spot(i / 100.0, 0.5));
        }
        assertThat(Freehand.drawn(1, spots).spots()).containsExactly(new Spot(0, 0.5), new Spot(1, 0.5));
    }

    @Test
    void keepsACornerAndALineThatComesBack() {
        List<Spot> corner = List.of(new Spot(0, 0), new Spot(0.5, 0), new Spot(0.5, 0.5));
        assertThat(Freehand.drawn(1, corner).spots()).isEqualTo(corner);
        List<Spot> back = List.of(new Spot(0.1, 0.1), new Spot(0.9, 0.1), new Spot(0.1, 0.1));
        assertThat(Freehand.drawn(1, back).spots()).isEqualTo(back);
    }

    @Test
    void refusesOneSpotTooManyAndSpotsOutsideThePage() {
        assertThatThrownBy(() -> new Freehand(1, Collections.nCopies(10_001, new Spot(0.5, 0.5))))
                .isInstanceOf(Place.OutOfRange.class)
                .hasMessageContaining("10001");
        assertThatThrownBy(() -> new Freehand(1, List.of(new Spot(0.5, 0.5)))).isInstanceOf(Place.OutOfRange.class);
        assertThatThrownBy(() -> new Freehand(1, List.of(new Spot(0.5, 0.5), new Spot(0.5, 1.01))))
                .isInstanceOf(Place.OutOfRange.class);
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {21, 22, 23, 24})
    void neverStraysFromWhatWasDrawn(long seed) {
        Random random = new Random(seed);
        List<Spot> drawn = new ArrayList<>();
        double x = 0.5;
        double y = 0.5;
        for (int i = 0; i < 3_000; i++) {
            x = Math.min(1, Math.max(0, x + random.nextGaussian() * 0.002));
            y = Math.min(1, Math.max(0, y + random.nextGaussian() * 0.002));
            drawn.add(new Spot(x, y));
        }
        List<Spot> kept = Freehand.drawn(1, drawn).spots();
        assertThat(kept).hasSizeLessThan(drawn.size()).startsWith(drawn.get(0)).endsWith(drawn.get(drawn.size() - 1));
        assertThat(drawn)
                .allSatisfy(spot -> assertThat(distance(spot, kept)).isLessThanOrEqualTo(Simplified.TOLERANCE + 1e-12));
    }

    private static double distance(Spot spot, List<Spot> line) {
        double least = Double.MAX_VALUE;
        for (int i = 1; i < line.size(); i++) {
            Spot a = line.get(i - 1);
            Spot b = line.get(i);
            double length = Math.pow(b.x() - a.x(), 2) + Math.pow(b.y() - a.y(), 2);
            double along = length == 0
                    ? 0
                    : Math.max(
                            0,
                            Math.min(
                                    1,
                                    ((spot.x() - a.x()) * (b.x() - a.x()) + (spot.y() - a.y()) * (b.y() - a.y()))
                                            / length));
            least = Math.min(
                    least,
                    Math.hypot(spot.x() - a.x() - along * (b.x() - a.x()), spot.y() - a.y() - along * (b.y() - a.y())));
        }
        return least;
    }
}
