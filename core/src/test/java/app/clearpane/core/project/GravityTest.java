package app.clearpane.core.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GravityTest {
    @ParameterizedTest
    @CsvSource({
        "1, 1, SLIGHT, FELT",
        "1, 2, SLIGHT, GRAVE",
        "1, 3, FELT, GRAVE",
        "2, 1, SLIGHT, FELT",
        "2, 2, FELT, GRAVE",
        "2, 3, GRAVE, GRAVE",
        "3, 1, FELT, FELT",
        "3, 2, GRAVE, GRAVE",
        "3, 3, GRAVE, GRAVE"
    })
    void everyPairOfLikelihoodAndEffect(int likelihood, int effect, Gravity risk, Gravity issue) {
        assertThat(Gravity.of(false, likelihood, effect)).isEqualTo(risk);
        assertThat(Gravity.of(true, likelihood, effect)).isEqualTo(issue);
    }

    @Test
    void outOfRangeIsRefused() {
        assertThatIllegalArgumentException().isThrownBy(() -> Gravity.of(false, 0, 2));
        assertThatIllegalArgumentException().isThrownBy(() -> Gravity.of(true, 2, 4));
    }
}
