package app.clearpane.core.agency;

import java.util.Map;
import java.util.Optional;

/** An agency always has an owner: nobody else may set what is ever shown. */
public final class Owners {
    private Owners() {}

    /**
     * Whether a change would leave the agency without one.
     *
     * @param team everybody who is in it now, with their role
     * @param who of them changes
     * @param becomes their new role; empty if they leave
     */
    public static boolean noneLeft(Map<TeamMemberId, TeamRole> team, TeamMemberId who, Optional<TeamRole> becomes) {
        boolean stays = becomes.filter(role -> role == TeamRole.OWNER).isPresent();
        return !stays
                && team.entrySet().stream()
                        .noneMatch(one -> one.getValue() == TeamRole.OWNER
                                && !one.getKey().equals(who));
    }
}
