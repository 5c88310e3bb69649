package app.clearpane.store.project;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.project.Phase;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PhaseTest {
    @ParameterizedTest(name = "said {0}, something open {1}: {2}")
    @CsvSource({
        "TO_DO, true, TO_DO",
        "TO_DO, false, TO_DO",
        "UNDER_WAY, true, UNDER_WAY",
        "UNDER_WAY, false, UNDER_WAY",
        "DONE, true, UNDER_WAY",
        "DONE, false, DONE"
    })
    void isNotDoneWhileSomethingInItIsOpen(Phase.Stage said, boolean open, Phase.Stage stands) {
        Phase phase =
                new Phase(UUID.randomUUID(), "Design", LocalDate.of(2027, 3, 1), LocalDate.of(2027, 3, 12), said, 4);
        assertThat(phase.standing(open))
                .isEqualTo(new Phase(phase.id(), "Design", phase.startsOn(), phase.endsOn(), stands, 4));
    }
}
