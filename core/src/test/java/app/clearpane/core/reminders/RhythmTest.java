package app.clearpane.core.reminders;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RhythmTest {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    /** Good Friday and Easter Monday 2027. */
    private static final WorkingCalendar EASTER = new WorkingCalendar(
            WorkingCalendar.weekdays(LONDON).hours(),
            Set.of(LocalDate.of(2027, 3, 26), LocalDate.of(2027, 3, 29)),
            LONDON);

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(LONDON).toInstant();
    }

    @Test
    void goesRoundEasterAndTheChangeOfTheClock() {
        List<Rhythm.Occasion> occasions = Rhythm.USUAL.occasions(at("2027-03-30T17:30"), EASTER);
        assertThat(occasions)
                .containsExactly(
                        new Rhythm.Occasion("before", at("2027-03-25T09:00")),
                        new Rhythm.Occasion("day", at("2027-03-30T09:00")),
                        new Rhythm.Occasion("late 1", at("2027-04-01T09:00")),
                        new Rhythm.Occasion("late 2", at("2027-04-05T09:00")),
                        new Rhythm.Occasion("late 3", at("2027-04-07T09:00")));
        assertThat(occasions.get(0).at())
                .as("before the clock changed")
                .isEqualTo(Instant.parse("2027-03-25T09:00:00Z"));
        assertThat(occasions.get(1).at()).as("after it changed").isEqualTo(Instant.parse("2027-03-30T08:00:00Z"));
    }

    @ParameterizedTest(name = "due {0}: {1}")
    @CsvSource({
        "2027-04-07T08:30, before late 1 late 2 late 3",
        "2027-04-08T00:00, before day late 1 late 2 late 3",
        "2027-04-11T12:00, before late 1 late 2 late 3",
        "2027-04-07T09:00, before late 1 late 2 late 3"
    })
    void hasNoneOnTheDayWhereTheHourIsNotBeforeItIsDueOrTheDayIsFree(String due, String keys) {
        assertThat(String.join(
                        " ",
                        Rhythm.USUAL.occasions(at(due), EASTER).stream()
                                .map(Rhythm.Occasion::key)
                                .toList()))
                .isEqualTo(keys);
    }

    @ParameterizedTest(name = "at {0}: {1}")
    @CsvSource({
        "2027-04-06T08:59, ''",
        "2027-04-06T09:00, before",
        "2027-04-06T23:00, before",
        "2027-04-07T09:01, day",
        "2027-04-09T08:00, day",
        "2027-04-09T09:30, late 1",
        "2027-04-10T09:30, ''",
        "2027-04-12T08:00, late 1",
        "2027-04-12T10:00, late 1",
        "2027-04-13T09:00, late 2",
        "2027-05-20T09:00, late 3"
    })
    void isTheLatestThatHasComeAndNothingOnAFreeDay(String now, String key) {
        assertThat(Rhythm.USUAL
                        .now(at("2027-04-07T17:30"), at("2027-04-01T12:00"), at(now), EASTER)
                        .map(Rhythm.Occasion::key)
                        .orElse(""))
                .isEqualTo(key);
    }

    @Test
    void nothingGoesOutThatHadComeBeforeItWasTheirs() {
        Instant due = at("2027-04-07T17:30");
        assertThat(Rhythm.USUAL.now(due, at("2027-04-07T11:00"), at("2027-04-07T12:00"), EASTER))
                .isEmpty();
        assertThat(Rhythm.USUAL
                        .now(due, at("2027-04-07T11:00"), at("2027-04-09T12:00"), EASTER)
                        .map(Rhythm.Occasion::key))
                .hasValue("late 1");
    }

    /**
     * However often it is asked, no two different occasions come out of order, and there are at most two before it is
     * late and so many after.
     */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void isAskedAsOftenAsOneLikes(long seed) {
        Random random = new Random(seed);
        Rhythm rhythm = new Rhythm(random.nextInt(24), 1 + random.nextInt(4), random.nextInt(5));
        Instant due = at("2027-03-15T00:00").plusSeconds(random.nextInt(3_000_000));
        List<String> all =
                rhythm.occasions(due, EASTER).stream().map(Rhythm.Occasion::key).toList();
        int last = -1;
        for (Instant now = due.minusSeconds(1_000_000);
                now.isBefore(due.plusSeconds(3_000_000));
                now = now.plusSeconds(random.nextInt(40_000))) {
            String key = rhythm.now(due, due.minusSeconds(900_000), now, EASTER)
                    .map(Rhythm.Occasion::key)
                    .orElse("");
            if (!key.isEmpty()) {
                assertThat(all.indexOf(key)).isGreaterThanOrEqualTo(last);
                last = all.indexOf(key);
            }
        }
        assertThat(all).hasSizeBetween(1 + rhythm.most(), 2 + rhythm.most());
        assertThat(rhythm.occasions(due, EASTER))
                .allSatisfy(occasion -> assertThat(EASTER.isWorkingDay(LocalDate.ofInstant(occasion.at(), LONDON)))
                        .isTrue())
                .isSortedAccordingTo((a, b) -> a.at().compareTo(b.at()));
    }

    @ParameterizedTest
    @CsvSource({"24, 2, 3", "-1, 2, 3", "9, 0, 3", "9, 31, 3", "9, 2, -1", "9, 2, 13"})
    void isRefusedOutOfBounds(int hour, int every, int most) {
        assertThatIllegalArgumentException().isThrownBy(() -> new Rhythm(hour, every, most));
    }
}
