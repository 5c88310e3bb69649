package app.clearpane.usecases.shell;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.store.WriteCounter;
import app.clearpane.store.agency.People;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Who is of the team, kept as long as nothing is written: most pages name somebody of it. */
@Component
public class TheTeam {
    private final KeptReading<String, List<TeamMember>> kept;

    TheTeam(People people, WriteCounter writes) {
        this.kept = new KeptReading<>(writes, 1, everybody -> List.copyOf(people.team()));
    }

    /** All of them, by name. */
    public List<TeamMember> members() {
        return kept.read("everybody");
    }

    /** Their names, in the same order. */
    public Map<TeamMemberId, String> names() {
        Map<TeamMemberId, String> names = new LinkedHashMap<>();
        members().forEach(member -> names.put(member.id(), member.name()));
        return names;
    }
}
