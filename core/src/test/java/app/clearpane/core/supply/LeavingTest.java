package app.clearpane.core.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The day on which a draft goes out. */
class LeavingTest {
    private static final WorkingCalendar LONDON = WorkingCalendar.weekdays(ZoneId.of("Europe/London"));
    private static final UUID CONCEPT = new UUID(0, 4);

    private static Optional<LocalDate> day(Leaving.When when, LocalDate begins) {
        return new Leaving(when, true).day(phase -> Optional.of(begins).filter(one -> phase.equals(CONCEPT)), LONDON);
    }

    @ParameterizedTest(name = "{1} working days before {0}: {2}")
    @CsvSource({
        "2027-03-24, 0, 2027-03-24",
        "2027-03-27, 0, 2027-03-29",
        "2027-03-29, 1, 2027-03-26",
        "2027-03-27, 1, 2027-03-26",
        "2027-03-24, 5, 2027-03-17"
    })
    void aPhaseTakesItAlong(LocalDate begins, int before, LocalDate day) {
        assertThat(day(new Leaving.WithPhase(CONCEPT, before), begins)).contains(day);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"2027-03-24, 2027-03-24", "2027-03-28, 2027-03-29"})
    void aFreeDayIsTheNextWorkingDay(LocalDate on, LocalDate day) {
        assertThat(day(new Leaving.OnDay(on), on)).contains(day);
    }

    @Test
    void aPhaseThatIsGoneHasNoDay() {
        assertThat(day(new Leaving.WithPhase(new UUID(0, 5), 1), LocalDate.of(2027, 3, 24)))
                .isEmpty();
        assertThatThrownBy(() -> new Leaving.WithPhase(CONCEPT, -1)).hasMessageContaining("0 to 250");
    }
}
