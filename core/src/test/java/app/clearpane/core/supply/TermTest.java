package app.clearpane.core.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

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
        Term.Dated term = new Term.ByDay(day);
        assertThat(term.due(MONDAY_NOON, LONDON)).isEqualTo(due);
        assertThat(term.isPast(MONDAY_NOON, LONDON)).isEqualTo(past);
    }

    @ParameterizedTest
    @CsvSource({"1, 2027-05-13", "2, 2027-05-12", "5, 2027-05-07", "9, 2027-05-03"})
    void beforeAnActivityBeginsOnAFriday(int days, LocalDate by) {
        Term.BeforeStart term = new Term.BeforeStart(new ItemId(UUID.randomUUID()), days);
        assertThat(term.when(LocalDate.of(2027, 5, 14), LONDON)).isEqualTo(new Term.ByDay(by));
        assertThat(term.lagDays()).as("the working days in between").isEqualTo(days - 1);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, -1, 251})
    void beforeIsADayAtLeastAndAYearAtMost(int days) {
        ItemId activity = new ItemId(UUID.randomUUID());
        assertThatIllegalArgumentException().isThrownBy(() -> new Term.BeforeStart(activity, days));
    }

    @Test
    void nobodyHasNoTimeAtAll() {
        assertThatIllegalArgumentException().isThrownBy(() -> new Term.WithinDays(0));
    }
}
