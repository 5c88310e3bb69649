package app.clearpane.core.agency;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class OwnersTest {
    private static final TeamMemberId BASTIAN = new TeamMemberId(new UUID(0, 1));
    private static final TeamMemberId INES = new TeamMemberId(new UUID(0, 2));

    @Test
    void theLastOwnerStaysOneAndStays() {
        Map<TeamMemberId, TeamRole> one = Map.of(BASTIAN, TeamRole.OWNER, INES, TeamRole.MANAGER);
        assertThat(Owners.noneLeft(one, BASTIAN, Optional.empty())).isTrue();
        assertThat(Owners.noneLeft(one, BASTIAN, Optional.of(TeamRole.MANAGER))).isTrue();
        assertThat(Owners.noneLeft(one, BASTIAN, Optional.of(TeamRole.OWNER))).isFalse();
        assertThat(Owners.noneLeft(one, INES, Optional.empty())).isFalse();
        assertThat(Owners.noneLeft(Map.of(BASTIAN, TeamRole.OWNER, INES, TeamRole.OWNER), BASTIAN, Optional.empty()))
                .isFalse();
    }
}
