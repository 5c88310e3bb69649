package app.clearpane.demo;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.calendar.Timeline;
import app.clearpane.core.calendar.WorkingCalendar;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CastTest {
    /** Whatever day of the week it is told on, as many working days lie before it and behind. */
    @ParameterizedTest
    @ValueSource(ints = {22, 23, 24, 25, 26, 27, 28})
    void theStoryHasTheSameDaysOnEveryDayOfTheWeek(int dayOfMarch) {
        LocalDate today = LocalDate.of(2027, 3, dayOfMarch);
        Timeline line = new Timeline(WorkingCalendar.weekdays(ZoneOffset.UTC), Cast.day(today, -50));
        assertThat(line.offset(today)).isEqualTo(50);
        for (int ahead = 1; ahead < 60; ahead++) {
            assertThat(line.offset(Cast.day(today, ahead))).isEqualTo(50 + ahead);
            assertThat(line.offset(Cast.day(today, -ahead))).isEqualTo(50 - ahead);
        }
    }
}
