package app.clearpane.store.files;

import static app.clearpane.store.schema.Tables.UPLOAD;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** How much people sent. */
public final class Uploads {
    private final DSLContext db;

    public Uploads(DSLContext db) {
        this.db = db;
    }

    /** Notes that somebody sent so many bytes for a project. */
    public void add(Actor by, ProjectId project, long bytes, Instant now) {
        db.insertInto(UPLOAD)
                .set(UPLOAD.ID, UUID.randomUUID())
                .set(UPLOAD.ACTOR, by.key())
                .set(UPLOAD.PROJECT_ID, project)
                .set(UPLOAD.SIZE_BYTES, bytes)
                .set(UPLOAD.UPLOADED_AT, now)
                .execute();
    }

    /** The bytes somebody sent since an instant. */
    public long since(Actor by, Instant since) {
        return sum(UPLOAD.ACTOR.eq(by.key()).and(UPLOAD.UPLOADED_AT.gt(since)));
    }

    /** The bytes that were sent for a project. */
    public long total(ProjectId project) {
        return sum(UPLOAD.PROJECT_ID.eq(project));
    }

    private long sum(Condition condition) {
        return db.select(DSL.coalesce(DSL.sum(UPLOAD.SIZE_BYTES).cast(Long.class), DSL.inline(0L)))
                .from(UPLOAD)
                .where(condition)
                .fetchSingle()
                .value1();
    }
}
