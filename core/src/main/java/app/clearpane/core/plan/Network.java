package app.clearpane.core.plan;

import app.clearpane.core.exposure.ItemId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.UnaryOperator;

/**
 * The activities of a plan with what each waits for (D2), in an order in which nothing stands before its predecessors.
 * Links to what is not among the activities count as none.
 */
public final class Network {
    private final List<Task> activities;
    private final Map<ItemId, Integer> places;
    private final int[] order;
    final int[][] predecessors;
    final int[][] lags;

    /** @throws IllegalArgumentException if they wait for each other in a circle, naming who */
    public Network(List<Task> activities) {
        this.activities = List.copyOf(activities);
        places = new HashMap<>();
        for (int i = 0; i < activities.size(); i++) {
            places.put(activities.get(i).id(), i);
        }
        predecessors = new int[activities.size()][];
        lags = new int[activities.size()][];
        for (int i = 0; i < activities.size(); i++) {
            List<Task.After> links = activities.get(i).shape().after().stream()
                    .filter(link -> places.containsKey(link.predecessor()))
                    .toList();
            predecessors[i] = links.stream()
                    .mapToInt(link -> places.get(link.predecessor()))
                    .toArray();
            lags[i] = links.stream().mapToInt(Task.After::lagDays).toArray();
        }
        order = sorted();
        if (order.length < activities.size()) {
            throw new IllegalArgumentException(
                    String.join(
                                    " → ",
                                    circle(activities).orElseThrow().stream()
                                            .map(Task::name)
                                            .toList()) + " wait for each other");
        }
    }

    private Network(List<Task> activities, Network like) {
        this.activities = activities;
        places = like.places;
        predecessors = like.predecessors;
        lags = like.lags;
        order = like.order;
    }

    /**
     * The same plan with other knowledge of what was done. @param known gives for each activity the same one, its shape
     * unchanged
     */
    Network knowing(UnaryOperator<Task> known) {
        List<Task> changed = new ArrayList<>(activities.size());
        activities.forEach(task -> changed.add(known.apply(task)));
        return new Network(changed, this);
    }

    private int[] sorted() {
        int[] waitsFor = new int[activities.size()];
        List<List<Integer>> followers = new ArrayList<>();
        for (int i = 0; i < activities.size(); i++) {
            followers.add(new ArrayList<>());
        }
        for (int i = 0; i < activities.size(); i++) {
            waitsFor[i] = predecessors[i].length;
            for (int before : predecessors[i]) {
                followers.get(before).add(i);
            }
        }
        int[] sorted = new int[activities.size()];
        int found = 0;
        for (int i = 0; i < waitsFor.length; i++) {
            if (waitsFor[i] == 0) {
                sorted[found++] = i;
            }
        }
        for (int next = 0; next < found; next++) {
            for (int follower : followers.get(sorted[next])) {
                if (--waitsFor[follower] == 0) {
                    sorted[found++] = follower;
                }
            }
        }
        return Arrays.copyOf(sorted, found);
    }

    /**
     * The activities that wait for each other in a circle, the first one named again at the end; empty if there is no
     * circle.
     */
    public static Optional<List<Task>> circle(List<Task> activities) {
        Map<ItemId, Task> byId = new HashMap<>();
        activities.forEach(task -> byId.put(task.id(), task));
        Map<ItemId, Boolean> left = new HashMap<>();
        return activities.stream()
                .flatMap(task -> circleFrom(task, byId, left).stream())
                .findFirst();
    }

    private static Optional<List<Task>> circleFrom(Task from, Map<ItemId, Task> byId, Map<ItemId, Boolean> left) {
        Deque<Task> path = new ArrayDeque<>();
        Deque<Integer> next = new ArrayDeque<>();
        if (left.putIfAbsent(from.id(), false) != null) {
            return Optional.empty();
        }
        path.addLast(from);
        next.addLast(0);
        while (!path.isEmpty()) {
            Task at = path.getLast();
            int link = next.removeLast();
            if (link == at.shape().after().size()) {
                left.put(at.id(), true);
                path.removeLast();
                continue;
            }
            next.addLast(link + 1);
            Task before = byId.get(at.shape().after().get(link).predecessor());
            if (before != null && left.putIfAbsent(before.id(), false) == null) {
                path.addLast(before);
                next.addLast(0);
            } else if (before != null && !Objects.requireNonNull(left.get(before.id()))) {
                List<Task> circle = new ArrayList<>(path).subList(new ArrayList<>(path).indexOf(before), path.size());
                circle = new ArrayList<>(circle);
                circle.add(before);
                return Optional.of(circle);
            }
        }
        return Optional.empty();
    }

    /** The activities, in the order given. */
    public List<Task> activities() {
        return activities;
    }

    /** Where an activity stands among them. */
    OptionalInt place(ItemId id) {
        Integer place = places.get(id);
        return place == null ? OptionalInt.empty() : OptionalInt.of(place);
    }

    int[] order() {
        return order;
    }
}
