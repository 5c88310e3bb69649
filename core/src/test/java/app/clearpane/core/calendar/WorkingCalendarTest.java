package app.clearpane.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatIllegalStateException;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WorkingCalendarTest {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final WorkingCalendar EASTER = new WorkingCalendar(
            WorkingCalendar.weekdays(LONDON).hours(),
            Set.of(LocalDate.of(2027, 3, 26), LocalDate.of(2027, 3, 29)),
            LONDON);

    @ParameterizedTest(name = "{0} + {1} = {2}")
    @CsvSource({
        "2027-03-25, 1, 2027-03-30",
        "2027-03-27, 0, 2027-03-30",
        "2027-03-27, 1, 2027-03-31",
        "2027-03-24, 5, 2027-04-02",
        "2027-03-24, 0, 2027-03-24"
    })
    void rollsThenSteps(LocalDate from, int days, LocalDate expected) {
        assertThat(EASTER.addWorkingDays(from, days)).isEqualTo(expected);
    }

    @Test
    void countsHalfOpen() {
        assertThat(EASTER.workingDays(LocalDate.of(2027, 3, 25), LocalDate.of(2027, 3, 30)))
                .isEqualTo(1);
        assertThat(EASTER.workingDays(LocalDate.of(2027, 3, 30), LocalDate.of(2027, 3, 25)))
                .isZero();
    }

    @Test
    void isDueAtClosingTimeWhereTheAgencyIs() {
        assertThat(EASTER.due(Instant.parse("2027-03-24T20:00:00Z"), 3))
                .isEqualTo(Instant.parse("2027-03-31T16:30:00Z"));
        assertThatIllegalArgumentException().isThrownBy(() -> EASTER.due(Instant.EPOCH, 0));
    }

    @Test
    void countsWorkingTimeOnly() {
        assertThat(EASTER.workingTime(Instant.parse("2027-03-25T16:30:00Z"), Instant.parse("2027-03-30T09:00:00Z")))
                .isEqualTo(Duration.ofHours(2));
        assertThat(EASTER.workingDaysHeld(Instant.parse("2027-03-24T09:00:00Z"), Instant.parse("2027-03-25T17:30:00Z")))
                .isEqualTo(2.0);
    }

    @Test
    void keepsItsHoursOverTheNightTheClocksChange() {
        assertThat(WorkingCalendar.weekdays(LONDON)
                        .workingTime(Instant.parse("2027-03-26T12:00:00Z"), Instant.parse("2027-03-29T12:00:00Z")))
                .isEqualTo(Duration.ofMinutes(330 + 240));
    }

    @Test
    void refusesACalendarWithoutWork() {
        assertThatIllegalArgumentException().isThrownBy(() -> new WorkingCalendar(Map.of(), Set.of(), LONDON));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new WorkingCalendar.Hours(LocalTime.NOON, LocalTime.NOON));
        Set<LocalDate> everyMonday = java.util.stream.Stream.iterate(LocalDate.of(2027, 1, 4), day -> day.plusDays(7))
                .limit(600)
                .collect(java.util.stream.Collectors.toSet());
        WorkingCalendar mondays = new WorkingCalendar(
                Map.of(DayOfWeek.MONDAY, new WorkingCalendar.Hours(LocalTime.of(9, 0), LocalTime.of(10, 0))),
                everyMonday,
                LONDON);
        assertThatIllegalStateException().isThrownBy(() -> mondays.rollForward(LocalDate.of(2027, 1, 4)));
    }
}
