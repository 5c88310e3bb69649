package app.clearpane.core.plan;

import app.clearpane.core.calendar.Timeline;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectState;
import app.clearpane.core.project.Timing;
import app.clearpane.core.turns.TurnTally;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * The plan of a project as it is today, with all that is computed of it.
 *
 * @param tasks in their order
 * @param outline of the tasks, without the milestones
 * @param forecast of the leaves and the milestones
 * @param agreed the plan as it was last agreed on, if it ever was
 * @param spare by task and milestone, the working days each may lose before the agreed finish is moved
 * @param critical what can lose no day
 */
public record ProjectPlan(
        Project project,
        LocalDate today,
        List<PlannedTask> tasks,
        List<Milestone> milestones,
        List<Phase> phases,
        Outline outline,
        Forecast forecast,
        Optional<Agreed> agreed,
        Map<ItemId, Integer> spare,
        Set<ItemId> critical) {

    /**
     * A plan that was agreed on.
     *
     * @param plan as it was on the morning of that day
     */
    public record Agreed(LocalDate finish, LocalDate setOn, String by, boolean withClient, Forecast plan) {}

    /** What is computed of the facts of a plan on a day. */
    public static ProjectPlan of(
            Project project,
            LocalDate today,
            WorkingCalendar calendar,
            List<PlannedTask> planned,
            List<Milestone> milestones,
            List<Phase> phases,
            Optional<Agreed> agreed) {
        Outline outline = new Outline(planned.stream().map(PlannedTask::task).toList());
        Timeline timeline = new Timeline(calendar, project.startsOn());
        Forecast forecast =
                Forecast.of(new Network(activities(planned, outline, milestones)), timeline, timeline.offset(today));
        return of(project, today, planned, milestones, phases, outline, forecast, agreed);
    }

    private static ProjectPlan of(
            Project project,
            LocalDate today,
            List<PlannedTask> tasks,
            List<Milestone> milestones,
            List<Phase> phases,
            Outline outline,
            Forecast forecast,
            Optional<Agreed> agreed) {
        LocalDate finish = agreed.map(Agreed::finish).orElse(project.agreedOn());
        int offset = forecast.timeline().offsetAfter(finish);
        Map<ItemId, Integer> spare = new HashMap<>();
        Set<ItemId> critical = new HashSet<>();
        var places = forecast.critical(OptionalInt.of(offset));
        Map<ItemId, Integer> floats = forecast.floatsBefore(offset);
        List<Task> activities = forecast.network().activities();
        for (int i = 0; i < activities.size(); i++) {
            spare.put(activities.get(i).id(), floats.get(activities.get(i).id()));
            if (places.get(i)) {
                critical.add(activities.get(i).id());
            }
        }
        return new ProjectPlan(
                project,
                today,
                tasks,
                milestones,
                phases,
                outline,
                forecast,
                agreed,
                Map.copyOf(spare),
                Set.copyOf(critical));
    }

    /** The working days it counts by. */
    public Timeline timeline() {
        return forecast.timeline();
    }

    /** Whether there is anything to do in it. */
    public boolean isPlanned() {
        return !tasks.isEmpty();
    }

    /** The finish both sides agreed on. */
    public LocalDate agreedFinish() {
        return agreed.map(Agreed::finish).orElse(project.agreedOn());
    }

    /** The last day of everything, as forecast. */
    public LocalDate finish() {
        return timeline().lastDay(forecast.finish());
    }

    /** Working days by which the forecast lies after the agreed finish; below 0 before it. */
    public int daysAfterAgreed() {
        return forecast.finish() - timeline().offsetAfter(agreedFinish());
    }

    /** The leaves with which something is still to be done. */
    public List<PlannedTask> open() {
        return tasks.stream()
                .filter(task -> outline.isLeaf(task.id()) && task.task().stage().open())
                .toList();
    }

    /** How much is done, of everything. */
    public OptionalInt percent() {
        return Progress.percent(outline.leaves());
    }

    /** How much is done of the tasks of a phase. */
    public OptionalInt percentOf(UUID phase) {
        return Progress.percent(tasks.stream()
                .filter(task -> outline.isLeaf(task.id())
                        && phaseOf(task).filter(phase::equals).isPresent())
                .map(PlannedTask::task)
                .toList());
    }

    /** How many tasks of a phase are open. */
    public int openIn(UUID phase) {
        return (int) open().stream()
                .filter(task -> phaseOf(task).filter(phase::equals).isPresent())
                .count();
    }

    /** The phases as they stand: one that was said to be done is under way while a task of it is open. */
    public List<Phase> phasesAsTheyStand() {
        return phases.stream()
                .map(phase -> phase.standing(openIn(phase.id()) > 0))
                .toList();
    }

    /** The phase of a task: its own, else that of what it is a part of. */
    public Optional<UUID> phaseOf(PlannedTask task) {
        return task.details()
                .phase()
                .or(() -> task.task().parent().flatMap(this::task).flatMap(this::phaseOf));
    }

    /** One task. */
    public Optional<PlannedTask> task(ItemId id) {
        return tasks.stream().filter(task -> task.id().equals(id)).findFirst();
    }

    /** A task or milestone as lists name it. */
    public record Named(ItemId id, String path) {}

    /**
     * What begins, and so can be counted back from: milestones, and tasks that were not dropped. @param but one that is
     * left out
     */
    public List<Named> begins(Optional<ItemId> but) {
        return Stream.concat(
                        milestones.stream().map(one -> new Named(one.id(), one.name())),
                        tasks.stream()
                                .filter(other -> but.filter(other.id()::equals).isEmpty() && hasDays(other.id()))
                                .map(other -> new Named(other.id(), path(other.task()))))
                .toList();
    }

    /** What a task is called, after what it is a part of: "Panels · Artwork". */
    public String path(Task task) {
        return task.parent()
                        .flatMap(this::task)
                        .map(above -> path(above.task()) + " · ")
                        .orElse("")
                + task.name();
    }

    /** What a task or milestone is called. */
    public String nameOf(ItemId id) {
        return task(id).map(PlannedTask::name)
                .or(() -> milestones.stream()
                        .filter(one -> one.id().equals(id))
                        .map(Milestone::name)
                        .findFirst())
                .orElse("");
    }

    /** Whether a task is the client's turn: theirs to do, they know of it, and we do not check what they gave. */
    public static boolean isClientsTurn(PlannedTask task) {
        boolean weCheck = task.task().stage() == Stage.IN_CHECK
                && task.details().follows().filter(Follows::comesToUs).isPresent();
        return task.task().side() == Side.CLIENTS
                && !weCheck
                && task.task().stage().open()
                && task.task().actual().began().isPresent();
    }

    /** What holds the start of a task: what it waits for and is not done, in the order of the plan. */
    public List<PlannedTask> holdsStart(ItemId id) {
        Optional<PlannedTask> waiting = tasks.stream()
                .filter(task ->
                        task.id().equals(id) && task.task().actual().began().isEmpty())
                .findFirst();
        return waiting.stream()
                .flatMap(task -> task.task().shape().after().stream())
                .flatMap(link -> tasks.stream().filter(other -> other.id().equals(link.predecessor())))
                .filter(other -> other.task().stage().open())
                .toList();
    }

    /** The first day of a task or milestone, as it was or is forecast; of what gathers others, of the first of them. */
    public LocalDate firstDay(ItemId id) {
        LocalDate first = timeline()
                .day(activitiesOf(id).stream().mapToInt(forecast::start).min().orElse(0));
        LocalDate last = lastDay(id);
        return first.isAfter(last) ? last : first;
    }

    /**
     * The last day of a task or milestone; of a task that is done, the day it was done, on whichever day of the week.
     */
    public LocalDate lastDay(ItemId id) {
        return activitiesOf(id).stream()
                .map(this::ownLastDay)
                .max(Comparator.naturalOrder())
                .orElseGet(() -> timeline().lastDay(0));
    }

    /** Of a milestone that waits for nothing its own day, on whichever day of the week, as long as it can be kept. */
    private LocalDate ownLastDay(ItemId activity) {
        LocalDate reckoned = task(activity)
                .flatMap(one -> one.task().actual().done())
                .orElseGet(() -> timeline().lastDay(forecast.finish(activity)));
        return milestones.stream()
                .filter(one ->
                        one.id().equals(activity) && one.fallsOn().isAfter(reckoned) && waitsForNothing(activity))
                .map(Milestone::fallsOn)
                .findFirst()
                .orElse(reckoned);
    }

    private boolean waitsForNothing(ItemId milestone) {
        return tasks.stream()
                .noneMatch(task -> task.task().stage() != Stage.DROPPED
                        && task.details().milestone().filter(milestone::equals).isPresent());
    }

    private List<ItemId> activitiesOf(ItemId id) {
        return forecast.has(id)
                ? List.of(id)
                : outline.leavesOf(id).stream()
                        .map(Task::id)
                        .filter(forecast::has)
                        .toList();
    }

    /** Whether it is on the time axis at all: what was dropped is not. */
    public boolean hasDays(ItemId id) {
        return !activitiesOf(id).isEmpty();
    }

    /**
     * Working days by which something lies behind what was agreed of it; 0 or less where it does not, or was not agreed
     * on.
     */
    public int behind(ItemId id) {
        return agreed.filter(then -> then.plan().has(id) && forecast.has(id))
                .map(then -> timeline().offset(timeline().day(forecast.finish(id)))
                        - timeline()
                                .offset(then.plan().timeline().day(then.plan().finish(id))))
                .orElse(0);
    }

    /** How much room something that is open has. */
    public Room room(ItemId id) {
        Integer days = spare.get(id);
        return new Room(days == null ? OptionalInt.empty() : OptionalInt.of(days), behind(id), critical.contains(id));
    }

    /** The same held against another agreement. */
    public ProjectPlan against(Agreed other) {
        return of(project, today, tasks, milestones, phases, outline, forecast, Optional.of(other));
    }

    /** The same with one task changed, as it would be. */
    public ProjectPlan with(PlannedTask changed) {
        List<PlannedTask> others = tasks.stream()
                .map(task -> task.id().equals(changed.id()) ? changed : task)
                .toList();
        Outline then = new Outline(others.stream().map(PlannedTask::task).toList());
        return of(
                project,
                today,
                others,
                milestones,
                phases,
                then,
                Forecast.of(new Network(activities(others, then, milestones)), timeline(), forecast.morning()),
                agreed);
    }

    /** How the project stands. @param deliverables by their holders */
    public ProjectState standing(TurnTally deliverables) {
        List<Task> leaves = outline.leaves().stream()
                .filter(task -> task.stage() != Stage.DROPPED)
                .toList();
        int works = deliverables.ours() + deliverables.clients() + deliverables.nobodys();
        List<PlannedTask> open = open();
        List<PlannedTask> holding =
                open.stream().filter(task -> critical.contains(task.id())).toList();
        boolean byWorks = leaves.isEmpty();
        return ProjectState.of(new ProjectState.Facts(
                project.archivedAt() != null,
                project.pausedAt() != null,
                leaves.size() + works,
                open.size() + deliverables.ours() + deliverables.clients(),
                (int) open.stream()
                                .filter(task -> task.task().stage() == Stage.IN_CHECK)
                                .count()
                        + deliverables.clients(),
                (int) leaves.stream()
                                .filter(task -> task.stage() != Stage.TO_DO
                                        || task.actual().began().isPresent())
                                .count()
                        + deliverables.clients()
                        + deliverables.nobodys(),
                byWorks ? deliverables.ours() + deliverables.clients() : holding.size(),
                byWorks
                        ? deliverables.clients()
                        : (int) holding.stream()
                                .filter(ProjectPlan::isClientsTurn)
                                .count()));
    }

    /** How it stands against the agreed finish. */
    public Timing timing(ProjectState standing) {
        int leastBehind = open().stream()
                .filter(task -> behind(task.id()) > 0)
                .mapToInt(task -> spare.getOrDefault(task.id(), Integer.MAX_VALUE))
                .min()
                .orElse(Integer.MAX_VALUE);
        return Timing.of(new Timing.Facts(
                standing == ProjectState.COMPLETE,
                isPlanned() ? daysAfterAgreed() : 0,
                agreedFinish().isBefore(today),
                leastBehind));
    }

    /** The leaves, and the milestones with the leaves that each waits for. */
    private static List<Task> activities(List<PlannedTask> planned, Outline outline, List<Milestone> milestones) {
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
}
