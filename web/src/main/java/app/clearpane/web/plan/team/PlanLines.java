package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.DueNear;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The tasks of a plan in the order in which they are read: phase by phase, parts below what they are parts of. */
final class PlanLines {
    private final ProjectPlan plan;
    private final PlanFilter filter;
    private final Set<ItemId> kept = new HashSet<>();

    PlanLines(ProjectPlan plan, PlanFilter filter) {
        this.plan = plan;
        this.filter = filter;
        plan.tasks().stream()
                .filter(task -> plan.outline().isLeaf(task.id()) && filter.keeps(task))
                .forEach(task -> {
                    for (Optional<PlannedTask> at = Optional.of(task);
                            at.isPresent();
                            at = at.get().task().parent().flatMap(plan::task)) {
                        kept.add(at.get().id());
                    }
                });
    }

    /**
     * One task.
     *
     * @param depth 0 at the top
     * @param first its first day, as it was or is forecast; null where it was dropped
     * @param spare working days it may lose; null where it is done, dropped or only gathers
     * @param behind working days by which it lies behind what was agreed
     * @param room how much room it has, in words; empty where there is nothing to say
     * @param near how near the day is on which it is due
     * @param again whether it stands here beside its own place
     * @param also the phases where it stands too
     */
    record Line(
            PlannedTask task,
            int depth,
            boolean gathers,
            Stage stage,
            @Nullable LocalDate first,
            @Nullable LocalDate last,
            @Nullable Integer spare,
            boolean critical,
            int behind,
            String room,
            DueNear near,
            boolean again,
            List<String> also) {
        /** The same where it stands a second time. @param elsewhere the phases where it stands too */
        private Line again(List<String> elsewhere) {
            return new Line(
                    task, depth, gathers, stage, first, last, spare, critical, behind, room, near, true, elsewhere);
        }

        /** Which colour its edge has. */
        public String turn() {
            return !stage.open()
                    ? "nobody"
                    : ProjectPlan.isClientsTurn(task)
                            ? "client"
                            : task.task().side() == Side.CLIENTS ? "client-later" : "ours";
        }

        /** Whether it is done. */
        public boolean done() {
            return stage == Stage.DONE;
        }

        /** The initials of whoever does it. */
        public String initials() {
            String name = task.hands().name();
            return name.isEmpty()
                    ? ""
                    : Arrays.stream(name.split("[ -]+"))
                            .map(word -> word.substring(0, 1))
                            .limit(2)
                            .collect(Collectors.joining());
        }
    }

    /**
     * Tasks under a heading.
     *
     * @param key the phase where lines are added to it, empty for none; null where none are added
     * @param percent of the phase
     */
    record Group(String name, @Nullable String key, OptionalInt percent, List<Line> lines) {
        /** The same heading over other lines. */
        Group with(List<Line> others) {
            return new Group(name, key, percent, others);
        }
    }

    /** Gathered as somebody wants to see them. */
    List<Group> groups(Grouping by) {
        return by == Grouping.PHASE ? groups() : by.group(leaves(), plan.today());
    }

    /** Phase by phase; phases without a task too, unless something is filtered out. */
    private List<Group> groups() {
        List<Group> groups = new ArrayList<>();
        for (Phase phase : plan.phases()) {
            if (filter.phase().isEmpty() || filter.phase().get().equals(phase.id())) {
                List<Line> lines = lines(Optional.of(phase.id()));
                if (!lines.isEmpty() || !filter.narrows() || filter.phase().isPresent()) {
                    groups.add(new Group(phase.name(), phase.id().toString(), plan.percentOf(phase.id()), lines));
                }
            }
        }
        List<Line> loose = filter.phase().isPresent() ? List.of() : lines(Optional.empty());
        if (!loose.isEmpty() || groups.isEmpty() && !filter.narrows()) {
            groups.add(new Group("In no phase", "", OptionalInt.empty(), loose));
        }
        return groups;
    }

