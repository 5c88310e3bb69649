package app.clearpane.usecases.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.Agency;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** It is Thursday the 13th of May in London, half past eight in the evening. */
class WordsForReadersTest {
    private static final Instant NOW = Instant.parse("2027-05-13T19:30:00Z");
    private final TheAgency agency = mock();

    @BeforeEach
    void inLondon() {
        when(agency.get()).thenReturn(new Agency(new UUID(1, 2), "Marram & Finch", ZoneId.of("Europe/London")));
        when(agency.now()).thenReturn(NOW);
        when(agency.today()).thenReturn(LocalDate.of(2027, 5, 13));
    }

    private Words words(String zone, String dates) {
        return new Words(
                agency,
                new Words.Reader(
                        Optional.ofNullable(zone).map(ZoneId::of),
                        Optional.ofNullable(dates).map(Locale::forLanguageTag).orElse(Locale.UK)));
    }

    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            delimiter = '|',
            value = {"-       | Thu 21 Oct", "en-US   | Thu Oct 21", "de      | Do 21 Okt", "it      | gio 21 ott"})
    void daysAreWrittenInTheirLanguage(String dates, String written) {
        assertThat(words(null, dates).day(LocalDate.of(2027, 10, 21))).isEqualTo(written);
        assertThat(words(null, dates).day(LocalDate.of(2028, 10, 19))).endsWith("2028");
    }

    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            delimiter = '|',
            value = {
                "-                | today 20:30",
                "Pacific/Auckland | today 07:30",
                "America/New_York | today 15:30"
            })
    void aTimeIsSaidWhereTheyAre(String zone, String written) {
        assertThat(words(zone, null).when(NOW)).isEqualTo(written);
    }

    @Test
    void theirDayIsNotOurs() {
        assertThat(words("Pacific/Auckland", null).readersDay()).isEqualTo(LocalDate.of(2027, 5, 14));
        assertThat(words("Pacific/Auckland", null).when(NOW.minusSeconds(8 * 3_600)))
                .as("before midnight there")
                .isEqualTo("yesterday 23:30");
        assertThat(words(null, null).today()).isEqualTo(LocalDate.of(2027, 5, 13));
    }

    @Test
    void aDayThatEndsAtOurMidnightEndsAtAnHourElsewhere() {
        Instant midnight = Instant.parse("2027-05-14T23:00:00Z");
        assertThat(words(null, null).due(midnight)).isEqualTo("Fri 14 May");
        assertThat(words("America/New_York", null).due(midnight)).isEqualTo("Fri 14 May, 19:00");
    }
}
