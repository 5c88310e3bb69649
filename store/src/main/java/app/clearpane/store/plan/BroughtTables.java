package app.clearpane.store.plan;

import static app.clearpane.store.schema.Tables.IMPORTED_TABLE;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.project.ProjectId;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;

/** Tables of tasks that were brought along and wait for their bringer to say what becomes of them. */
public final class BroughtTables {
    private static final Duration KEPT = Duration.ofDays(1);
    private final DSLContext db;

    public BroughtTables(DSLContext db) {
        this.db = db;
    }

    /** One table. */
    public record Brought(UUID id, ProjectId project, String name, String content) {}

    /** Keeps one for a day; older ones are forgotten. */
    public void add(Brought brought, TeamMemberId by, Instant now) {
        db.deleteFrom(IMPORTED_TABLE)
                .where(IMPORTED_TABLE.CREATED_AT.lt(now.minus(KEPT)))
                .execute();
        db.insertInto(IMPORTED_TABLE)
                .set(IMPORTED_TABLE.ID, brought.id())
                .set(IMPORTED_TABLE.PROJECT_ID, brought.project())
                .set(IMPORTED_TABLE.MEMBER_ID, by)
                .set(IMPORTED_TABLE.NAME, brought.name())
                .set(IMPORTED_TABLE.CONTENT, brought.content())
                .set(IMPORTED_TABLE.CREATED_AT, now)
                .execute();
    }

    /** One of somebody's own. */
    public Optional<Brought> find(UUID id, TeamMemberId by) {
        return db.select(IMPORTED_TABLE.ID, IMPORTED_TABLE.PROJECT_ID, IMPORTED_TABLE.NAME, IMPORTED_TABLE.CONTENT)
                .from(IMPORTED_TABLE)
                .where(IMPORTED_TABLE.ID.eq(id), IMPORTED_TABLE.MEMBER_ID.eq(by))
                .fetchOptional(Records.mapping(Brought::new));
    }

    /** Forgets one. @return whether it was there */
    public boolean forget(UUID id, TeamMemberId by) {
        return db.deleteFrom(IMPORTED_TABLE)
                        .where(IMPORTED_TABLE.ID.eq(id), IMPORTED_TABLE.MEMBER_ID.eq(by))
                        .execute()
                == 1;
    }
}
