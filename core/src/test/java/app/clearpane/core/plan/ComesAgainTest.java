package app.clearpane.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ComesAgainTest {
    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "FREQ=DAILY|every day",
                "FREQ=DAILY;INTERVAL=3|every 3 days",
                "FREQ=WEEKLY;BYDAY=FR|every week on Friday",
                "FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,FR;UNTIL=20270604|every 2 weeks on Tuesday and Friday, until 4 "
                        + "Jun 2027",
                "FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR|every week from Monday to Friday",
                "FREQ=WEEKLY;BYDAY=MO,WE,SU|every week on Monday, Wednesday and Sunday",
                "FREQ=MONTHLY|every month",
                "FREQ=MONTHLY;BYDAY=-1FR|every month on its last Friday",
                "FREQ=MONTHLY;INTERVAL=3;BYDAY=1MO|every 3 months on its first Monday",
                "FREQ=YEARLY|every year"
            })
    void isSaidInWordsAndWrittenAsARule(String rule, String words) {
        ComesAgain read = ComesAgain.of(rule).orElseThrow();
        assertThat(read.inWords()).isEqualTo(words);
        assertThat(read.rule()).isEqualTo(rule);
    }

    @ParameterizedTest(name = "“{0}” needs a rule, or is none")
    @ValueSource(
            strings = {
                "",
                "every Friday",
                "FREQ=HOURLY",
                "FREQ=MONTHLY;BYMONTHDAY=15",
                "FREQ=MONTHLY;BYDAY=FR",
                "FREQ=MONTHLY;BYDAY=1MO,2TU",
                "FREQ=WEEKLY;COUNT=4",
                "FREQ=WEEKLY;BYDAY=1FR",
                "FREQ=MONTHLY;BYDAY=5FR",
                "FREQ=DAILY;INTERVAL=0",
                "FREQ=DAILY;FREQ=WEEKLY",
                "FREQ=DAILY;UNTIL=soon",
                "BYDAY=FR"
            })
    void leavesOtherRulesAlone(String rule) {
        assertThat(ComesAgain.of(rule)).isEmpty();
    }

    @Test
    void whatStandsInWordsComesBackAsItWas() {
        Random random = new Random(46);
        for (int i = 0; i < 400; i++) {
            ComesAgain.Unit unit = ComesAgain.Unit.values()[random.nextInt(4)];
            Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
            for (int day = random.nextInt(4);
                    day > 0 && unit == ComesAgain.Unit.WEEK || day == 1 && unit == ComesAgain.Unit.MONTH;
                    day--) {
                days.add(DayOfWeek.of(1 + random.nextInt(7)));
            }
            int nth = new int[] {1, 2, 3, 4, -1}[random.nextInt(5)];
            ComesAgain again = new ComesAgain(
                    unit,
                    1 + random.nextInt(366),
                    days,
                    unit == ComesAgain.Unit.MONTH && !days.isEmpty() ? OptionalInt.of(nth) : OptionalInt.empty(),
                    random.nextBoolean()
                            ? Optional.of(LocalDate.of(2027, 1, 1).plusDays(random.nextInt(4_000)))
                            : Optional.empty());
            assertThat(ComesAgain.of(again.rule())).contains(again);
        }
        assertThatThrownBy(() -> new ComesAgain(
                        ComesAgain.Unit.YEAR, 1, Set.of(DayOfWeek.MONDAY), OptionalInt.empty(), Optional.empty()))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
