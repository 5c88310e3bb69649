package app.clearpane.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DueNearTest {
    private static final WorkingCalendar WEEKDAYS = WorkingCalendar.weekdays(ZoneOffset.UTC);

    /** 24 March 2027 is a Wednesday. */
    @ParameterizedTest(name = "on {0}, due {1}: {2}")
    @CsvSource({
        "2027-03-24, 2027-03-23, PAST",
        "2027-03-24, 2027-03-24, TODAY",
        "2027-03-24, 2027-03-25, NEAR",
        "2027-03-24, 2027-03-26, NEAR",
        "2027-03-24, 2027-03-29, FAR",
        "2027-03-26, 2027-03-29, NEAR",
        "2027-03-26, 2027-03-30, NEAR",
        "2027-03-26, 2027-03-31, FAR",
        "2027-03-27, 2027-03-30, NEAR",
        "2027-03-27, 2027-04-01, FAR"
    })
    void countsWorkingDays(LocalDate today, LocalDate due, DueNear near) {
        assertThat(DueNear.of(Optional.of(due), true, today, WEEKDAYS)).isEqualTo(near);
        assertThat(DueNear.of(Optional.of(due), false, today, WEEKDAYS))
                .as("it is done")
                .isEqualTo(DueNear.NO_DAY);
        assertThat(DueNear.of(Optional.empty(), true, today, WEEKDAYS).isSaid()).isFalse();
    }
}
