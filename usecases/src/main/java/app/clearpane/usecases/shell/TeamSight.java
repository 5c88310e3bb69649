package app.clearpane.usecases.shell;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.WriteCounter;
import app.clearpane.store.project.ProjectPeople;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Which projects are not there for one of the team: those closed to them, and for makers from outside all that they are
 * not named for.
 */
@Component
public class TeamSight {
    private final KeptReading<String, List<ProjectPeople.Sight>> all;
    private final TheTeam team;
    private final Looking looking;

    TeamSight(ProjectPeople people, TheTeam team, Looking looking, WriteCounter writes) {
        this.looking = looking;
        this.team = team;
        this.all = new KeptReading<>(writes, 1, everything -> people.sights());
    }

    /** Those that are not there for whoever looks; none where it is nobody of the team. */
    public Set<ProjectId> hidden() {
        return looking.member().map(me -> hiddenFrom(me.memberId(), me.role())).orElse(Set.of());
    }

    /** Those that are not there for somebody. */
    public Set<ProjectId> hiddenFrom(TeamMemberId member, TeamRole role) {
        return role == TeamRole.OWNER
                ? Set.of()
                : all.read("all").stream()
                        .filter(one -> !one.seenBy(member, role))
                        .map(ProjectPeople.Sight::project)
                        .collect(Collectors.toUnmodifiableSet());
    }

    /** Whether a project is not there for whoever looks. */
    public boolean hides(ProjectId project) {
        return hidden().contains(project);
    }

    /** Whether somebody sees a project. */
    public boolean sees(TeamMember member, ProjectId project) {
        return !hiddenFrom(member.id(), member.role()).contains(project);
    }

    /** Those of the team who see a project, by name. */
    public List<TeamMember> seeing(ProjectId project) {
        return team.members().stream().filter(member -> sees(member, project)).toList();
    }

    /** One of those. */
    public Optional<TeamMember> seeing(ProjectId project, TeamMemberId id) {
        return seeing(project).stream().filter(member -> member.id().equals(id)).findFirst();
    }

    /** Whether what is said in a project starts for the client. */
    public boolean saysToClient(ProjectId project) {
        return all.read("all").stream()
                .filter(one -> one.project().equals(project))
                .anyMatch(ProjectPeople.Sight::saysToClient);
    }

    /** Whether whoever looks is from outside. */
    public boolean isOutside() {
        return looking.member().filter(me -> me.role().isOutside()).isPresent();
    }
}
