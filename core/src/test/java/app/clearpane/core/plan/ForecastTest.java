package app.clearpane.core.plan;

import static app.clearpane.core.plan.Plans.LINE;
import static app.clearpane.core.plan.Plans.START;
import static app.clearpane.core.plan.Plans.begun;
import static app.clearpane.core.plan.Plans.clients;
import static app.clearpane.core.plan.Plans.done;
import static app.clearpane.core.plan.Plans.id;
import static app.clearpane.core.plan.Plans.ours;
import static app.clearpane.core.plan.Plans.shaped;
import static app.clearpane.core.plan.Plans.with;
import static app.clearpane.core.plan.Plans.worked;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.calendar.Timeline;
import app.clearpane.core.calendar.WorkingCalendar;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ForecastTest {
    private static final LocalDate AGREED = LocalDate.of(2027, 3, 30);

    private static Forecast of(List<Task> tasks, int morning) {
        return Forecast.of(new Network(tasks), LINE, morning);
    }

    @ParameterizedTest(name = "{0} from {1} to {2}, {3} days to spare")
    @CsvSource({
        "A, 2027-03-01, 2027-03-05, 0",
        "B, 2027-03-01, 2027-03-03, 2",
        "C, 2027-03-08, 2027-03-17, 0",
        "R, 2027-03-18, 2027-03-22, 0",
        "Dd, 2027-03-23, 2027-03-26, 0"
    })
    void laysTheWorkedPlanOut(String name, LocalDate first, LocalDate last, int spare) {
        Forecast plan = of(worked(), 0);
        assertThat(LINE.day(plan.start(id(name)))).isEqualTo(first);
        assertThat(LINE.lastDay(plan.finish(id(name)))).isEqualTo(last);
        assertThat(plan.floatOf(id(name), plan.finish())).isEqualTo(spare);
        assertThat(plan.isCritical(id(name), OptionalInt.of(plan.finish()))).isEqualTo(spare == 0);
    }

    @Nested
    class WithTheHolidaysOfEaster {
        private final WorkingCalendar calendar = new WorkingCalendar(
                WorkingCalendar.weekdays(java.time.ZoneOffset.UTC).hours(),
                java.util.Set.of(LocalDate.of(2027, 3, 26), LocalDate.of(2027, 3, 29)),
                java.time.ZoneOffset.UTC);

        /**
         * Sent on a Saturday, it counts as sent on the Monday: three days from the Tuesday on, and due on the Thursday
         * as the rule of D6 has it.
         */
        @ParameterizedTest(name = "sent on {0}: until {1}")
        @CsvSource({
            "2027-03-05, 2027-03-10",
            "2027-03-06, 2027-03-11",
            "2027-03-07, 2027-03-11",
            "2027-03-08, 2027-03-11"
        })
        void endsOnTheDayItIsDue(LocalDate sent, LocalDate until) {
            Forecast forecast = Forecast.of(new Network(List.of(begun(clients("R", 3), sent))), LINE, 5);
            assertThat(LINE.lastDay(forecast.finish(id("R")))).isEqualTo(until);
            assertThat(LINE.calendar()
                            .due(sent.atTime(10, 0).toInstant(java.time.ZoneOffset.UTC), 3)
                            .atZone(java.time.ZoneOffset.UTC)
                            .toLocalDate())
                    .isEqualTo(until);
        }

        @Test
        void aMilestoneThatWaitsIsNotReachedBeforeItsOwnDay() {
            Task opening = shaped(ours("M", 0, "A"), 0, Optional.of(LocalDate.of(2027, 3, 12)), OptionalInt.empty());
            Forecast forecast = Forecast.of(new Network(List.of(ours("A", 2), opening)), LINE, 0);
            assertThat(LINE.lastDay(forecast.finish(id("M")))).isEqualTo(LocalDate.of(2027, 3, 12));
            assertThat(Forecast.of(new Network(List.of(done(ours("A", 2), START, START), opening)), LINE, 8)
                            .isDone(id("M")))
                    .isFalse();
            assertThat(Forecast.of(new Network(List.of(ours("A", 20), opening)), LINE, 0)
                            .finish(id("M")))
                    .isEqualTo(20);
        }

        @Test
        void endsTheArtworkAndOpensOnThe30th() {
            Timeline line = new Timeline(calendar, START);
            Forecast plan = Forecast.of(new Network(worked()), line, 0);
            assertThat(line.day(plan.start(id("Dd")))).isEqualTo(LocalDate.of(2027, 3, 23));
            assertThat(line.lastDay(plan.finish(id("Dd")))).isEqualTo(AGREED);
            assertThat(line.lastDay(plan.finish(id("M")))).isEqualTo(AGREED);
        }
    }

    @Nested
    class OnAMorning {
        @Test
        void keepsTheDaysOfWhatIsDone() {
            Forecast plan = of(List.of(done(ours("A", 5), START.plusDays(1), START.plusDays(2)), ours("B", 2, "A")), 3);
            assertThat(plan.start(id("A"))).isEqualTo(1);
            assertThat(plan.finish(id("A"))).isEqualTo(3);
            assertThat(plan.start(id("B"))).isEqualTo(3);
        }

        @ParameterizedTest(name = "begun at 1, five days, on the morning of {0}: finished at {1}")
        @CsvSource({"1, 6", "5, 6", "6, 7", "9, 10"})
        void takesWhatIsUnderWayToLastAtLeastUntilTonight(int morning, int finish) {
            assertThat(of(List.of(begun(ours("A", 5), START.plusDays(1))), morning)
                            .finish(id("A")))
                    .isEqualTo(finish);
        }

        @Test
        void takesWhatWasSaidToRemain() {
            Task said = with(
                    ours("A", 5),
                    Stage.UNDER_WAY,
                    new Task.Actual(
                            Optional.of(START),
                            Optional.empty(),
                            Optional.of(new Task.Remaining(7, START.plusDays(2)))));
            assertThat(of(List.of(said), 3).finish()).isEqualTo(9);
        }

        @Test
        void beginsNothingInThePast() {
            assertThat(of(List.of(ours("A", 2)), 4).start(id("A"))).isEqualTo(4);
        }

        @Test
        void beginsWhatTheClientDoesTheDayAfterItWasSent() {
            assertThat(of(List.of(begun(clients("R", 3), START)), 1).finish(id("R")))
                    .isEqualTo(4);
        }

        @Test
        void keepsTheStartOfWhatBeganBeforeItsPredecessors() {
            Forecast plan = of(List.of(ours("A", 9), begun(ours("B", 2, "A"), START)), 1);
            assertThat(plan.start(id("B"))).isZero();
            assertThat(plan.finish(id("B"))).isEqualTo(2);
            assertThat(plan.floatOf(id("A"), plan.finish()))
                    .as("what began holds nothing back")
                    .isZero();
        }

        @Test
        void movesWhatWaitsForLagsAndDays() {
            Task late = new Task(
                    id("B"),
                    Optional.empty(),
                    "B",
                    Side.OURS,
                    new Task.Shape(
                            1,
                            Optional.of(START.plusDays(1)),
                            List.of(new Task.After(id("A"), 2)),
                            OptionalInt.empty()),
                    Stage.TO_DO,
                    Task.Actual.NONE);
            assertThat(of(List.of(ours("A", 3), late), 0).start(id("B"))).isEqualTo(5);
        }
    }

    @Nested
    class OfAMilestone {
        @ParameterizedTest(name = "on Thursday, by itself, on the morning of {0}: {1}")
        @CsvSource({"0, 2027-03-04", "3, 2027-03-04", "4, 2027-03-05", "5, 2027-03-08"})
        void standsOnItsOwnDayAndSlipsFromTheNext(int morning, LocalDate day) {
            Forecast plan = of(
                    List.of(shaped(ours("M", 0), 0, Optional.of(LocalDate.of(2027, 3, 4)), OptionalInt.empty())),
                    morning);
            assertThat(LINE.lastDay(plan.finish(id("M")))).isEqualTo(day);
            assertThat(plan.isDone(id("M"))).isFalse();
        }

        @Test
        void isReachedWithTheLastOfWhatItWaitsFor() {
            Forecast plan = of(List.of(done(ours("A", 2), START, START.plusDays(1)), ours("M", 0, "A")), 6);
            assertThat(plan.isDone(id("M"))).isTrue();
            assertThat(LINE.lastDay(plan.finish(id("M")))).isEqualTo(START.plusDays(1));
        }
    }

    @Test
    void namesTheCircle() {
        List<Task> tasks = List.of(ours("A", 1, "C"), ours("B", 1, "A"), ours("C", 1, "B"), ours("D", 1, "C"));
        assertThat(Network.circle(tasks).orElseThrow()).extracting(Task::name).containsExactly("A", "C", "B", "A");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Network(tasks))
                .withMessageContaining("A → C → B → A");
        assertThat(Network.circle(worked())).isEmpty();
    }

    @Test
    void findsWhatHoldsEverythingUp() {
        assertThat(of(worked(), 0).head().orElseThrow().name()).isEqualTo("A");
        List<Task> later = new ArrayList<>(worked());
        later.set(0, done(later.get(0), START, LocalDate.of(2027, 3, 5)));
        later.set(1, done(later.get(1), START, LocalDate.of(2027, 3, 3)));
        later.set(2, done(later.get(2), LocalDate.of(2027, 3, 8), LocalDate.of(2027, 3, 17)));
        assertThat(of(later, 15).head().orElseThrow().name()).isEqualTo("R");
    }

    /**
     * Slow and plain: everything that leads to an activity, path by path, if one of them took some days longer. What
     * takes no time falls on its day, at the end of it.
     */
    private static int longestTo(List<Task> tasks, Task task, Task longer, int days) {
        int ready = task.shape()
                .notBefore()
                .map(day -> Math.max(0, task.milestone() ? LINE.offsetAfter(day) : LINE.offset(day)))
                .orElse(0);
        for (Task.After link : task.shape().after()) {
            Task before = tasks.stream()
                    .filter(one -> one.id().equals(link.predecessor()))
                    .findFirst()
                    .orElseThrow();
            ready = Math.max(ready, longestTo(tasks, before, longer, days) + link.lagDays());
        }
        return ready + task.shape().days() + (task == longer ? days : 0);
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void agreesWithEveryPathTakenOneByOne(long seed) {
        Random random = new Random(seed);
        for (int round = 0; round < 60; round++) {
            List<Task> tasks = Plans.random(random, 8);
            Forecast plan = of(tasks, 0);
            int last = tasks.stream()
                    .mapToInt(task -> longestTo(tasks, task, task, 0))
                    .max()
                    .orElse(0);
            assertThat(plan.finish()).isEqualTo(last);
            for (Task task : tasks) {
                assertThat(plan.finish(task.id())).as(task.name()).isEqualTo(longestTo(tasks, task, task, 0));
                int spare = plan.floatOf(task.id(), last);
                assertThat(finishWhenLonger(tasks, task, spare))
                        .as("its float moves nothing")
                        .isLessThanOrEqualTo(last);
                assertThat(finishWhenLonger(tasks, task, spare + 1))
                        .as("a day more does")
                        .isGreaterThan(last);
                assertThat(plan.isCritical(task.id(), OptionalInt.of(last))).isEqualTo(spare == 0);
            }
        }
    }

    private static int finishWhenLonger(List<Task> tasks, Task longer, int days) {
        return tasks.stream()
                .mapToInt(task -> longestTo(tasks, task, longer, days))
                .max()
                .orElse(0);
    }
}
