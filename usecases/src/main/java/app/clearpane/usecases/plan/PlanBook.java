package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Forecast;
import app.clearpane.core.plan.Network;
import app.clearpane.core.plan.Outline;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.plan.Timeline;
import app.clearpane.core.plan.WorkingCalendar;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.plan.PlanText;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.plan.PlannedTask;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Milestone;
import app.clearpane.store.project.Phase;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** The plans of projects. What was computed is remembered until something of the plan changes or the day does. */
@Component
public class PlanBook {
    private final Tasks tasks;
    private final Projects projects;
    private final Agreements agreements;
    private final TheAgency agency;
    private final Map<ProjectId, Remembered> remembered = new ConcurrentHashMap<>();

    PlanBook(Tasks tasks, Projects projects, Agreements agreements, TheAgency agency) {
        this.tasks = tasks;
        this.projects = projects;
        this.agreements = agreements;
        this.agency = agency;
    }

    private record Key(int revision, int projectRevision, LocalDate today, WorkingCalendar calendar) {}

    private record Remembered(Key key, ThePlan plan) {}

    /** The plan of one project. */
    public ThePlan of(Project project) {
        return Objects.requireNonNull(of(List.of(project)).get(project.id()));
    }

    /** The plans of some projects; what is not remembered is read with a handful of statements for all of them. */
    public Map<ProjectId, ThePlan> of(Collection<Project> wanted) {
        WorkingCalendar calendar = agency.calendar();
        LocalDate today = agency.today();
        Map<ProjectId, ThePlan> plans = new HashMap<>();
        List<Project> missing = new ArrayList<>();
        for (Project project : wanted) {
            Remembered known = remembered.get(project.id());
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
    public ThePlan against(ThePlan plan, Agreements.Agreement agreement) {
        return ThePlan.of(
                plan.project(),
                plan.today(),
                plan.tasks(),
                plan.milestones(),
                plan.phases(),
                plan.outline(),
                plan.forecast(),
                Optional.of(agreed(agreement, agency.calendar())));
    }

    /** The plan of a project at a revision; read anew where that is not the one remembered. */
    ThePlan of(ProjectId id, int planRevision) {
        Remembered known = remembered.get(id);
        return known != null
                        && known.key().revision() == planRevision
                        && known.key().today().equals(agency.today())
                        && known.key().calendar().equals(agency.calendar())
                ? known.plan()
                : of(projects.find(id).orElseThrow());
    }

    /** The plan of a project read anew, also in the midst of changing it. */
    public ThePlan fresh(ProjectId id) {
        Project project = projects.find(id).orElseThrow();
        return Objects.requireNonNull(
                read(List.of(project), agency.today(), agency.calendar()).get(id));
    }

    private static Key key(Project project, LocalDate today, WorkingCalendar calendar) {
        return new Key(project.planRevision(), project.revision(), today, calendar);
    }

    private Map<ProjectId, ThePlan> read(List<Project> some, LocalDate today, WorkingCalendar calendar) {
        List<ProjectId> ids = some.stream().map(Project::id).toList();
        Map<ProjectId, List<PlannedTask>> allTasks = tasks.ofProjects(ids);
        Map<ProjectId, List<Milestone>> allMilestones = projects.milestones(ids);
        Map<ProjectId, List<Phase>> allPhases = projects.phases(ids);
        Map<ProjectId, Agreements.Agreement> agreed = agreements.latest(ids);
        Map<ProjectId, ThePlan> plans = new HashMap<>();
        for (Project project : some) {
            plans.put(
                    project.id(),
                    plan(
                            project,
                            today,
                            calendar,
                            allTasks.getOrDefault(project.id(), List.of()),
                            allMilestones.getOrDefault(project.id(), List.of()),
                            allPhases.getOrDefault(project.id(), List.of()),
                            Optional.ofNullable(agreed.get(project.id()))));
        }
        return plans;
    }

    private static ThePlan plan(
            Project project,
            LocalDate today,
            WorkingCalendar calendar,
            List<PlannedTask> planned,
            List<Milestone> milestones,
            List<Phase> phases,
            Optional<Agreements.Agreement> agreed) {
        Outline outline = new Outline(planned.stream().map(PlannedTask::task).toList());
        Timeline timeline = new Timeline(calendar, project.startsOn());
        Forecast forecast =
                Forecast.of(new Network(activities(planned, outline, milestones)), timeline, timeline.offset(today));
        return ThePlan.of(
                project,
                today,
                planned,
                milestones,
                phases,
                outline,
                forecast,
                agreed.map(one -> agreed(one, calendar)));
    }

    /** The leaves, and the milestones with the leaves that each waits for. */
    static List<Task> activities(List<PlannedTask> planned, Outline outline, List<Milestone> milestones) {
        List<Task> activities = new ArrayList<>(outline.activities());
        Map<ItemId, List<Task.After>> waitsFor = new HashMap<>();
        planned.forEach(task -> task.details().milestone().ifPresent(milestone -> outline.leavesOf(task.id()).stream()
                .filter(leaf -> leaf.stage() != Stage.DROPPED)
                .forEach(leaf -> waitsFor.computeIfAbsent(milestone, none -> new ArrayList<>())
                        .add(new Task.After(leaf.id(), 0)))));
        milestones.forEach(milestone -> activities.add(new Task(
                milestone.id(),
                Optional.empty(),
                milestone.name(),
                Side.OURS,
                new Task.Shape(
                        0,
                        Optional.of(milestone.fallsOn()).filter(day -> !waitsFor.containsKey(milestone.id())),
                        waitsFor.getOrDefault(milestone.id(), List.of()).stream()
                                .distinct()
                                .toList(),
                        OptionalInt.empty()),
                milestone.reached() ? Stage.DONE : Stage.TO_DO,
                milestone.reached()
                        ? new Task.Actual(Optional.empty(), Optional.of(milestone.fallsOn()), Optional.empty())
                        : Task.Actual.NONE)));
        return activities;
    }

    private static ThePlan.Agreed agreed(Agreements.Agreement agreement, WorkingCalendar calendar) {
        PlanText then = PlanText.read(agreement.plan());
        Timeline timeline =
                new Timeline(new WorkingCalendar(calendar.hours(), then.freeDays(), calendar.zone()), then.start());
        return new ThePlan.Agreed(
                agreement.finish(),
                agreement.setOn(),
                agreement.setBy(),
                agreement.withClient(),
                Forecast.of(new Network(then.activities()), timeline, timeline.offset(agreement.setOn())));
    }

    /** What a plan is now, to be kept. */
    static PlanText text(ThePlan plan) {
        Map<ItemId, Side> holders = new HashMap<>();
        plan.tasks().stream().filter(ThePlan::isClientsTurn).forEach(task -> holders.put(task.id(), Side.CLIENTS));
        return new PlanText(
                plan.project().startsOn(),
                plan.timeline().calendar().freeDays(),
                plan.project().pausedAt() != null,
                plan.forecast().network().activities(),
                holders);
    }
}
