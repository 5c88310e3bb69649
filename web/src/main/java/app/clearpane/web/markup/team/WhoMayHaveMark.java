package app.clearpane.web.markup.team;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.shell.TheTeam;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Who of the team may be given a mark. */
@Component
class WhoMayHaveMark {
    private final TheTeam team;
    private final TeamSight sight;

    WhoMayHaveMark(TheTeam team, TeamSight sight) {
        this.team = team;
        this.sight = sight;
    }

    /**
     * The names of those of the team who may be given a mark, since they see the project, and of those who have one.
     */
    Map<TeamMemberId, String> names(DeliverableState state) {
        Set<TeamMemberId> have = state.marks().stream()
                .flatMap(mark -> mark.beside().doer().stream())
                .collect(Collectors.toSet());
        Map<TeamMemberId, String> names = new LinkedHashMap<>();
        team.members().stream()
                .filter(member -> have.contains(member.id())
                        || sight.sees(member, state.deliverable().project()))
                .forEach(member -> names.put(member.id(), member.name()));
        return names;
    }
}
