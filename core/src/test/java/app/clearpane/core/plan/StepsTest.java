package app.clearpane.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class StepsTest {
    private final AtomicLong counted = new AtomicLong();
    private final Supplier<UUID> fresh = () -> new UUID(0, counted.incrementAndGet());

    private static List<String> names(Steps steps) {
        return steps.all().stream().map(Steps.Step::name).toList();
    }

    @Test
    void stagesStandUnderTheirOwnNamesUntilTheyHaveOthers() {
        assertThat(names(Steps.PLAIN)).containsExactly("to do", "under way", "in check", "done", "dropped");
        Steps steps = Steps.PLAIN.named(
                Map.of(Stage.IN_CHECK, List.of("with the proofreader", " at the printers ", "")), fresh);
        assertThat(names(steps))
                .containsExactly("to do", "under way", "with the proofreader", "at the printers", "done", "dropped");
    }

    @Test
    void aTaskIsAtTheFirstStepOfItsStageUnlessAnotherWasSaid() {
        Steps steps =
                Steps.PLAIN.named(Map.of(Stage.IN_CHECK, List.of("with the proofreader", "at the printers")), fresh);
        Optional<UUID> printers = steps.own().get(1).id();
        assertThat(steps.at(Stage.IN_CHECK, printers).name()).isEqualTo("at the printers");
        assertThat(steps.at(Stage.IN_CHECK, Optional.empty()).name()).isEqualTo("with the proofreader");
        assertThat(steps.at(Stage.DONE, printers).name()).as("it moved on").isEqualTo("done");
        assertThat(Steps.PLAIN.at(Stage.IN_CHECK, printers).name())
                .as("the name is gone")
                .isEqualTo("in check");
    }

    @Test
    void aNameThatStaysKeepsItsIdentifierAndSoDoesOneThatIsRenamed() {
        Steps steps = Steps.PLAIN.named(Map.of(Stage.UNDER_WAY, List.of("drawing", "setting")), fresh);
        Steps renamed = steps.named(Map.of(Stage.UNDER_WAY, List.of("being drawn", "setting")), fresh);
        assertThat(renamed.own())
                .extracting(Steps.Step::id)
                .isEqualTo(steps.own().stream().map(Steps.Step::id).toList());
        Steps turned = renamed.named(Map.of(Stage.UNDER_WAY, List.of("setting", "being drawn", "inking")), fresh);
        assertThat(turned.own())
                .extracting(Steps.Step::id)
                .startsWith(steps.own().get(1).id(), steps.own().get(0).id());
        assertThat(turned.own().get(2).id())
                .isNotIn(steps.own().get(0).id(), steps.own().get(1).id());
    }

    @Test
    void whatCannotBeIsSaid() {
        assertThatThrownBy(() ->
                        Steps.PLAIN.named(Map.of(Stage.DONE, List.of("sent"), Stage.TO_DO, List.of("Sent")), fresh))
                .hasMessageContaining("Two steps are called “sent”");
        assertThatThrownBy(() -> Steps.PLAIN.named(Map.of(Stage.DONE, List.of("x".repeat(41))), fresh))
                .hasMessageContaining("too long");
        assertThatThrownBy(() -> Steps.PLAIN.named(
                        Map.of(Stage.DONE, List.of("1", "2", "3", "4", "5", "6", "7", "8", "9")), fresh))
                .hasMessageContaining("9 names");
    }

    @RepeatedTest(40)
    void whatAFormSaysIsReadBack(RepetitionInfo repetition) {
        Random random = new Random(repetition.getCurrentRepetition());
        Map<Stage, List<String>> typed = new EnumMap<>(Stage.class);
        for (Stage stage : Stage.values()) {
            typed.put(
                    stage,
                    IntStream.range(0, random.nextInt(4))
                            .mapToObj(i -> stage + " step " + i)
                            .toList());
        }
        Steps steps = Steps.PLAIN.named(typed, UUID::randomUUID);
        assertThat(steps.all())
                .allSatisfy(step -> assertThat(steps.read(step.value())).contains(step))
                .allSatisfy(
                        step -> assertThat(steps.at(step.stage(), step.id())).isEqualTo(step));
        assertThat(steps.all().stream().map(Steps.Step::stage)).isSorted().contains(Stage.values());
        assertThat(steps.read("NOTHING")).isEmpty();
    }
}
