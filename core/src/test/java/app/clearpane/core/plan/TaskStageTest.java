package app.clearpane.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ItemId;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What becomes of a task's days when its stage changes: every stage to every other. */
class TaskStageTest {
    private static final LocalDate TODAY = LocalDate.of(2027, 3, 24);
    private static final LocalDate EARLIER = LocalDate.of(2027, 3, 15);

    private static Task task(Side side, Stage stage, @Nullable LocalDate began, @Nullable LocalDate done) {
        return new Task(
                new ItemId(new UUID(1, 1)),
                Optional.empty(),
                "Draw the map",
                side,
                new Task.Shape(4, Optional.empty(), List.of(), OptionalInt.empty()),
                stage,
                new Task.Actual(
                        Optional.ofNullable(began),
                        Optional.ofNullable(done),
                        Optional.of(new Task.Remaining(2, EARLIER))));
    }

    private static Optional<LocalDate> day(String word) {
        return switch (word) {
            case "today" -> Optional.of(TODAY);
            case "earlier" -> Optional.of(EARLIER);
            default -> Optional.empty();
        };
    }

    @ParameterizedTest(name = "{0}, begun {1}, to {2}: begun {3}, done {4}, what remains {5}")
    @CsvSource({
        "TO_DO, no, UNDER_WAY, today, no, kept",
        "TO_DO, no, IN_CHECK, today, no, kept",
        "TO_DO, no, DONE, today, today, gone",
        "TO_DO, no, DROPPED, no, no, gone",
        "UNDER_WAY, earlier, TO_DO, no, no, gone",
        "UNDER_WAY, earlier, IN_CHECK, earlier, no, kept",
        "UNDER_WAY, earlier, DONE, earlier, today, gone",
        "UNDER_WAY, earlier, DROPPED, earlier, no, gone",
        "IN_CHECK, earlier, TO_DO, no, no, gone",
        "IN_CHECK, earlier, UNDER_WAY, earlier, no, kept",
        "IN_CHECK, earlier, DONE, earlier, today, gone",
        "IN_CHECK, earlier, DROPPED, earlier, no, gone",
        "DONE, earlier, TO_DO, no, no, gone",
        "DONE, earlier, UNDER_WAY, earlier, no, kept",
        "DONE, earlier, IN_CHECK, earlier, no, kept",
        "DONE, earlier, DROPPED, earlier, no, gone",
        "DROPPED, no, TO_DO, no, no, gone",
        "DROPPED, no, UNDER_WAY, today, no, kept",
        "DROPPED, earlier, IN_CHECK, earlier, no, kept",
        "DROPPED, earlier, DONE, earlier, today, gone"
    })
    void itsDaysFollow(Stage from, String began, Stage to, String begun, String done, String remains) {
        Task before = task(Side.OURS, from, day(began).orElse(null), from == Stage.DONE ? EARLIER : null);
        Task after = before.movedTo(to, TODAY);
        assertThat(after.stage()).isEqualTo(to);
        assertThat(after.actual().began()).isEqualTo(day(begun));
        assertThat(after.actual().done()).isEqualTo(day(done));
        assertThat(after.actual().remaining().isPresent()).isEqualTo(remains.equals("kept"));
        assertThat(after.shape()).isEqualTo(before.shape());
    }

    @ParameterizedTest
    @EnumSource(Stage.class)
    void toTheStageItIsAtNothingChanges(Stage stage) {
        Task task = task(Side.OURS, stage, EARLIER, stage == Stage.DONE ? EARLIER : null);
        assertThat(task.movedTo(stage, TODAY)).isEqualTo(task);
    }

    @Test
    void whatTheClientWasGivenStaysGivenWhenItIsTakenUpAgain() {
        Task given = task(Side.CLIENTS, Stage.DONE, EARLIER, EARLIER);
        assertThat(given.movedTo(Stage.TO_DO, TODAY).actual().began()).contains(EARLIER);
        assertThat(task(Side.OURS, Stage.DONE, EARLIER, EARLIER)
                        .movedTo(Stage.TO_DO, TODAY)
                        .actual()
                        .began())
                .isEmpty();
    }
}
