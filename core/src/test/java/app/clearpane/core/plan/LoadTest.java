package app.clearpane.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LoadTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 3, 1);
    private static final WorkingCalendar WEEK = Plans.LINE.calendar();
    private static final int A_DAY = 510;

    @Test
    void spreadsWorkOverTheWorkingDaysItStillHas() {
        List<Load.Week> weeks =
                Load.weeks(List.of(new Load.Piece(1_000, MONDAY.plusDays(3), MONDAY.plusDays(9))), MONDAY, 3, WEEK);
        assertThat(weeks)
                .extracting(Load.Week::minutes)
                .as("two days in the first week, three in the second")
                .containsExactly(400, 600, 0);
        assertThat(weeks).extracting(Load.Week::capacityMinutes).containsOnly(5 * A_DAY);
        assertThat(weeks.get(0).percent()).isEqualTo(16);
    }

    @Test
    void saysWhichWeekHasMoreWorkThanHours() {
        List<Load.Week> weeks = Load.weeks(
                List.of(
                        new Load.Piece(5 * A_DAY, MONDAY, MONDAY.plusDays(4)),
                        new Load.Piece(1, MONDAY.plusDays(4), MONDAY.plusDays(4))),
                MONDAY,
                1,
                WEEK);
        assertThat(weeks.get(0).overbooked()).isTrue();
        assertThat(Load.weeks(List.of(new Load.Piece(5 * A_DAY, MONDAY, MONDAY.plusDays(4))), MONDAY, 1, WEEK)
                        .get(0)
                        .overbooked())
                .isFalse();
    }

    @Test
    void countsTheHoursOfThisWeekFromToday() {
        assertThat(Load.weeks(List.of(), MONDAY.plusDays(3), 1, WEEK).get(0).capacityMinutes())
                .isEqualTo(2 * A_DAY);
    }

    @Test
    void putsWorkOfAWeekendIntoItsWeek() {
        List<Load.Week> weeks =
                Load.weeks(List.of(new Load.Piece(60, MONDAY.plusDays(5), MONDAY.plusDays(6))), MONDAY, 2, WEEK);
        assertThat(weeks).extracting(Load.Week::minutes).containsExactly(60, 0);
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3})
    void losesNothing(long seed) {
        Random random = new Random(seed);
        for (int round = 0; round < 50; round++) {
            List<Load.Piece> pieces = new ArrayList<>();
            for (int i = random.nextInt(6); i >= 0; i--) {
                LocalDate from = MONDAY.plusDays(random.nextInt(20));
                pieces.add(new Load.Piece(random.nextInt(2_000), from, from.plusDays(random.nextInt(20))));
            }
            int all = Load.weeks(pieces, MONDAY, 8, WEEK).stream()
                    .mapToInt(Load.Week::minutes)
                    .sum();
            assertThat((double) all)
                    .isCloseTo(pieces.stream().mapToInt(Load.Piece::minutes).sum(), within(8.0));
        }
    }
}
