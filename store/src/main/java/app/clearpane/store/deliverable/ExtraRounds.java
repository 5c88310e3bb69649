package app.clearpane.store.deliverable;

import static app.clearpane.store.schema.Tables.EXTRA_ROUND;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.ExtraRound;
import app.clearpane.core.exposure.ItemId;
import java.time.Instant;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;

/** Rounds beyond those included, as they were accepted. */
public final class ExtraRounds {
    private final DSLContext db;

    public ExtraRounds(DSLContext db) {
        this.db = db;
    }

    /** Keeps it. @return false if it was accepted already */
    public boolean accept(ExtraRound extra) {
        return db.insertInto(EXTRA_ROUND)
                        .set(EXTRA_ROUND.DELIVERABLE_ID, extra.deliverable())
                        .set(EXTRA_ROUND.ROUND_NUMBER, extra.round())
                        .set(EXTRA_ROUND.FEE, extra.fee())
                        .set(EXTRA_ROUND.CONTACT_ID, extra.contact())
                        .set(EXTRA_ROUND.ACCEPTED_BY, extra.by())
                        .set(EXTRA_ROUND.ACCEPTED_AT, extra.at())
                        .onConflictDoNothing()
                        .execute()
                == 1;
    }

    /** Takes back what somebody accepted at one moment, with the decision it came with. */
    public void takeBack(ItemId deliverable, ContactId contact, Instant at) {
        db.deleteFrom(EXTRA_ROUND)
                .where(
                        EXTRA_ROUND.DELIVERABLE_ID.eq(deliverable),
                        EXTRA_ROUND.CONTACT_ID.eq(contact),
                        EXTRA_ROUND.ACCEPTED_AT.eq(at))
                .execute();
    }

    /** Those of the deliverable in a column, by round. */
    static Field<List<ExtraRound>> of(Field<ItemId> deliverable) {
        return multiset(select(
                                EXTRA_ROUND.DELIVERABLE_ID,
                                EXTRA_ROUND.ROUND_NUMBER,
                                EXTRA_ROUND.FEE,
                                EXTRA_ROUND.CONTACT_ID,
                                EXTRA_ROUND.ACCEPTED_BY,
                                EXTRA_ROUND.ACCEPTED_AT)
                        .from(EXTRA_ROUND)
                        .where(EXTRA_ROUND.DELIVERABLE_ID.eq(deliverable))
                        .orderBy(EXTRA_ROUND.ROUND_NUMBER))
                .as("extra")
                .convertFrom(rows -> rows.map(Records.mapping(ExtraRound::new)));
    }
}
