package app.clearpane.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What a Record can tell of. */
class ActTest {
    @ParameterizedTest
    @EnumSource(Act.class)
    void isFoundByTheCodeItIsKeptAs(Act act) {
        assertThat(act.code()).matches("[a-z]+(-[a-z]+)*(\\.[a-z]+(-[a-z]+)*)+");
        assertThat(Act.of(act.code())).hasValue(act);
        assertThat(act.code().replaceAll("[.-]", "_")).isEqualToIgnoringCase(act.name());
    }

    /** Sifting goes by how codes begin, so no beginning may belong to two kinds, and none may begin another kind's. */
    @Test
    void whatOneSiftsByIsTheActsOfThatKindAndNoOther() {
        for (Act.Kind kind : Act.Kind.values()) {
            List<Act> sifted = Arrays.stream(Act.values())
                    .filter(act -> kind.beginnings().stream().anyMatch(act.code()::startsWith))
                    .toList();
            assertThat(sifted)
                    .as(kind.name())
                    .isNotEmpty()
                    .containsExactlyElementsOf(Arrays.stream(Act.values())
                            .filter(act -> act.kind() == kind)
                            .toList());
        }
    }

    /**
     * What was done in the house itself, to what clients see and to whom the team trusts, is nobody's business outside.
     */
    @Test
    void nothingOfTheTeamsLeavesTheHouse() {
        assertThat(Arrays.stream(Act.values())
                        .filter(Act::toldOutside)
                        .map(Act::kind)
                        .collect(Collectors.toSet()))
                .containsExactlyInAnyOrder(Act.Kind.DECISIONS, Act.Kind.VERSIONS, Act.Kind.MARKS);
        assertThat(Act.MARK_PLACED_FOR_TEAM.toldOutside()
                        || Act.MARK_GIVEN.toldOutside()
                        || Act.MARK_BECAME_TASK.toldOutside()
                        || Act.RELEASE_HANDED.toldOutside())
                .isFalse();
    }
}