    private List<Line> lines(Optional<UUID> phase) {
        List<Line> lines = new ArrayList<>();
        plan.tasks().stream()
                .filter(task -> task.task().parent().isEmpty()
                        && task.details()
                                .phase()
                                .filter(id -> plan.phases().stream()
                                        .anyMatch(one -> one.id().equals(id)))
                                .equals(phase))
                .forEach(task -> add(task, 0, lines));
        phase.ifPresent(here -> plan.tasks().stream()
                .filter(task -> task.details().also().phases().contains(here) && kept.contains(task.id()))
                .forEach(task -> lines.add(line(task, 0)
                        .again(names(Stream.concat(
                                        task.details().phase().stream(),
                                        task.details().also().phases().stream().filter(other -> !other.equals(here)))
                                .toList())))));
        return lines;
    }

    private List<String> names(List<UUID> phases) {
        return plan.phases().stream()
                .filter(phase -> phases.contains(phase.id()))
                .map(Phase::name)
                .toList();
    }

    private void add(PlannedTask task, int depth, List<Line> lines) {
        if (kept.contains(task.id())) {
            lines.add(line(task, depth));
            plan.outline()
                    .parts(task.id())
                    .forEach(part -> add(plan.task(part.id()).orElseThrow(), depth + 1, lines));
        }
    }

    Line line(PlannedTask task, int depth) {
        boolean days = plan.hasDays(task.id());
        boolean leaf = plan.outline().isLeaf(task.id());
        Stage stage = plan.outline().stage(task.id());
        DueNear near = DueNear.of(
                task.details().due(),
                stage.open(),
                plan.today(),
                plan.timeline().calendar());
        return new Line(
                task,
                depth,
                !leaf,
                stage,
                days ? plan.firstDay(task.id()) : null,
                days ? plan.lastDay(task.id()) : null,
                leaf && stage.open() ? plan.spare().get(task.id()) : null,
                plan.critical().contains(task.id()),
                stage.open() ? plan.behind(task.id()) : 0,
                leaf && stage.open() ? plan.room(task.id()).inWords() : "",
                near,
                false,
                names(task.details().also().phases()));
    }

    /** A day with what ends on it, under headings. */
    record Day(
            LocalDate day,
            boolean inMonth,
            boolean today,
            boolean working,
            List<Milestone> milestones,
            List<Group> groups) {}

    /** The weeks of a month, Monday to Sunday, each task on the day it is due or else its last day. */
    List<List<Day>> month(LocalDate first, Grouping by) {
        Map<LocalDate, List<Group>> ending = new HashMap<>();
        for (Group group :
                by == Grouping.DUE ? List.of(new Group("", null, OptionalInt.empty(), leaves())) : groups(by)) {
            group.lines().stream()
                    .filter(line -> !line.gathers() && line.stage() != Stage.DROPPED)
                    .collect(Collectors.groupingBy(
                            line -> line.task().details().due().orElseGet(() -> Objects.requireNonNull(line.last()))))
                    .forEach((day, lines) -> ending.computeIfAbsent(day, none -> new ArrayList<>())
                            .add(group.with(lines)));
        }
        List<List<Day>> weeks = new ArrayList<>();
        for (LocalDate monday = first.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
                monday.isBefore(first.plusMonths(1));
                monday = monday.plusWeeks(1)) {
            List<Day> week = new ArrayList<>();
            for (int i = 0; i < 7; i++) {
                LocalDate day = monday.plusDays(i);
                week.add(new Day(
                        day,
                        day.getMonth() == first.getMonth(),
                        day.equals(plan.today()),
                        plan.timeline().calendar().isWorkingDay(day),
                        plan.milestones().stream()
                                .filter(one -> plan.lastDay(one.id()).equals(day))
                                .toList(),
                        ending.getOrDefault(day, List.of())));
            }
            weeks.add(week);
        }
        return weeks;
    }

    /** The leaves that pass, in order. */
    List<Line> leaves() {
        return plan.tasks().stream()
                .filter(task -> plan.outline().isLeaf(task.id()) && kept.contains(task.id()))
                .map(task -> line(task, 0))
                .toList();
    }
}
