package app.clearpane.store.deliverable;

import static app.clearpane.store.schema.Tables.CLASH_TURN;
import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.ROUND;
import static app.clearpane.store.schema.Tables.ROUND_SIGNATORY;
import static app.clearpane.store.schema.Tables.SIGN_OFF;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.markup.Clash;
import app.clearpane.core.signoff.Round;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.Records;

/** How rounds are read, on either side of the glass: one statement for all of them with who signs and what was said. */
public final class RoundRows {
    private static final Field<List<Round.Signatory>> SIGNATORIES = multiset(
                    select(ROUND_SIGNATORY.CONTACT_ID, CONTACT.NAME, ROUND_SIGNATORY.LEAD_VOICE)
                            .from(ROUND_SIGNATORY)
                            .join(CONTACT)
                            .on(CONTACT.ID.eq(ROUND_SIGNATORY.CONTACT_ID))
                            .where(ROUND_SIGNATORY.ROUND_ID.eq(ROUND.ID))
                            .orderBy(ROUND_SIGNATORY.POSITION))
            .as("those")
            .convertFrom(rows -> rows.map(Records.mapping(Round.Signatory::new)));
    private static final Field<List<Round.Said>> SAID = multiset(select(
                            SIGN_OFF.CONTACT_ID,
                            CONTACT.NAME,
                            SIGN_OFF.DECISION,
                            SIGN_OFF.SENTENCE,
                            SIGN_OFF.TYPED_NAME,
                            SIGN_OFF.SHA256,
                            SIGN_OFF.MADE_AT,
                            SIGN_OFF.BATCH_ID,
                            SIGN_OFF.STAND_IN_CONTACT,
                            SIGN_OFF.STAND_IN_NAME,
                            SIGN_OFF.BY_SILENCE,
                            SIGN_OFF.DRAWN)
                    .from(SIGN_OFF)
                    .join(CONTACT)
                    .on(CONTACT.ID.eq(SIGN_OFF.CONTACT_ID))
                    .where(SIGN_OFF.ROUND_ID.eq(ROUND.ID), SIGN_OFF.TAKEN_BACK_AT.isNull())
                    .orderBy(SIGN_OFF.SEQUENCE))
            .as("said")
            .convertFrom(rows -> rows.map(Records.mapping(Round.Said::new)));

    private static final Field<List<Round.ClashTurn>> CLASHES = multiset(select(
                            CLASH_TURN.ID,
                            CLASH_TURN.FIRST_MARKUP,
                            CLASH_TURN.SECOND_MARKUP,
                            CLASH_TURN.WITH_CLIENT,
                            CLASH_TURN.OPENED_AT,
                            CLASH_TURN.SETTLED_AT)
                    .from(CLASH_TURN)
                    .where(CLASH_TURN.ROUND_ID.eq(ROUND.ID))
                    .orderBy(CLASH_TURN.OPENED_AT, CLASH_TURN.ID))
            .as("clashes")
            .convertFrom(rows -> rows.map(row -> new Round.ClashTurn(
                    row.value1(), new Clash(row.value2(), row.value3()), row.value4(), row.value5(), row.value6())));

    private RoundRows() {}

    /** The rounds whose version and deliverable meet a condition on {@code version} and {@code item}, oldest first. */
    public static List<Round> where(DSLContext db, Condition condition) {
        return db.select(ROUND.fields())
                .select(SIGNATORIES, SAID, CLASHES)
                .from(ROUND)
                .join(VERSION)
                .on(VERSION.ID.eq(ROUND.VERSION_ID))
                .join(ITEM)
                .on(ITEM.ID.eq(VERSION.DELIVERABLE_ID))
                .where(condition)
                .orderBy(ROUND.SENT_AT, ROUND.ID)
                .fetch(row -> new Round(
                        row.get(ROUND.ID),
                        row.get(ROUND.VERSION_ID),
                        row.get(ROUND.NUMBER),
                        row.get(ROUND.SENT_AT),
                        row.get(ROUND.DUE_AT),
                        RuleColumns.rule(row.get(ROUND.RULE), row.get(ROUND.RULE_LEAST)),
                        standing(row),
                        row.get(SIGNATORIES),
                        row.get(SAID),
                        row.get(CLASHES)));
    }

    private static Round.Standing standing(Record row) {
        Instant closed = row.get(ROUND.CLOSED_AT);
        return closed == null
                ? new Round.Open()
                : new Round.Closed(
                        closed,
                        row.get(ROUND.CLOSED_BY),
                        Optional.ofNullable(row.get(ROUND.CLOSE_REASON)),
                        row.get(ROUND.OUTCOME));
    }
}
