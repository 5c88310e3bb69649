package app.clearpane.usecases.plan;

import app.clearpane.core.calendar.Timeline;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Forecast;
import app.clearpane.core.plan.Network;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.plan.PlanText;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.shell.TheAgency;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The plans of projects. What was computed is remembered until something of the plan changes or the day does. */
@Component
public class PlanBook {
    /** Tasks, milestones and plans in memory; beyond them the plan that is asked for least is read again. */
    private static final int MOST_REMEMBERED = 100_000;

    private final Tasks tasks;
    private final Projects projects;
    private final Agreements agreements;
    private final TheAgency agency;
    private final Cache<ProjectId, Remembered> remembered = Caffeine.newBuilder()
            .maximumWeight(MOST_REMEMBERED)
            .weigher((ProjectId project, Remembered one) -> one.weight())
            .build();

    PlanBook(Tasks tasks, Projects projects, Agreements agreements, TheAgency agency) {
        this.tasks = tasks;
        this.projects = projects;
        this.agreements = agreements;
        this.agency = agency;
    }

    private record Key(int revision, int projectRevision, LocalDate today, WorkingCalendar calendar) {}

    private record Remembered(Key key, ProjectPlan plan) {
        int weight() {
            return 1 + plan.tasks().size() + plan.milestones().size();
        }
    }

    /** The plan of one project. */
    public ProjectPlan planOf(Project project) {
        return Objects.requireNonNull(planOf(List.of(project)).get(project.id()));
    }

    /** The plans of some projects; what is not remembered is read with a handful of statements for all of them. */
    public Map<ProjectId, ProjectPlan> planOf(Collection<Project> wanted) {
        WorkingCalendar calendar = agency.calendar();
        LocalDate today = agency.today();
        Map<ProjectId, ProjectPlan> plans = new HashMap<>();
        List<Project> missing = new ArrayList<>();
        for (Project project : wanted) {
            Remembered known = remembered.getIfPresent(project.id());
            if (known != null && known.key().equals(key(project, today, calendar))) {
                plans.put(project.id(), known.plan());
            } else {
                missing.add(project);
            }
        }
        if (!missing.isEmpty()) {
            read(missing, today, calendar).forEach((id, plan) -> {
                remembered.put(id, new Remembered(key(plan.project(), today, calendar), plan));
                plans.put(id, plan);
            });
        }
        return plans;
    }

    /** A plan held against an earlier agreement instead of the latest. */
    public ProjectPlan against(ProjectPlan plan, Agreements.Agreement agreement) {
        return plan.against(agreed(agreement, agency.calendar()));
    }

    /** The plan of a project at a revision; read anew where that is not the one remembered. */
    ProjectPlan planOf(ProjectId id, int planRevision) {
        Remembered known = remembered.getIfPresent(id);
        return known != null && isOf(known, planRevision)
                ? known.plan()
                : planOf(projects.find(id).orElseThrow());
    }

    private boolean isOf(Remembered known, int planRevision) {
        return known.key().revision() == planRevision
                && known.key().today().equals(agency.today())
                && known.key().calendar().equals(agency.calendar());
    }

    /** Reads the plans at these revisions that are not remembered, with a handful of statements for all of them. */
    void readAhead(Map<ProjectId, Integer> revisions) {
        List<ProjectId> missing = revisions.entrySet().stream()
                .filter(one -> {
                    Remembered known = remembered.getIfPresent(one.getKey());
                    return known == null || !isOf(known, one.getValue());
                })
                .map(Map.Entry::getKey)
                .toList();
        if (!missing.isEmpty()) {
            planOf(projects.all(missing));
        }
    }

    /** The plan of a project read anew, also in the midst of changing it. */
    public ProjectPlan fresh(ProjectId id) {
        Project project = projects.find(id).orElseThrow();
        return Objects.requireNonNull(
                read(List.of(project), agency.today(), agency.calendar()).get(id));
    }

    private static Key key(Project project, LocalDate today, WorkingCalendar calendar) {
        return new Key(project.planRevision(), project.revision(), today, calendar);
    }

    private Map<ProjectId, ProjectPlan> read(List<Project> some, LocalDate today, WorkingCalendar calendar) {
        List<ProjectId> ids = some.stream().map(Project::id).toList();
        Map<ProjectId, List<PlannedTask>> allTasks = tasks.ofProjects(ids);
        Map<ProjectId, List<Milestone>> allMilestones = projects.milestones(ids);
        Map<ProjectId, List<Phase>> allPhases = projects.phases(ids);
        Map<ProjectId, Agreements.Agreement> agreed = agreements.latest(ids);
        Map<ProjectId, ProjectPlan> plans = new HashMap<>();
        for (Project project : some) {
            plans.put(
                    project.id(),
                    ProjectPlan.of(
                            project,
                            today,
                            calendar,
                            allTasks.getOrDefault(project.id(), List.of()),
                            allMilestones.getOrDefault(project.id(), List.of()),
                            allPhases.getOrDefault(project.id(), List.of()),
                            Optional.ofNullable(agreed.get(project.id())).map(one -> agreed(one, calendar))));
        }
        return plans;
    }

    private static ProjectPlan.Agreed agreed(Agreements.Agreement agreement, WorkingCalendar calendar) {
        PlanText then = PlanText.read(agreement.plan());
        Timeline timeline =
                new Timeline(new WorkingCalendar(calendar.hours(), then.freeDays(), calendar.zone()), then.start());
        return new ProjectPlan.Agreed(
                agreement.finish(),
                agreement.setOn(),
                agreement.setBy().name(),
                agreement.withClient(),
                Forecast.of(new Network(then.activities()), timeline, timeline.offset(agreement.setOn())));
    }

    /** What a plan is now, to be kept. */
    static PlanText text(ProjectPlan plan) {
        Map<ItemId, Side> holders = new HashMap<>();
        plan.tasks().stream().filter(ProjectPlan::isClientsTurn).forEach(task -> holders.put(task.id(), Side.CLIENTS));
        return new PlanText(
                plan.project().startsOn(),
                plan.timeline().calendar().freeDays(),
                plan.project().pausedAt() != null,
                plan.forecast().network().activities(),
                holders);
    }
}
