package app.clearpane.web.layout;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.Writes;
import app.clearpane.store.desk.TurnCounts;
import app.clearpane.store.project.Project;
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
public class WorkedOn {
    private final TurnCounts counts;
    private final TheAgency agency;
    private final TeamSight sight;
    private final KeptReading<LocalDate, All> kept;

    WorkedOn(TurnCounts counts, TheAgency agency, TeamSight sight, Writes writes) {
        this.agency = agency;
        this.counts = counts;
        this.sight = sight;
        this.kept = new KeptReading<>(writes, 1, this::read);
    }

    private record All(List<Project> projects, Map<ProjectId, TurnCounts.Counts> turns, TurnCounts.Counts inAll) {}

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

    /** Who holds what in one project, put away or not. */
    public TurnCounts.Counts in(Project project) {
        TurnCounts.Counts turns = all().turns().get(project.id());
        return turns == null ? counts.of(project.id(), agency.today()) : turns;
    }

    /** Who holds what in all of those. */
    public TurnCounts.Counts inAll() {
        Set<ProjectId> hidden = sight.hidden();
        return hidden.isEmpty()
                ? all().inAll()
                : all().turns().entrySet().stream()
                        .filter(one -> !hidden.contains(one.getKey()))
                        .map(Map.Entry::getValue)
                        .reduce(TurnCounts.Counts.NONE, TurnCounts.Counts::plus);
    }

    private All all() {
        return kept.of(agency.today());
    }

    private All read(LocalDate today) {
        List<TurnCounts.Worked> read = counts.workedOn(today);
        Map<ProjectId, TurnCounts.Counts> turns = new LinkedHashMap<>();
        read.forEach(one -> turns.put(one.project().id(), one.turns()));
        return new All(
                read.stream().map(TurnCounts.Worked::project).toList(),
                turns,
                turns.values().stream().reduce(TurnCounts.Counts.NONE, TurnCounts.Counts::plus));
    }
}
