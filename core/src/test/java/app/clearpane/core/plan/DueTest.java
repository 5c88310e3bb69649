package app.clearpane.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DueTest {
    private static final ItemId PRINT = new ItemId(new UUID(0, 1));
    /** Good Friday and Easter Monday are free. */
    private static final WorkingCalendar EASTER = new WorkingCalendar(
            WorkingCalendar.weekdays(ZoneOffset.UTC).hours(),
            Set.of(LocalDate.of(2027, 3, 26), LocalDate.of(2027, 3, 29)),
            ZoneOffset.UTC);

    @ParameterizedTest(name = "{0} working days before {1}: {2}")
    @CsvSource({
        "0, 2027-03-22, 2027-03-22",
        "1, 2027-03-22, 2027-03-19",
        "3, 2027-03-24, 2027-03-19",
        "1, 2027-03-30, 2027-03-25",
        "2, 2027-03-30, 2027-03-24",
        "1, 2027-03-28, 2027-03-25",
        "0, 2027-03-28, 2027-03-28"
    })
    void followsWhatItIsDueBefore(int days, LocalDate begins, LocalDate due) {
        Due rule = new Due(Optional.empty(), Optional.of(LocalTime.NOON), Optional.of(new Due.Before(PRINT, days)));
        assertThat(rule.reckoned(begins, EASTER).day()).contains(due);
        assertThat(rule.reckoned(begins, EASTER).hour()).contains(LocalTime.NOON);
        assertThat(days == 0 ? 0 : EASTER.workingDays(due, begins))
                .as("as many are left as were asked for")
                .isEqualTo(days);
    }

    @Test
    void aDayOfItsOwnFollowsNothing() {
        Due own = Due.on(LocalDate.of(2027, 3, 24));
        assertThat(own.reckoned(LocalDate.of(2027, 5, 3), EASTER)).isEqualTo(own);
        assertThat(Due.NONE.reckoned(LocalDate.of(2027, 5, 3), EASTER)).isEqualTo(Due.NONE);
    }

    @Test
    void isTooLateAtItsHourOrWhenItsDayIsOver() {
        ZoneId london = ZoneId.of("Europe/London");
        LocalDate day = LocalDate.of(2027, 3, 29);
        assertThat(Due.on(day).until(london)).contains(Instant.parse("2027-03-29T23:00:00Z"));
        assertThat(new Due(Optional.of(day), Optional.of(LocalTime.of(15, 0)), Optional.empty()).until(london))
                .contains(Instant.parse("2027-03-29T14:00:00Z"));
        assertThat(Due.NONE.until(london)).isEmpty();
        assertThatIllegalArgumentException().isThrownBy(() -> new Due.Before(PRINT, -1));
    }

    /** A review ends when the work of its day does; on a day on which nobody works, when the day does. */
    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "2027-03-24, , 2027-03-24T17:30:00Z",
        "2027-03-24, 10:30, 2027-03-24T10:30:00Z",
        "2027-03-26, , 2027-03-27T00:00:00Z",
        "2027-03-28, , 2027-03-29T00:00:00Z",
        "2027-03-28, 09:00, 2027-03-28T09:00:00Z"
    })
    void isDecidedByItsHourOrElseWhenWorkEnds(LocalDate day, LocalTime hour, Instant by) {
        Due due = new Due(Optional.of(day), Optional.ofNullable(hour), Optional.empty());
        assertThat(due.decidedBy(EASTER)).contains(by);
        assertThat(Due.NONE.decidedBy(EASTER)).isEmpty();
    }
}
