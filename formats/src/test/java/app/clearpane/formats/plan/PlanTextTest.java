package app.clearpane.formats.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PlanTextTest {
    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final Task PLAIN = new Task(
            new ItemId(new UUID(1, 1)),
            Optional.empty(),
            "Concept “A”",
            Side.OURS,
            new Task.Shape(5, Optional.empty(), List.of(), OptionalInt.empty()),
            Stage.TO_DO,
            Task.Actual.NONE);
    private static final Task FULL = new Task(
            new ItemId(new UUID(1, 2)),
            Optional.empty(),
            "Review\nof it",
            Side.CLIENTS,
            new Task.Shape(3, Optional.of(DAY.plusDays(7)), List.of(new Task.After(PLAIN.id(), 2)), OptionalInt.of(90)),
            Stage.UNDER_WAY,
            new Task.Actual(
                    Optional.of(DAY),
                    Optional.of(DAY.plusDays(2)),
                    Optional.of(new Task.Remaining(4, DAY.plusDays(1)))));

    @Test
    void readsBackWhatItWrote() {
        PlanText plan = new PlanText(
                DAY,
                Set.of(DAY.plusDays(25), DAY.plusDays(28)),
                true,
                List.of(PLAIN, FULL),
                Map.of(FULL.id(), Side.CLIENTS));
        assertThat(PlanText.read(plan.write())).isEqualTo(plan);
        PlanText empty = new PlanText(DAY, Set.of(), false, List.of(), Map.of());
        assertThat(PlanText.read(empty.write())).isEqualTo(empty);
    }

    @ParameterizedTest(name = "“{0}”")
    @ValueSource(strings = {"", "{}", "[1]", "{\"start\":\"2027-03-01\",\"activities\":[{}]}", "{\"start\":\"soon\"}"})
    void refusesWhatItDidNotWrite(String text) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> PlanText.read(text))
                .withMessageContaining("not a kept plan");
    }
}
