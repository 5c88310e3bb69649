package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.DeleteItem;
import app.clearpane.usecases.exposure.WatchArrivals;
import app.clearpane.usecases.plan.KeepPlan;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes a task away with its parts, and brings it back. */
@Component
public class DeleteTask {
    private final Tasks tasks;
    private final Items items;
    private final DeleteItem deleteItem;
    private final WatchArrivals arrivals;
    private final KeepPlan keepPlan;
    private final AuditLog audit;

    DeleteTask(
            Tasks tasks,
            Items items,
            DeleteItem deleteItem,
            WatchArrivals arrivals,
            KeepPlan keepPlan,
            AuditLog audit) {
        this.tasks = tasks;
        this.items = items;
        this.deleteItem = deleteItem;
        this.arrivals = arrivals;
        this.keepPlan = keepPlan;
        this.audit = audit;
    }

    /** Takes a task away with its parts; it can be brought back. */
    @Transactional
    public ProjectId delete(ItemId id, Actor by) {
        PlannedTask task = NotFound.unless(tasks.find(id));
        deleteItem.delete(id, by);
        keepPlan.changed(task.project());
        audit.append(task.project(), id.value(), new PlanActs.TaskDeleted(by, task.name()));
        return task.project();
    }

    /** The names of the panes at which a deleted task is seen at once if it is brought back. */
    public List<String> seenIfBroughtBack(ProjectId project, ItemId id) {
        return arrivals.ifBroughtBack(project, id);
    }

    /** Brings it back. @param sure whether it was said who will see it at once, and confirmed */
    @Transactional
    public ProjectId restore(ItemId id, boolean sure, Actor by) {
        Items.Row item = NotFound.unless(items.find(id).filter(row -> row.kind() == ContentKind.TASKS));
        deleteItem.restore(id, sure, by);
        keepPlan.changed(item.project());
        audit.append(item.project(), id.value(), new PlanActs.TaskRestored(by, item.name()));
        return item.project();
    }
}
