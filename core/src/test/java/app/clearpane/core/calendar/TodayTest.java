package app.clearpane.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;

class TodayTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 3, 22);
    /** Good Friday and Easter Monday are free. */
    private static final WorkingCalendar EASTER = new WorkingCalendar(
            WorkingCalendar.weekdays(ZoneOffset.UTC).hours(),
            Set.of(LocalDate.of(2027, 3, 26), LocalDate.of(2027, 3, 29)),
            ZoneOffset.UTC);

    @Test
    void countsOverFreeDays() {
        Today thursday = new Today(LocalDate.of(2027, 3, 25), EASTER);
        assertThat(thursday.daysLeft(LocalDate.of(2027, 3, 30))).hasValue(1);
        assertThat(thursday.lastWithin(1)).isEqualTo(LocalDate.of(2027, 3, 30));
        assertThat(thursday.daysLeft(LocalDate.of(2027, 3, 24))).isEqualTo(OptionalInt.empty());
        assertThat(thursday.isLate(LocalDate.of(2027, 3, 24))).isTrue();
        assertThat(thursday.isLate(thursday.day())).isFalse();
    }

    /** Counting to a day and looking up the last day that is near enough agree, on whatever day it is asked. */
    @Test
    void theLastDayWithinIsTheLastThatIsCountedSo() {
        for (int start = 0; start < 14; start++) {
            Today today = new Today(MONDAY.plusDays(start), EASTER);
            for (int due = -3; due < 30; due++) {
                LocalDate day = today.day().plusDays(due);
                for (int days = 0; days < 12; days++) {
                    boolean counted = today.daysLeft(day).isPresent()
                            && today.daysLeft(day).getAsInt() <= days;
                    assertThat(!day.isBefore(today.day()) && !day.isAfter(today.lastWithin(days)))
                            .as("on %s, due %s, within %d", today.day(), day, days)
                            .isEqualTo(counted);
                }
            }
        }
    }
}
