package app.clearpane.core.agency;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WritingHoursTest {
    private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(OSLO).toInstant();
    }

    @ParameterizedTest
    @CsvSource({
        "8, 18, 2026-09-17T12:30, 2026-09-17T12:30",
        "8, 18, 2026-09-17T08:00, 2026-09-17T08:00",
        "8, 18, 2026-09-17T07:59, 2026-09-17T08:00",
        "8, 18, 2026-09-17T18:00, 2026-09-18T08:00",
        "8, 18, 2026-12-31T23:59, 2027-01-01T08:00",
        "0, 24, 2026-09-17T03:00, 2026-09-17T03:00",
        // the night in which the clocks go forward: 2 o'clock does not come
        "2, 6, 2027-03-28T01:30, 2027-03-28T03:00"
    })
    void whatFallsOutsideWaitsForTheNextOfThem(int from, int until, String written, String goes) {
        assertThat(new WritingHours(from, until).next(at(written), OSLO)).isEqualTo(at(goes));
    }

    @Test
    void nothingGoesEarlierNorADayLateAndWhatGoesGoesWithinThem() {
        SplittableRandom random = new SplittableRandom(20);
        for (int i = 0; i < 2_000; i++) {
            int from = random.nextInt(0, 24);
            WritingHours hours = new WritingHours(from, random.nextInt(from + 1, 25));
            Instant written = at("2026-01-01T00:00")
                    .plusSeconds(random.nextLong(Duration.ofDays(700).toSeconds()));
            Instant goes = hours.next(written, OSLO);
            assertThat(goes).isBetween(written, written.plus(Duration.ofHours(25)));
            assertThat(hours.next(goes, OSLO)).isEqualTo(goes);
            assertThat(goes.atZone(OSLO).getHour()).isBetween(hours.from(), hours.until());
        }
    }

    @ParameterizedTest
    @CsvSource({"18, 8", "8, 8", "-1, 8", "8, 25"})
    void hoursThatAreNoneAreRefused(int from, int until) {
        assertThatIllegalArgumentException().isThrownBy(() -> new WritingHours(from, until));
    }
}
