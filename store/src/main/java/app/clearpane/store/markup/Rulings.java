package app.clearpane.store.markup;

import static app.clearpane.store.schema.Tables.MARKUP;
import static app.clearpane.store.schema.Tables.RULING;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Clash;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import org.jooq.Condition;
import org.jooq.DSLContext;

/** How clashes were settled. */
public final class Rulings {
    private final DSLContext db;

    public Rulings(DSLContext db) {
        this.db = db;
    }

    /**
     * The settlement of one clash.
     *
     * @param holds the mark that is followed
     */
    public record Ruling(Clash clash, MarkupId holds, String reason, Actor by, Instant at) {}

    /** Keeps a ruling. @return false if the clash was ruled on already */
    public boolean add(Ruling ruling) {
        return db.insertInto(RULING)
                        .set(RULING.FIRST_MARKUP, ruling.clash().first())
                        .set(RULING.SECOND_MARKUP, ruling.clash().second())
                        .set(RULING.HOLDS, ruling.holds())
                        .set(RULING.REASON, ruling.reason())
                        .set(RULING.RULED_BY, ruling.by())
                        .set(RULING.RULED_AT, ruling.at())
                        .onConflictDoNothing()
                        .execute()
                == 1;
    }

    /** Those on marks of these deliverables, oldest first. */
    public List<Ruling> rulingsOf(Collection<ItemId> deliverables) {
        return where(RULING.FIRST_MARKUP.in(select(MARKUP.ID)
                .from(MARKUP)
                .join(VERSION)
                .on(VERSION.ID.eq(MARKUP.VERSION_ID))
                .where(VERSION.DELIVERABLE_ID.in(deliverables))));
    }

    private List<Ruling> where(Condition condition) {
        return db.select(RULING.fields())
                .from(RULING)
                .where(condition)
                .orderBy(RULING.RULED_AT, RULING.FIRST_MARKUP, RULING.SECOND_MARKUP)
                .fetch(row -> new Ruling(
                        new Clash(row.get(RULING.FIRST_MARKUP), row.get(RULING.SECOND_MARKUP)),
                        row.get(RULING.HOLDS),
                        row.get(RULING.REASON),
                        row.get(RULING.RULED_BY),
                        row.get(RULING.RULED_AT)));
    }
}
