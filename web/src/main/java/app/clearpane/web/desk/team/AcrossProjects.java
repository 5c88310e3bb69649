package app.clearpane.web.desk.team;

import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.WriteCounter;
import app.clearpane.store.agency.Directory;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.shell.KeptReading;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;

/**
 * Everything that goes on in the projects that are worked on, for the Desk; computed anew when something was written
 * and once a minute.
 */
@Component
class AcrossProjects {
    private final TheAgency agency;
    private final ThisWeek thisWeek;
    private final TeamSight sight;
    private final KeptReading<Instant, All> kept;

    AcrossProjects(TheAgency agency, ThisWeek thisWeek, TeamSight sight, WriteCounter writes, ReadAcross reading) {
        this.agency = agency;
        this.thisWeek = thisWeek;
        this.sight = sight;
        this.kept = new KeptReading<>(writes, 1, minute -> reading.read());
    }

    /** What the week is called that is looked ahead to. */
    String week() {
        return thisWeek.called();
    }

    /**
     * All of it.
     *
     * @param works the deliverables of each project that has any
     * @param moves what is to be done next, in order
     * @param dated everything that has a day
     * @param ahead the prospects with something to do next
     */
    record All(
            List<Project> projects,
            Map<ProjectId, ProjectPlan> plans,
            Map<ProjectId, List<DeliverableState>> works,
            List<NextMoves.Line> moves,
            List<ThisWeek.Due> due,
            List<ThisWeek.Unsorted> unsorted,
            List<AllDates.Dated> dated,
            List<Directory.Entry> ahead) {
        /**
         * The same without some projects. @param outside whether it is for somebody from outside, who reads of no
         * papers, requests and prospects
         */
        private All without(Set<ProjectId> hidden, boolean outside) {
            Predicate<Project> seen = project -> !hidden.contains(project.id());
            return new All(
                    projects.stream().filter(seen).toList(),
                    without(plans, hidden),
                    without(works, hidden),
                    moves.stream()
                            .filter(line -> seen.test(line.project()) && !(outside && line.byName()))
                            .toList(),
                    due.stream().filter(one -> seen.test(one.project())).toList(),
                    unsorted.stream().filter(one -> seen.test(one.project())).toList(),
                    dated.stream()
                            .filter(one -> seen.test(one.project())
                                    && !(outside && one.what().byName()))
                            .toList(),
                    outside ? List.of() : ahead);
        }

        private static <V> Map<ProjectId, V> without(Map<ProjectId, V> all, Set<ProjectId> hidden) {
            Map<ProjectId, V> rest = new LinkedHashMap<>(all);
            rest.keySet().removeAll(hidden);
            return rest;
        }
    }

    /** As it is now, of what is there for whoever looks. */
    All now() {
        All all = kept.read(agency.now().truncatedTo(ChronoUnit.MINUTES));
        Set<ProjectId> hidden = sight.hidden();
        return hidden.isEmpty() ? all : all.without(hidden, sight.isOutside());
    }
}
