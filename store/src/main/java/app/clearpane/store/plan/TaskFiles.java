package app.clearpane.store.plan;

import static app.clearpane.store.schema.Tables.TASK_FILE;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;

/** Files that were put beside tasks. */
public final class TaskFiles {
    private final DSLContext db;

    public TaskFiles(DSLContext db) {
        this.db = db;
    }

    /**
     * One of them.
     *
     * @param size in bytes
     * @param teamOnly whether clients never see it
     * @param by who put it there
     */
    public record TaskFile(
            UUID id,
            ItemId task,
            Sha256 sha256,
            String name,
            String mediaType,
            long size,
            boolean teamOnly,
            Actor by,
            Instant at) {}

    /** Puts one beside a task. */
    public void add(TaskFile file) {
        db.insertInto(TASK_FILE)
                .set(TASK_FILE.ID, file.id())
                .set(TASK_FILE.ITEM_ID, file.task())
                .set(TASK_FILE.SHA256, file.sha256())
                .set(TASK_FILE.NAME, file.name())
                .set(TASK_FILE.MEDIA_TYPE, file.mediaType())
                .set(TASK_FILE.SIZE_BYTES, file.size())
                .set(TASK_FILE.TEAM_ONLY, file.teamOnly())
                .set(TASK_FILE.ADDED_BY, file.by())
                .set(TASK_FILE.CREATED_AT, file.at())
                .execute();
    }

    /** Those beside a task, oldest first. */
    public List<TaskFile> filesOf(ItemId task) {
        return where(db, TASK_FILE.ITEM_ID.eq(task));
    }

    /** One of them. */
    public Optional<TaskFile> find(UUID id) {
        return where(db, TASK_FILE.ID.eq(id)).stream().findFirst();
    }

    /** Those that meet a condition, oldest first. */
    public static List<TaskFile> where(DSLContext db, Condition condition) {
        return db.select(
                        TASK_FILE.ID,
                        TASK_FILE.ITEM_ID,
                        TASK_FILE.SHA256,
                        TASK_FILE.NAME,
                        TASK_FILE.MEDIA_TYPE,
                        TASK_FILE.SIZE_BYTES,
                        TASK_FILE.TEAM_ONLY,
                        TASK_FILE.ADDED_BY,
                        TASK_FILE.CREATED_AT)
                .from(TASK_FILE)
                .where(condition)
                .orderBy(TASK_FILE.CREATED_AT, TASK_FILE.ID)
                .fetch(Records.mapping(TaskFile::new));
    }
}
