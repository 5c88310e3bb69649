package app.clearpane.usecases.project;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.PhaseTemplate;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.plan.KeepPlan;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Lays a new project out like an earlier one: its phases over the new days, its tasks with their parts, links and
 * lengths, the names of its steps, its milestones, who signs and what is looked at before a release. Nothing that was
 * done, said or made comes along.
 */
@Component
class LikeProject {
    private final Projects projects;
    private final Tasks tasks;
    private final TaskSteps steps;
    private final SigningDefaults signing;
    private final People people;
    private final NewItem newItem;
    private final KeepPlan keepPlan;
    private final TheAgency agency;

    LikeProject(
            Projects projects,
            Tasks tasks,
            TaskSteps steps,
            SigningDefaults signing,
            People people,
            NewItem newItem,
            KeepPlan keepPlan,
            TheAgency agency) {
        this.projects = projects;
        this.tasks = tasks;
        this.steps = steps;
        this.signing = signing;
        this.people = people;
        this.newItem = newItem;
        this.keepPlan = keepPlan;
        this.agency = agency;
    }

    /** The first day of a project that takes as many working days as an earlier one and ends on this day. */
    LocalDate startFor(Project like, LocalDate finish) {
        WorkingCalendar calendar = agency.calendar();
        int days = calendar.workingDays(like.startsOn(), like.agreedOn().plusDays(1));
        LocalDate start = finish;
        while (calendar.workingDays(start, finish.plusDays(1)) < days) {
            start = start.minusDays(1);
        }
        return start;
    }

    /** Lays it out. @param withPeople whether the team's people keep their tasks; the client's never do */
    void lay(Project like, Project wanted, boolean withPeople, Actor by) {
        Map<UUID, UUID> phases = phases(like, wanted);
        Map<ItemId, ItemId> milestones = milestones(like, wanted, by);
        tasks(like.id(), wanted.id(), new Places(phases, milestones), withPeople, by);
        SigningDefaults.Usual usual = signing.usualOf(like.id());
        signing.set(new SigningDefaults.Usual(
                wanted.id(),
                usual.terms(),
                usual.checklist(),
                signing.usualOf(wanted.id()).revision()));
        steps.set(
                wanted.id(),
                Steps.PLAIN.named(
                        steps.steps(like.id()).own().stream()
                                .collect(Collectors.groupingBy(
                                        Steps.Step::stage, Collectors.mapping(Steps.Step::name, Collectors.toList()))),
                        UUID::randomUUID));
        keepPlan.changed(wanted.id());
    }

    private Map<UUID, UUID> phases(Project like, Project wanted) {
        WorkingCalendar calendar = agency.calendar();
        List<Phase> old = projects.phases(like.id());
        List<PhaseTemplate.Share> shares = old.stream()
                .map(phase -> new PhaseTemplate.Share(
                        phase.name(),
                        Math.max(
                                1,
                                calendar.workingDays(
                                        phase.startsOn(), phase.endsOn().plusDays(1)))))
                .toList();
        List<PhaseTemplate.Laid> laid = PhaseTemplate.layOut(shares, wanted.startsOn(), wanted.agreedOn(), calendar);
        Map<UUID, UUID> phases = new HashMap<>();
        for (int i = 0; i < laid.size(); i++) {
            UUID id = UUID.randomUUID();
            projects.addPhase(
                    wanted.id(),
                    new Phase(
                            id,
                            laid.get(i).name(),
                            laid.get(i).startsOn(),
                            laid.get(i).endsOn(),
                            Phase.Stage.TO_DO,
                            old.get(i).words(),
                            1),
                    i);
            phases.put(old.get(i).id(), id);
        }
        return phases;
    }

    /** Each as many working days from the start as it was, but none after the finish; the last one on it. */
    private Map<ItemId, ItemId> milestones(Project like, Project wanted, Actor by) {
        WorkingCalendar calendar = agency.calendar();
        Map<ItemId, ItemId> milestones = new HashMap<>();
        List<Milestone> old = projects.milestones(like.id());
        for (Milestone milestone : old) {
            ItemId id = newItem.add(wanted.id(), ContentKind.DATES, milestone.name(), Optional.empty(), by);
            LocalDate day = calendar.addWorkingDays(
                    wanted.startsOn(), Math.max(0, calendar.workingDays(like.startsOn(), milestone.fallsOn())));
            boolean last = milestone.equals(old.get(old.size() - 1));
            projects.addMilestone(id, last || day.isAfter(wanted.agreedOn()) ? wanted.agreedOn() : day);
            milestones.put(milestone.id(), id);
        }
        return milestones;
    }

