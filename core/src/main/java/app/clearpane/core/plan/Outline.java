package app.clearpane.core.plan;

import app.clearpane.core.exposure.ItemId;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;

/** Tasks with their subtasks, to any depth: what is done is the leaves, all above them only gathers. */
public final class Outline {
    private final Map<ItemId, Task> tasks = new LinkedHashMap<>();
    private final Map<ItemId, List<Task>> parts = new HashMap<>();

    /** @throws IllegalArgumentException if a task stands in a task that is not there */
    public Outline(List<Task> all) {
        all.forEach(task -> tasks.put(task.id(), task));
        all.forEach(task -> task.parent().ifPresent(parent -> {
            if (!tasks.containsKey(parent)) {
                throw new IllegalArgumentException(
                        task.name() + " is a part of something that is not there: " + parent);
            }
            parts.computeIfAbsent(parent, none -> new ArrayList<>()).add(task);
        }));
    }

    /** One task. */
    public Optional<Task> task(ItemId id) {
        return Optional.ofNullable(tasks.get(id));
    }

    /** The subtasks of a task, in the order given. */
    public List<Task> parts(ItemId id) {
        return parts.getOrDefault(id, List.of());
    }

    /** The tasks that stand in no other. */
    public List<Task> top() {
        return tasks.values().stream().filter(task -> task.parent().isEmpty()).toList();
    }

    /** Whether nothing is a part of it. */
    public boolean isLeaf(ItemId id) {
        return !parts.containsKey(id);
    }

    /** The leaves, in the order given. */
    public List<Task> leaves() {
        return tasks.values().stream().filter(task -> isLeaf(task.id())).toList();
    }

    /** The leaves that a task gathers; the task itself where it is one. */
    public List<Task> leavesOf(ItemId id) {
        return isLeaf(id)
                ? task(id).stream().toList()
                : parts(id).stream()
                        .flatMap(part -> leavesOf(part.id()).stream())
                        .toList();
    }

    /**
     * How far a task is: its own stage for a leaf, else what its parts come to. All dropped is dropped, all done or
     * dropped is done.
     */
    public Stage stage(ItemId id) {
        if (isLeaf(id)) {
            return task(id).map(Task::stage).orElseThrow();
        }
        List<Stage> stages = leavesOf(id).stream()
                .map(Task::stage)
                .filter(stage -> stage != Stage.DROPPED)
                .toList();
        if (stages.isEmpty()) {
            return Stage.DROPPED;
        }
        if (stages.stream().noneMatch(Stage::open)) {
            return Stage.DONE;
        }
        if (stages.stream().filter(Stage::open).allMatch(stage -> stage == Stage.IN_CHECK)) {
            return Stage.IN_CHECK;
        }
        return stages.stream().allMatch(stage -> stage == Stage.TO_DO) ? Stage.TO_DO : Stage.UNDER_WAY;
    }

    /**
     * Whether work on a task may begin or has begun: its first day has come, and nothing that it or a task it is a part
     * of waits for is still open. What is not there any more is not waited for.
     */
    public boolean mayBegin(ItemId id, LocalDate today) {
        Task task = task(id).orElseThrow();
        return task.actual().began().isPresent()
                || task.shape().notBefore().map(day -> !day.isAfter(today)).orElse(true)
                        && Stream.iterate(Optional.of(task), Optional::isPresent, at -> at.get()
                                        .parent()
                                        .flatMap(this::task))
                                .flatMap(at -> at.get().shape().after().stream())
                                .map(Task.After::predecessor)
                                .noneMatch(before -> task(before).isPresent()
                                        && stage(before).open());
    }

    /**
     * The activities of the plan: the leaves that were not dropped. What waits for a gathering task waits for its
     * leaves, and what a gathering task waits for, each of its leaves waits for.
     */
    public List<Task> activities() {
        return leaves().stream()
                .filter(task -> task.stage() != Stage.DROPPED)
                .map(task -> {
                    Map<ItemId, Integer> after = new LinkedHashMap<>();
                    for (Optional<Task> at = Optional.of(task);
                            at.isPresent();
                            at = at.get().parent().flatMap(this::task)) {
                        at.get().shape().after().forEach(link -> leavesOf(link.predecessor()).stream()
                                .filter(leaf -> leaf.stage() != Stage.DROPPED
                                        && !leaf.id().equals(task.id()))
                                .forEach(leaf -> after.merge(leaf.id(), link.lagDays(), atLeast())));
                    }
                    Task.Shape shape = task.shape();
                    List<Task.After> links = after.entrySet().stream()
                            .map(link -> new Task.After(link.getKey(), link.getValue()))
                            .toList();
                    return new Task(
                            task.id(),
                            task.parent(),
                            task.name(),
                            task.side(),
                            new Task.Shape(shape.days(), shape.notBefore(), links, shape.effortMinutes()),
                            task.stage(),
                            task.actual());
                })
                .toList();
    }

    private static BiFunction<Integer, Integer, Integer> atLeast() {
        return Math::max;
    }
}
