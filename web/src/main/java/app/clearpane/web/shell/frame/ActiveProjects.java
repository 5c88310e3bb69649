package app.clearpane.web.shell.frame;

import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.HeldRequest;
import app.clearpane.core.turns.TurnTally;
import app.clearpane.store.WriteCounter;
import app.clearpane.store.desk.TurnCounts;
import app.clearpane.usecases.shell.KeptReading;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;

/** The projects that are worked on and who holds what in them. */
@Component
public class ActiveProjects {
    private final TurnCounts counts;
    private final TheAgency agency;
    private final TeamSight sight;
    private final KeptReading<LocalDate, All> kept;

    ActiveProjects(TurnCounts counts, TheAgency agency, TeamSight sight, WriteCounter writes) {
        this.agency = agency;
        this.counts = counts;
        this.sight = sight;
        this.kept = new KeptReading<>(writes, 1, this::read);
    }

    private record All(
            List<Project> projects, Map<ProjectId, TurnTally> turns, TurnTally inAll, List<HeldRequest> requests) {}

    /** The projects that are there for whoever looks, by the name of their client. */
    public List<Project> projects() {
        Set<ProjectId> hidden = sight.hidden();
        return hidden.isEmpty()
                ? all().projects()
                : all().projects().stream()
                        .filter(project -> !hidden.contains(project.id()))
                        .toList();
    }

    /** All of them, for what is kept for everybody and narrowed later. */
    public List<Project> everybodys() {
        return all().projects();
    }

    /** The requests that one side holds, in all of them. */
    public List<HeldRequest> everybodysRequests() {
        return all().requests();
    }

    /** Who holds what in one project, put away or not. */
    public TurnTally in(Project project) {
        TurnTally turns = all().turns().get(project.id());
        return turns == null ? counts.ofProject(project.id(), agency.today()) : turns;
    }

    /** Who holds what in all of those. */
    public TurnTally inAll() {
        Set<ProjectId> hidden = sight.hidden();
        return hidden.isEmpty()
                ? all().inAll()
                : all().turns().entrySet().stream()
                        .filter(one -> !hidden.contains(one.getKey()))
                        .map(Map.Entry::getValue)
                        .reduce(TurnTally.NONE, TurnTally::plus);
    }

    private All all() {
        return kept.read(agency.today());
    }

    private All read(LocalDate today) {
        List<TurnCounts.Held> read = counts.workedOn(today);
        Map<ProjectId, TurnTally> turns = new LinkedHashMap<>();
        read.forEach(one -> turns.put(one.project().id(), one.turns()));
        return new All(
                read.stream().map(TurnCounts.Held::project).toList(),
                turns,
                turns.values().stream().reduce(TurnTally.NONE, TurnTally::plus),
                read.stream().flatMap(one -> one.requests().stream()).toList());
    }
}
