package app.clearpane.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PhaseTemplateTest {
    private static final WorkingCalendar DAYS = WorkingCalendar.weekdays(ZoneOffset.UTC);
    private static final LocalDate START = LocalDate.of(2027, 3, 6);
    private static final String SPACE =
            "Discover, 6 days\n- Walk the place, 1\n- client: Send plans and photographs, 3\n- Write down what is "
                    + "wanted, 2\nConcept, 9 days\n- Draw directions, 7\n- client: Choose a direction, 2\nOpening, 3 "
                    + "days\n- Fit and check, 3";
    private static final String SHORT =
            "Brief, 1 day\n- Write it, 1\nPrint, 4 days\n- client: Sign it, 1\n- Print and bind, 3\nDelivery, 1 "
                    + "day\n- Bring it, 1";

    private static PhaseTemplate of(String outline) {
        return new PhaseTemplate("Somewhere", "Opening", PhaseTemplate.read(outline), Map.of(), List.of());
    }

    @ParameterizedTest
    @ValueSource(strings = {SPACE, SHORT})
    void isTypedAsItIsRead(String outline) {
        assertThat(of(outline).outline()).isEqualTo(outline);
    }

    @Test
    void isReadAsPeopleType() {
        List<PhaseTemplate.Part> parts = PhaseTemplate.read(
                "  Concept,9\n\n-Draw, on paper, 2 days\n - Client : Choose a direction\nDesign\n- Lay out,  3 "
                        + "days\n- client’s: Look,1 day\nLaunch");
        assertThat(parts)
                .containsExactly(
                        new PhaseTemplate.Part(
                                "Concept",
                                9,
                                List.of(
                                        new PhaseTemplate.Usual("Draw, on paper", Side.OURS, 2),
                                        new PhaseTemplate.Usual("Choose a direction", Side.CLIENTS, 1))),
                        new PhaseTemplate.Part(
                                "Design",
                                4,
                                List.of(
                                        new PhaseTemplate.Usual("Lay out", Side.OURS, 3),
                                        new PhaseTemplate.Usual("Look", Side.CLIENTS, 1))),
                        new PhaseTemplate.Part("Launch", 1, List.of()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''|one phase at least",
                "- Draw|Line 1: a task stands in a phase",
                "Concept\\nconcept|Line 2: there is a phase",
                "Concept\\n-|Line 2: a name is missing",
                "Concept, 0 days|Line 1: it takes from 1 to",
                "Concept, 9999|Line 1: it takes from 1 to"
            })
    void saysInWhichLineWhatIsWrong(String outline, String said) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> PhaseTemplate.read(outline.replace("\\n", "\n")))
                .withMessageContaining(said);
    }

    @ParameterizedTest
    @ValueSource(strings = {SPACE, SHORT})
    void takesItsUsualDaysFromAStartOrBackFromAnEnd(String outline) {
        PhaseTemplate template = of(outline);
        for (int i = 0; i < 14; i++) {
            LocalDate day = START.plusDays(i);
            LocalDate finish = template.finishFrom(day, DAYS);
            assertThat(DAYS.workingDays(day, finish.plusDays(1))).isEqualTo(template.days());
            LocalDate start = template.startFor(day, DAYS);
            assertThat(DAYS.workingDays(start, day.plusDays(1))).isEqualTo(template.days());
            assertThat(DAYS.workingDays(start.plusDays(1), day.plusDays(1)))
                    .as("the latest")
                    .isLessThan(template.days());
        }
        assertThat(template.layOut(START, template.finishFrom(START, DAYS), DAYS))
                .extracting(one -> DAYS.workingDays(one.startsOn(), one.endsOn().plusDays(1)))
                .containsExactlyElementsOf(
                        template.parts().stream().map(PhaseTemplate.Part::days).toList());
    }

    @ParameterizedTest
    @ValueSource(strings = {SPACE, SHORT})
    void fillsTheWorkingDaysWithoutGapOrOverlap(String outline) {
        PhaseTemplate template = of(outline);
        for (int length = 0; length < 200; length += 7) {
            List<PhaseTemplate.Laid> laid = template.layOut(START, START.plusDays(length), DAYS);
            assertThat(laid).extracting(PhaseTemplate.Laid::name).containsExactlyElementsOf(template.phases());
            assertThat(laid.get(0).startsOn()).isEqualTo(LocalDate.of(2027, 3, 8));
            for (int i = 0; i < laid.size(); i++) {
                assertThat(laid.get(i).endsOn()).isAfterOrEqualTo(laid.get(i).startsOn());
                if (i > 0) {
                    assertThat(laid.get(i).startsOn())
                            .isEqualTo(DAYS.rollForward(laid.get(i - 1).endsOn().plusDays(1)));
                }
            }
            if (length > 21) {
                assertThat(laid.get(laid.size() - 1).endsOn()).isBeforeOrEqualTo(START.plusDays(length));
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {SPACE, SHORT})
    void laysItsTasksOverTheSameDays(String outline) {
        PhaseTemplate template = of(outline);
        for (int length = 60; length < 400; length += 13) {
            LocalDate finish = START.plusDays(length);
            List<PhaseTemplate.LaidTask> tasks = template.tasks(START, finish, DAYS);
            assertThat(tasks.stream().mapToInt(PhaseTemplate.LaidTask::days).sum())
                    .isEqualTo(DAYS.workingDays(START, finish.plusDays(1)));
            for (PhaseTemplate.Laid phase : template.layOut(START, finish, DAYS)) {
                assertThat(tasks.stream()
                                .filter(task -> task.phase().equals(phase.name()))
                                .mapToInt(PhaseTemplate.LaidTask::days)
                                .sum())
                        .isEqualTo(DAYS.workingDays(
                                phase.startsOn(), phase.endsOn().plusDays(1)));
            }
            assertThat(tasks).extracting(PhaseTemplate.LaidTask::days).allMatch(days -> days >= 1);
        }
        assertThat(template.tasks(START, START, DAYS))
                .extracting(PhaseTemplate.LaidTask::days)
                .containsOnly(1);
    }

    @Test
    void refusesAFinishBeforeTheStart() {
        assertThatIllegalArgumentException().isThrownBy(() -> of(SHORT).layOut(START, START.minusDays(1), DAYS));
    }
}
