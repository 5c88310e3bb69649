package app.clearpane.usecases.project;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.shell.TheAgency;
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

/** Plans the tasks of an earlier project again. */
@Component
class TasksLike {
    private final Tasks tasks;
    private final People people;
    private final NewItem newItem;
    private final TheAgency agency;

    TasksLike(Tasks tasks, People people, NewItem newItem, TheAgency agency) {
        this.tasks = tasks;
        this.people = people;
        this.newItem = newItem;
        this.agency = agency;
    }

    /** What stands for the phases and milestones of the earlier project. */
    record Places(Map<UUID, UUID> phases, Map<ItemId, ItemId> milestones) {}

    void lay(ProjectId like, ProjectId wanted, Places places, boolean withPeople, Actor by) {
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
