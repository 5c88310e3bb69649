package app.clearpane.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** In which week something is due. */
class DueWeekTest {
    /** A Thursday. */
    private static final LocalDate TODAY = LocalDate.of(2027, 5, 13);

    @ParameterizedTest(name = "due {0}, open {1}: {2}")
    @CsvSource({
        "2027-05-12, true, LATE",
        "2027-05-12, false, THIS_WEEK",
        "2026-01-01, true, LATE",
        "2026-01-01, false, THIS_WEEK",
        "2027-05-13, true, THIS_WEEK",
        "2027-05-16, true, THIS_WEEK",
        "2027-05-17, true, NEXT_WEEK",
        "2027-05-23, false, NEXT_WEEK",
        "2027-05-24, true, LATER",
        "9999-12-31, true, LATER",
        ", true, NO_DAY",
        ", false, NO_DAY"
    })
    void goesByTheSundayThatEndsTheWeek(LocalDate due, boolean open, DueWeek week) {
        assertThat(DueWeek.of(Optional.ofNullable(due), open, TODAY)).isEqualTo(week);
    }

    @Test
    void onASundayTheWeekEndsToday() {
        LocalDate sunday = LocalDate.of(2027, 5, 16);
        assertThat(DueWeek.of(Optional.of(sunday), true, sunday)).isEqualTo(DueWeek.THIS_WEEK);
        assertThat(DueWeek.of(Optional.of(sunday.plusDays(1)), true, sunday)).isEqualTo(DueWeek.NEXT_WEEK);
    }

    /** A holiday on a Friday ends the week on Thursday evening, and a weekend looks at the week to come. */
    @ParameterizedTest(name = "on {0}: until {1}")
    @CsvSource({
        "2027-05-13, 2027-05-16",
        "2027-05-14, 2027-05-23",
        "2027-05-15, 2027-05-23",
        "2027-05-16, 2027-05-23",
        "2027-05-17, 2027-05-23"
    })
    void looksAheadToAWeekInWhichThereIsWork(LocalDate today, LocalDate until) {
        WorkingCalendar calendar = new WorkingCalendar(
                WorkingCalendar.weekdays(ZoneOffset.UTC).hours(), Set.of(TODAY.plusDays(1)), ZoneOffset.UTC);
        assertThat(DueWeek.lastDayAhead(today, calendar)).isEqualTo(until);
    }

    /** From any day, what is due later is never in an earlier week. */
    @Test
    void weeksFollowOneAnotherFromEveryDay() {
        for (LocalDate today = TODAY; today.isBefore(TODAY.plusDays(14)); today = today.plusDays(1)) {
            LocalDate from = today;
            assertThat(Stream.iterate(from.minusDays(10), day -> day.plusDays(1))
                            .limit(40)
                            .map(day -> DueWeek.of(Optional.of(day), true, from)))
                    .isSorted()
                    .contains(DueWeek.LATE, DueWeek.THIS_WEEK, DueWeek.NEXT_WEEK, DueWeek.LATER);
        }
    }
}
