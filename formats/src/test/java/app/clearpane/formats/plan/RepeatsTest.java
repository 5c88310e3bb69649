package app.clearpane.formats.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.LocalDate;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RepeatsTest {
    @ParameterizedTest(name = "{0} from {1} comes after {2} on {3}")
    @CsvSource({
        "FREQ=WEEKLY;BYDAY=FR, 2027-03-05, 2027-03-05, 2027-03-12",
        "FREQ=WEEKLY;BYDAY=FR, 2027-03-05, 2027-03-13, 2027-03-19",
        "FREQ=MONTHLY;BYMONTHDAY=-1, 2027-01-31, 2027-01-31, 2027-02-28",
        "FREQ=DAILY;INTERVAL=3, 2027-03-26, 2027-03-26, 2027-03-29",
        "FREQ=WEEKLY;COUNT=2, 2027-03-05, 2027-03-12, ",
        "FREQ=DAILY;UNTIL=20270306, 2027-03-05, 2027-03-06, ",
        "FREQ=YEARLY, 2028-02-29, 2028-02-29, 2032-02-29"
    })
    void comesAgain(String rule, LocalDate from, LocalDate after, LocalDate next) {
        assertThat(Repeats.next(rule, from, after).orElse(null)).isEqualTo(next);
        assertThat(Repeats.checked(rule)).isEqualTo(rule);
    }

    @ParameterizedTest(name = "“{0}”")
    @ValueSource(strings = {"", "every friday", "FREQ=SOMETIMES", "BYDAY=FR"})
    void refusesWhatIsNoRule(String rule) {
        assertThatIllegalArgumentException().isThrownBy(() -> Repeats.checked(rule));
    }
}
