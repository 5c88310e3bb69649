package app.clearpane.store.markup;

import static app.clearpane.store.schema.Tables.CLASH_TURN;

import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.markup.Clash;
import app.clearpane.core.signoff.Round;
import java.time.Instant;
import java.util.UUID;
import org.jooq.DSLContext;

/** Since when clashes wait, and with whom. They are read with the round they arose in. */
public final class ClashTurns {
    private final DSLContext db;

    public ClashTurns(DSLContext db) {
        this.db = db;
    }

    /** One waits from now on. */
    public void open(RoundId round, Clash clash, boolean withClient, Instant now) {
        db.insertInto(CLASH_TURN)
                .set(CLASH_TURN.ID, UUID.randomUUID())
                .set(CLASH_TURN.ROUND_ID, round)
                .set(CLASH_TURN.FIRST_MARKUP, clash.first())
                .set(CLASH_TURN.SECOND_MARKUP, clash.second())
                .set(CLASH_TURN.WITH_CLIENT, withClient)
                .set(CLASH_TURN.OPENED_AT, now)
                .execute();
    }

    /** One waits no longer. */
    public void settle(Round.ClashTurn turn, Instant now) {
        db.update(CLASH_TURN)
                .set(CLASH_TURN.SETTLED_AT, now)
                .where(CLASH_TURN.ID.eq(turn.id()), CLASH_TURN.SETTLED_AT.isNull())
                .execute();
    }
}
