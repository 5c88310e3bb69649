package app.clearpane.core.plan;

import static app.clearpane.core.plan.Plans.LINE;
import static app.clearpane.core.plan.Plans.START;
import static app.clearpane.core.plan.Plans.begun;
import static app.clearpane.core.plan.Plans.id;
import static app.clearpane.core.plan.Plans.in;
import static app.clearpane.core.plan.Plans.ours;
import static app.clearpane.core.plan.Plans.shaped;
import static app.clearpane.core.plan.Plans.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.calendar.Timeline;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class OutlineTest {
    private static Task staged(String name, Stage stage) {
        return with(ours(name, 1), stage, Task.Actual.NONE);
    }

    @ParameterizedTest(name = "{0}, {1}, {2} is {3}")
    @CsvSource({
        "TO_DO, TO_DO, TO_DO, TO_DO",
        "DONE, DONE, DROPPED, DONE",
        "DROPPED, DROPPED, DROPPED, DROPPED",
        "DONE, TO_DO, TO_DO, UNDER_WAY",
        "IN_CHECK, IN_CHECK, DONE, IN_CHECK",
        "TO_DO, UNDER_WAY, DROPPED, UNDER_WAY",
        "IN_CHECK, TO_DO, TO_DO, UNDER_WAY"
    })
    void gathersTheStagesOfItsParts(Stage a, Stage b, Stage c, Stage whole) {
        Outline outline = new Outline(List.of(
                staged("all", Stage.TO_DO),
                in(staged("a", a), "all"),
                in(staged("b", b), "all"),
                in(staged("deep", Stage.TO_DO), "all"),
                in(staged("c", c), "deep")));
        assertThat(outline.stage(id("all"))).isEqualTo(whole);
        assertThat(outline.leavesOf(id("all"))).extracting(Task::name).containsExactly("a", "b", "c");
        assertThat(outline.top()).extracting(Task::name).containsExactly("all");
    }

    @Test
    void makesLeavesWaitForWhatTheWholeWaitsFor() {
        List<Task> tasks = List.of(
                ours("whole", 1, "before"),
                in(ours("one", 2), "whole"),
                in(ours("two", 3, "one"), "whole"),
                ours("before", 4),
                ours("after", 1, "whole"),
                staged("dropped", Stage.DROPPED));
        List<Task> activities = new Outline(tasks).activities();
        assertThat(activities).extracting(Task::name).containsExactly("one", "two", "before", "after");
        Forecast plan = Forecast.of(new Network(activities), LINE, 0);
        assertThat(plan.start(id("one"))).isEqualTo(4);
        assertThat(plan.start(id("after"))).isEqualTo(9);
    }

    @ParameterizedTest(name = "before {0}, one {1}: one may begin {2}, two {3}, after {4}")
    @CsvSource({
        "TO_DO, TO_DO, false, false, false",
        "IN_CHECK, TO_DO, false, false, false",
        "DONE, TO_DO, true, false, false",
        "DROPPED, TO_DO, true, false, false",
        "DONE, DONE, true, true, false",
        "TO_DO, DONE, false, false, false"
    })
    void mayBeginOnceNothingItOrItsWholeWaitsForIsOpen(
            Stage before, Stage first, boolean one, boolean two, boolean after) {
        Outline outline = new Outline(List.of(
                ours("whole", 1, "before"),
                with(in(ours("one", 2), "whole"), first, Task.Actual.NONE),
                in(ours("two", 3, "one", "gone"), "whole"),
                staged("before", before),
                ours("after", 1, "whole")));
        assertThat(outline.mayBegin(id("one"), START)).isEqualTo(one);
        assertThat(outline.mayBegin(id("two"), START)).isEqualTo(two);
        assertThat(outline.mayBegin(id("after"), START)).isEqualTo(after);
    }

    @Test
    void mayBeginNotBeforeItsDayUnlessItHasBegun() {
        Outline outline = new Outline(List.of(
                shaped(ours("later", 1), 1, Optional.of(START.plusDays(1)), OptionalInt.empty()),
                begun(ours("begun", 1, "later"), START)));
        assertThat(outline.mayBegin(id("later"), START)).isFalse();
        assertThat(outline.mayBegin(id("later"), START.plusDays(1))).isTrue();
        assertThat(outline.mayBegin(id("begun"), START)).isTrue();
    }

    @Test
    void refusesAPartOfNothing() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Outline(List.of(in(ours("a", 1), "nowhere"))))
                .withMessageContaining("a is a part of something that is not there");
    }

    @ParameterizedTest(name = "{0} of {1} done: {2} %")
    @CsvSource({"1, 300, 1", "299, 300, 99", "0, 4, 0", "4, 4, 100", "1, 3, 33", "2, 3, 66"})
    void countsWhatIsDone(int done, int of, int percent) {
        List<Task> leaves = new ArrayList<>();
        for (int i = 0; i < of; i++) {
            leaves.add(staged("t" + i, i < done ? Stage.DONE : Stage.IN_CHECK));
        }
        assertThat(Progress.percent(leaves)).hasValue(percent);
    }

    @Test
    void weighsByEffortAndLeavesOutWhatWasDropped() {
        Task done = shaped(staged("a", Stage.DONE), 1, Optional.empty(), OptionalInt.of(3));
        Task open = shaped(staged("b", Stage.TO_DO), 1, Optional.empty(), OptionalInt.of(1));
        Task dropped = shaped(staged("c", Stage.DROPPED), 1, Optional.empty(), OptionalInt.of(2));
        assertThat(Progress.percent(List.of(done, open, dropped))).hasValue(75);
        assertThat(Progress.percent(List.of(dropped))).isEmpty();
        assertThat(Progress.percent(List.of())).isEmpty();
    }

    @Test
    void countsWhatTakesNoTimeLikeAllElse() {
        assertThat(Progress.percent(List.of(
                        staged("a", Stage.DONE),
                        shaped(staged("b", Stage.TO_DO), 0, Optional.empty(), OptionalInt.empty()))))
                .hasValue(50);
        assertThat(Progress.percent(
                        List.of(shaped(staged("b", Stage.TO_DO), 0, Optional.empty(), OptionalInt.empty()))))
                .hasValue(0);
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3})
    void neverSaysAllWhileSomethingIsOpenNorNothingWhenSomethingIsDone(long seed) {
        Random random = new Random(seed);
        for (int round = 0; round < 300; round++) {
            List<Task> leaves = new ArrayList<>();
            for (int i = random.nextInt(20); i >= 0; i--) {
                leaves.add(shaped(
                        staged("t" + i, Stage.values()[random.nextInt(5)]),
                        1,
                        Optional.empty(),
                        random.nextBoolean() ? OptionalInt.empty() : OptionalInt.of(1 + random.nextInt(100_000))));
            }
            boolean any = leaves.stream().anyMatch(task -> task.stage() == Stage.DONE);
            boolean open = leaves.stream().anyMatch(task -> task.stage().open());
            Progress.percent(leaves).ifPresent(percent -> assertThat(percent).isBetween(any ? 1 : 0, open ? 99 : 100));
        }
    }

    @ParameterizedTest(name = "{0} is offset {1}")
    @CsvSource({
        "2027-03-01, 0",
        "2027-03-06, 5",
        "2027-03-07, 5",
        "2027-03-08, 5",
        "2027-02-26, -1",
        "2027-02-28, 0",
        "2040-03-01, 3393"
    })
    void numbersTheDays(LocalDate day, int offset) {
        assertThat(LINE.offset(day)).isEqualTo(offset);
        if (LINE.calendar().isWorkingDay(day)) {
            assertThat(LINE.day(offset)).isEqualTo(day);
        }
    }

    @Test
    void startsOnTheFirstWorkingDayOfAProjectThatStartsOnASunday() {
        Timeline line = new Timeline(LINE.calendar(), START.minusDays(1));
        assertThat(line.day(0)).isEqualTo(START);
        assertThat(line.offset(START)).isZero();
    }
}
