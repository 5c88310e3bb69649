package app.clearpane.core.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TermTest {
    private static final WorkingCalendar LONDON = WorkingCalendar.weekdays(ZoneId.of("Europe/London"));
    private static final Instant MONDAY_NOON = Instant.parse("2027-05-10T11:00:00Z");

    @ParameterizedTest
    @CsvSource({"1, 2027-05-11T16:30:00Z", "4, 2027-05-14T16:30:00Z", "5, 2027-05-17T16:30:00Z"})
    void withinSoManyWorkingDaysAtClosingTime(int days, Instant due) {
        assertThat(new Term.WithinDays(days).due(MONDAY_NOON, LONDON)).isEqualTo(due);
    }

    @ParameterizedTest
    @CsvSource({
        "2027-05-14, 2027-05-14T16:30:00Z, false",
        "2027-05-10, 2027-05-10T16:30:00Z, false",
        // a Saturday lasts until it ends, where the agency is
        "2027-05-15, 2027-05-15T23:00:00Z, false",
        "2027-05-09, 2027-05-09T23:00:00Z, true",
        "2027-05-07, 2027-05-07T16:30:00Z, true"
    })
    void byADayUntilItClosesOrEnds(LocalDate day, Instant due, boolean past) {
        Term term = new Term.ByDay(day);
        assertThat(term.due(MONDAY_NOON, LONDON)).isEqualTo(due);
        assertThat(term.isPast(MONDAY_NOON, LONDON)).isEqualTo(past);
    }

    @Test
    void nobodyHasNoTimeAtAll() {
        assertThatIllegalArgumentException().isThrownBy(() -> new Term.WithinDays(0));
    }
}
