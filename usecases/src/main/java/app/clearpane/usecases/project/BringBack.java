package app.clearpane.usecases.project;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.usecases.exposure.DeleteItem;
import app.clearpane.usecases.files.ArrangeFiles;
import app.clearpane.usecases.plan.KeepPlan;
import app.clearpane.usecases.plan.task.DeleteTask;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Brings back what was deleted, whatever it is, with all that went with it. */
@Component
public class BringBack {
    private final Items items;
    private final ProjectFiles files;
    private final DeleteItem deleteItem;
    private final KeepPlan keepPlan;
    private final AuditLog audit;
    private final ArrangeFiles arrangeFiles;
    private final DeleteTask deleteTask;

    BringBack(
            Items items,
            ProjectFiles files,
            DeleteItem deleteItem,
            KeepPlan keepPlan,
            AuditLog audit,
            ArrangeFiles arrangeFiles,
            DeleteTask deleteTask) {
        this.deleteTask = deleteTask;
        this.arrangeFiles = arrangeFiles;
        this.items = items;
        this.files = files;
        this.deleteItem = deleteItem;
        this.keepPlan = keepPlan;
        this.audit = audit;
    }

    /**
     * Brings it back.
     *
     * @param sure whether it was said who will see it at once, and confirmed
     * @throws app.clearpane.usecases.shell.Refused if what it lies in is deleted too, naming it
     */
    @Transactional
    public ProjectId item(ItemId id, boolean sure, Actor by) {
        Items.Row item = NotFound.unless(items.find(id).filter(Items.Row::deleted));
        if (item.kind() == ContentKind.TASKS) {
            return deleteTask.restore(id, sure, by);
        }
        if (item.kind() == ContentKind.FILES && files.findDeleted(id).isPresent()) {
            return arrangeFiles.restore(id, sure, by);
        }
        deleteItem.restore(id, sure, by);
        keepPlan.changed(item.project());
        audit.append(item.project(), id.value(), new PlanActs.DeletedBroughtBack(by, item.name()));
        return item.project();
    }
}