    /** What stands for the phases and milestones of the earlier project. */
    private record Places(Map<UUID, UUID> phases, Map<ItemId, ItemId> milestones) {}

    private void tasks(ProjectId like, ProjectId wanted, Places places, boolean withPeople, Actor by) {
        Set<TeamMemberId> here = people.team().stream().map(TeamMember::id).collect(Collectors.toSet());
        Map<ItemId, ItemId> made = new HashMap<>();
        Deque<PlannedTask> waiting = new ArrayDeque<>(tasks.ofProject(like).stream()
                .filter(task -> task.task().stage() != Stage.DROPPED)
                .toList());
        Set<ItemId> there = waiting.stream().map(PlannedTask::id).collect(Collectors.toSet());
        for (PlannedTask task = waiting.poll(); task != null; task = waiting.poll()) {
            Optional<ItemId> parent = task.task().parent().filter(there::contains);
            if (parent.isPresent() && !made.containsKey(parent.get())) {
                waiting.add(task);
                continue;
            }
            ItemId id = newItem.add(wanted, ContentKind.TASKS, task.name(), parent.map(made::get), by);
            made.put(task.id(), id);
            boolean keeps =
                    withPeople && task.hands().member().filter(here::contains).isPresent();
            PlannedTask.Details old = task.details();
            tasks.add(new PlannedTask(
                    new Task(
                            id,
                            parent.map(made::get),
                            task.name(),
                            task.task().side(),
                            shape(task.task(), List.of()),
                            Stage.TO_DO,
                            Task.Actual.NONE),
                    wanted,
                    task.position(),
                    keeps ? task.hands() : PlannedTask.Hands.NOBODY,
                    new PlannedTask.Details(
                            old.phase().map(places.phases()::get),
                            old.milestone().map(places.milestones()::get),
                            Optional.empty(),
                            Due.NONE,
                            old.priority(),
                            old.labels(),
                            old.notes(),
                            old.repeats(),
                            also(old.also(), places, withPeople, here)),
                    1));
        }
        link(like, made);
        dueBefore(like, made, places);
    }

    /**
     * What is due so many days before something begins is so in the new plan too; days of its own are not taken over.
     */
    private void dueBefore(ProjectId like, Map<ItemId, ItemId> made, Places places) {
        for (PlannedTask task : tasks.ofProject(like)) {
            Due by = task.details().by();
            Optional<Due.Before> before = by.before().flatMap(rule -> Optional.ofNullable(made.getOrDefault(
                            rule.activity(), places.milestones().get(rule.activity())))
                    .map(there -> new Due.Before(there, rule.days())));
            if (before.isPresent() && made.containsKey(task.id())) {
                PlannedTask copy = tasks.find(made.get(task.id())).orElseThrow();
                tasks.change(
                        copy.with(copy.details().with(new Due(Optional.empty(), by.hour(), before))), agency.now());
            }
        }
    }

    private void link(ProjectId like, Map<ItemId, ItemId> made) {
        for (PlannedTask task : tasks.ofProject(like)) {
            List<Task.After> links = task.task().shape().after().stream()
                    .filter(link -> made.containsKey(link.predecessor()))
                    .map(link -> new Task.After(Objects.requireNonNull(made.get(link.predecessor())), link.lagDays()))
                    .toList();
            if (made.containsKey(task.id()) && !links.isEmpty()) {
                PlannedTask copy = tasks.find(made.get(task.id())).orElseThrow();
                Task plain = copy.task();
                tasks.change(
                        copy.with(new Task(
                                plain.id(),
                                plain.parent(),
                                plain.name(),
                                plain.side(),
                                shape(plain, links),
                                plain.stage(),
                                plain.actual())),
                        agency.now());
            }
        }
    }

    private static PlannedTask.Also also(
            PlannedTask.Also old, Places places, boolean withPeople, Set<TeamMemberId> here) {
        return new PlannedTask.Also(
                old.phases().stream()
                        .map(places.phases()::get)
                        .filter(Objects::nonNull)
                        .toList(),
                old.helpers().stream()
                        .filter(helper -> withPeople && here.contains(helper.id()))
                        .toList());
    }

    private static Task.Shape shape(Task task, List<Task.After> links) {
        return new Task.Shape(
                task.shape().days(), Optional.empty(), links, task.shape().effortMinutes());
    }
}
