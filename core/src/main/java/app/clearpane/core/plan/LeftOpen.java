package app.clearpane.core.plan;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.exposure.ItemId;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** What is left open when a project ends. */
public final class LeftOpen {
    private LeftOpen() {}

    /** The names of the tasks that are not done, and then of the deliverables of which no version was released. */
    public static List<String> of(List<Task> activities, List<Deliverable> deliverables, Set<ItemId> released) {
        return Stream.concat(
                        activities.stream()
                                .filter(task -> task.stage() != Stage.DONE && task.stage() != Stage.DROPPED)
                                .map(Task::name),
                        deliverables.stream()
                                .filter(one -> !released.contains(one.id()))
                                .map(Deliverable::name))
                .toList();
    }
}
