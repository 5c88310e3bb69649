package app.clearpane.store.deliverable;

import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.ROUND;
import static app.clearpane.store.schema.Tables.VERSION;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.signoff.Outcome;
import java.util.List;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jooq.impl.DSL;

/** How versions are read, on either side of the glass. */
public final class VersionRows {
    private VersionRows() {}

    /** Whether a version is there for those outside: it was sent, and not recalled. */
    public static Condition thereForClients() {
        return VERSION.SENT_AT
                .isNotNull()
                .andNotExists(DSL.selectOne()
                        .from(ROUND)
                        .where(ROUND.VERSION_ID.eq(VERSION.ID), ROUND.OUTCOME.eq(Outcome.RECALLED)));
    }

    /** The versions that meet a condition on {@code version} and {@code item}, oldest first. */
    public static List<Version> where(DSLContext db, Condition condition) {
        return db.select(
                        VERSION.ID,
                        VERSION.DELIVERABLE_ID,
                        VERSION.NUMBER,
                        VERSION.SHA256,
                        VERSION.FILE_NAME,
                        VERSION.MEDIA_TYPE,
                        VERSION.SIZE_BYTES,
                        VERSION.WHAT_CHANGED,
                        VERSION.MADE_BY,
                        VERSION.CREATED_AT,
                        VERSION.SENT_AT)
                .from(VERSION)
                .join(ITEM)
                .on(ITEM.ID.eq(VERSION.DELIVERABLE_ID))
                .where(condition)
                .orderBy(VERSION.CREATED_AT, VERSION.ID)
                .fetch(Records.mapping(Version::new));
    }
}
