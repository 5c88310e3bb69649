package app.clearpane.store.plan.client;

import static app.clearpane.store.exposure.client.VisibleTo.visibleThrough;
import static app.clearpane.store.exposure.client.VisibleTo.visibleTo;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.ITEM_ANCESTOR;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.TASK;
import static app.clearpane.store.schema.Tables.TASK_COMMENT;
import static app.clearpane.store.schema.Tables.TASK_FILE;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.schema.tables.Item;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record5;
import org.jspecify.annotations.Nullable;

/** Tasks, as far as a viewer sees them. Nothing here names anybody of the team. */
public final class VisibleTasks {
    private final DSLContext db;

    public VisibleTasks(DSLContext db) {
        this.db = db;
    }

    /**
     * A task as clients see it.
     *
     * @param headings the names of what it stands in, outermost first
     * @param yours whether it waits for the viewer: it was given to them, and the project is worked on
     * @param due the day it is to be done by, if one was set
     * @param hour until when on that day; null for the whole of it
     * @param notes Markdown; of what is not theirs, none
     * @param changed when its name, stage or due day was last changed, if ever
     */
    public record Row(
            ItemId id,
            String name,
            List<String> headings,
            Side side,
            Stage stage,
            boolean yours,
            @Nullable LocalDate due,
            @Nullable LocalTime hour,
            @Nullable LocalDate done,
            String notes,
            @Nullable Instant changed,
            int revision) {}

    /** All that a viewer sees, in the order of the plan. */
    public List<Row> all(Viewer viewer) {
        return rows(viewer, visibleTo(viewer, ContentKind.TASKS));
    }

    /** A task that waits for somebody. @param due and @param hour as in {@link Row} */
    public record Waiting(
            ItemId id,
            String name,
            @Nullable LocalDate due,
            @Nullable LocalTime hour) {}

    /** What was given to a contact and is still to be done, by the pane through which they see it. */
    public Map<PaneId, List<Waiting>> everywhere(AllPanes all) {
        return db.select(PANE.ID, ITEM.ID, ITEM.NAME, TASK.DUE_ON, TASK.DUE_HOUR)
                .from(TASK)
                .join(ITEM)
                .on(ITEM.ID.eq(TASK.ITEM_ID))
                .join(PANE)
                .on(PANE.PROJECT_ID.eq(ITEM.PROJECT_ID))
                .where(
                        TASK.CONTACT_ID.eq(all.contact()),
                        TASK.STAGE.notIn(Stage.DONE, Stage.DROPPED),
                        visibleThrough(all, ContentKind.TASKS))
                .orderBy(TASK.POSITION, ITEM.CREATED_AT, ITEM.ID)
                .fetchGroups(
                        Record5::value1, row -> new Waiting(row.value2(), row.value3(), row.value4(), row.value5()));
    }

    /** One of them. */
    public Optional<Row> find(Viewer viewer, ItemId id) {
        return rows(viewer, visibleTo(viewer, ContentKind.TASKS).and(ITEM.ID.eq(id))).stream()
                .findFirst();
    }

    private List<Row> rows(Viewer viewer, Condition condition) {
        Item above = ITEM.as("heading");
        Map<ItemId, List<String>> headings = new HashMap<>();
        Map<ItemId, Row> rows = new LinkedHashMap<>();
        db.select(
                        ITEM.ID,
                        ITEM.NAME,
                        TASK.SIDE,
                        TASK.STAGE,
                        TASK.CONTACT_ID,
                        TASK.DUE_ON,
                        TASK.DONE_ON,
                        TASK.NOTES,
                        TASK.REVISION,
                        above.NAME,
                        ITEM.CHANGED_AT,
                        TASK.DUE_HOUR)
                .from(ITEM)
                .join(TASK)
                .on(TASK.ITEM_ID.eq(ITEM.ID))
                .leftJoin(ITEM_ANCESTOR)
                .on(ITEM_ANCESTOR.ITEM_ID.eq(ITEM.ID), ITEM_ANCESTOR.DEPTH.gt(0))
                .leftJoin(above)
                .on(above.ID.eq(ITEM_ANCESTOR.ANCESTOR_ID))
                .where(condition)
                .orderBy(TASK.POSITION, ITEM.CREATED_AT, ITEM.ID, ITEM_ANCESTOR.DEPTH.desc())
                .forEach(row -> {
                    boolean own = viewer.contact().equals(row.value5());
                    List<String> names = headings.computeIfAbsent(row.value1(), none -> new ArrayList<>());
                    Optional.ofNullable(row.value10()).ifPresent(names::add);
                    rows.put(
                            row.value1(),
                            new Row(
                                    row.value1(),
                                    row.value2(),
                                    names,
                                    row.value3(),
                                    row.value4(),
                                    own && viewer.rest().isEmpty(),
                                    row.value6(),
                                    row.value12(),
                                    row.value7(),
                                    own ? row.value8() : "",
                                    row.value11(),
                                    row.value9()));
                });
        return List.copyOf(rows.values());
    }

    /** The files beside a task, but for those for the team only, oldest first. */
    public List<TaskFiles.TaskFile> files(Viewer viewer, ItemId task) {
        return find(viewer, task).isEmpty()
                ? List.of()
                : TaskFiles.where(db, TASK_FILE.ITEM_ID.eq(task).and(TASK_FILE.TEAM_ONLY.isFalse()));
    }

    /** What was said of a task, but for what is for the team only. */
    public List<Tasks.Comment> comments(Viewer viewer, ItemId task) {
        return find(viewer, task).isEmpty()
                ? List.of()
                : Tasks.comments(db, TASK_COMMENT.ITEM_ID.eq(task).and(TASK_COMMENT.TEAM_ONLY.isFalse()));
    }
}
