package app.clearpane.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.usecases.shell.Words;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Dates, counts and lists as people read them, in the agency's zone. */
class WordsTest {
    private final Words words = WordsOfATest.at(Instant.parse("2027-05-13T22:30:00Z"));

    @ParameterizedTest(name = "{0} is {1}")
    @CsvSource({
        "2027-05-14, Fri 14 May",
        "2027-01-01, Fri 1 Jan",
        "2026-12-31, Thu 31 Dec 2026",
        "2028-02-29, Tue 29 Feb 2028"
    })
    void daysHaveTheirYearWhenItIsNotThisOne(LocalDate day, String said) {
        assertThat(words.day(day)).isEqualTo(said);
    }

    @ParameterizedTest(name = "{0} is {1}")
    @CsvSource({
        "2027-05-13T08:05:00Z, today 09:05",
        "2027-05-12T22:59:00Z, yesterday 23:59",
        "2027-05-12T23:00:00Z, today 00:00",
        "2027-05-11T08:05:00Z, 'Tue 11 May, 09:05'",
        "2027-01-11T08:05:00Z, 'Mon 11 Jan, 08:05'",
        "2026-05-11T08:05:00Z, 'Mon 11 May 2026, 09:05'"
    })
    void timesAreInTheAgencysZone(Instant instant, String said) {
        assertThat(words.when(instant)).isEqualTo(said);
    }

    @ParameterizedTest(name = "{0} is {1}")
    @CsvSource({
        "2027-05-13T16:30:00Z, today 17:30",
        "2027-05-13T23:00:00Z, today",
        "2027-05-12T23:00:00Z, yesterday",
        "2027-05-14T23:00:00Z, Fri 14 May",
        "2027-05-13T23:00:01Z, 'Fri 14 May, 00:00'",
        "2027-12-31T00:00:00Z, Thu 30 Dec",
        "2027-01-01T00:00:00Z, Thu 31 Dec 2026"
    })
    void whatIsDueAtMidnightIsDueOnTheDayThatEnds(Instant due, String said) {
        assertThat(words.due(due)).isEqualTo(said);
    }

    @ParameterizedTest(name = "{0} is the day {1}")
    @CsvSource({
        "2027-05-13T22:59:00Z, 2027-05-13",
        "2027-05-13T23:00:00Z, 2027-05-14",
        "2027-01-13T23:59:00Z, 2027-01-13"
    })
    void formsTakeTheDayThatItIsThere(Instant instant, String day) {
        assertThat(words.isoDay(instant)).isEqualTo(day);
    }

    @Test
    void listsAndCounts() {
        assertThat(words.and(List.of())).isEmpty();
        assertThat(words.and(List.of("Map"))).isEqualTo("Map");
        assertThat(words.and(List.of("Map", "Mark"))).isEqualTo("Map and Mark");
        assertThat(words.and(List.of("Map", "Mark", "Panels"))).isEqualTo("Map, Mark and Panels");
        assertThat(words.count(1, "mark", "marks")).isEqualTo("1 mark");
        assertThat(words.count(0, "mark", "marks")).isEqualTo("0 marks");
        assertThat(words.first("Ines Okafor-Lindqvist")).isEqualTo("Ines");
    }
}
