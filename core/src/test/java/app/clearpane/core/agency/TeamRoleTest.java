package app.clearpane.core.agency;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TeamRoleTest {
    /** Open; open and named; closed; closed and named; closed and managed. */
    @ParameterizedTest
    @CsvSource({
        "OWNER, true, true, true, true, true",
        "MANAGER, true, true, false, true, true",
        "MAKER, true, true, false, true, true",
        "OUTSIDE, false, true, false, true, false"
    })
    void seesProjects(
            TeamRole role,
            boolean open,
            boolean openNamed,
            boolean closed,
            boolean closedNamed,
            boolean closedManaged) {
        assertThat(role.sees(false, false, false)).isEqualTo(open);
        assertThat(role.sees(false, true, false)).isEqualTo(openNamed);
        assertThat(role.sees(true, false, false)).isEqualTo(closed);
        assertThat(role.sees(true, true, false)).isEqualTo(closedNamed);
        assertThat(role.sees(true, false, true)).isEqualTo(closedManaged);
    }

    @ParameterizedTest
    @CsvSource({"OWNER, true", "MANAGER, true", "MAKER, false", "OUTSIDE, false"})
    void publishes(TeamRole role, boolean may) {
        assertThat(role.mayPublish()).isEqualTo(may);
    }
}
