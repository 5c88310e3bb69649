package app.clearpane.store.exposure.client;

import static app.clearpane.store.schema.Tables.ITEM_VIEW;
import static app.clearpane.store.schema.Tables.VISIT;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.SeatId;
import app.clearpane.store.WriteCounter;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/**
 * What holders of seats looked at, and the visit they are on. Nothing is kept here of one of the team who looks through
 * a seat.
 */
public final class Visits {
    /** After so long without a page the next one begins another visit. */
    private static final Duration PAUSE = Duration.ofMinutes(30);

    private final DSLContext db;
    private final WriteCounter writes;

    /** @param writes counts what is written through this database */
    public Visits(DSLContext db, WriteCounter writes) {
        this.writes = writes;
        this.db = db;
    }

    /** Something that was seen. */
    public record Look(ItemId item, SeatId seat, Instant at, boolean opened, boolean downloaded) {}

    /** Keeps looks, in the order they happened. */
    public void keep(Collection<Look> looks) {
        db.batch(looks.stream()
                        .map(look -> db.insertInto(ITEM_VIEW)
                                .set(ITEM_VIEW.ITEM_ID, look.item())
                                .set(ITEM_VIEW.SEAT_ID, look.seat())
                                .set(ITEM_VIEW.FIRST_SEEN_AT, look.at())
                                .set(ITEM_VIEW.LAST_SEEN_AT, look.at())
                                .set(ITEM_VIEW.DOWNLOADS, look.downloaded() ? 1 : 0)
                                .set(ITEM_VIEW.OPENED_AT, look.opened() ? look.at() : null)
                                .set(ITEM_VIEW.DOWNLOADED_AT, look.downloaded() ? look.at() : null)
                                .onConflict(ITEM_VIEW.ITEM_ID, ITEM_VIEW.SEAT_ID)
                                .doUpdate()
                                .set(ITEM_VIEW.LAST_SEEN_AT, look.at())
                                .set(
                                        ITEM_VIEW.OPENED_AT,
                                        look.opened() ? DSL.val(look.at(), ITEM_VIEW.OPENED_AT) : ITEM_VIEW.OPENED_AT)
                                .set(ITEM_VIEW.DOWNLOADS, ITEM_VIEW.DOWNLOADS.plus(look.downloaded() ? 1 : 0))
                                .set(
                                        ITEM_VIEW.DOWNLOADED_AT,
                                        look.downloaded()
                                                ? DSL.val(look.at(), ITEM_VIEW.DOWNLOADED_AT)
                                                : ITEM_VIEW.DOWNLOADED_AT))
                        .toList())
                .execute();
    }

    /** Notes that somebody is at a pane: in the visit they are on, or in another one after a pause. */
    public void visited(SeatId seat, PaneId pane, Instant now) {
        int going = db.update(VISIT)
                .set(
                        VISIT.BEGAN_AT,
                        DSL.when(VISIT.LAST_AT.lt(now.minus(PAUSE)), DSL.val(now, VISIT.BEGAN_AT))
                                .otherwise(VISIT.BEGAN_AT))
                .set(
                        VISIT.BEFORE_AT,
                        DSL.when(VISIT.LAST_AT.lt(now.minus(PAUSE)), VISIT.LAST_AT)
                                .otherwise(VISIT.BEFORE_AT))
                .set(
                        VISIT.VISITS,
                        DSL.when(VISIT.LAST_AT.lt(now.minus(PAUSE)), VISIT.VISITS.plus(1))
                                .otherwise(VISIT.VISITS))
                .set(VISIT.LAST_AT, now)
                .where(VISIT.SEAT_ID.eq(seat))
                .execute();
        if (going == 0) {
            db.insertInto(VISIT)
                    .set(VISIT.SEAT_ID, seat)
                    .set(VISIT.PANE_ID, pane)
                    .set(VISIT.BEGAN_AT, now)
                    .set(VISIT.LAST_AT, now)
                    .set(VISIT.VISITS, 1)
                    .onConflictDoNothing()
                    .execute();
        }
    }

    /**
     * The visit a seat is on.
     *
     * @param number 1 for the first
     * @param before when the last page of the visit before was looked at; on the first visit never
     * @param seen when each item was seen; what is missing never was
     */
    public record Visit(int number, Instant began, Instant before, Map<ItemId, Seen> seen) {
        /** Nobody's visit. */
        public static final Visit FIRST = new Visit(1, Instant.EPOCH, Instant.EPOCH, Map.of());

        /** When an item was seen. */
        public record Seen(Instant first, Instant last) {}

        /** Whether an item was seen on a visit before this one. */
        public boolean knows(ItemId item) {
            Seen found = seen.get(item);
            return found != null && found.first().isBefore(began);
        }

        /**
         * Whether an item was never seen before this visit, or something happened to it since the one before; on the
         * first visit nothing is called new.
         */
        public boolean isNew(ItemId item, Instant happened) {
            Seen found = seen.get(item);
            return number > 1 && (found == null || !found.first().isBefore(began) || happened.isAfter(before));
        }
    }

    /**
     * What is known of the visits of a seat.
     *
     * @param number of the latest; 0 if they were never here
     * @param before when the last page of the visit before it was looked at
     */
    public record Known(int number, Instant began, Instant last, Instant before, Map<ItemId, Visit.Seen> seen) {
        /** The visit they are on. */
        public Visit startedAt(Instant now) {
            boolean another = last.isBefore(now.minus(PAUSE));
            return number == 0
                    ? Visit.FIRST
                    : new Visit(number + (another ? 1 : 0), another ? now : began, another ? last : before, seen);
        }
    }

    /** How often something was written here; while it stands, so does what is known. */
    public long count() {
        return writes.count();
    }

    /** The visit a seat is on; the first one while they were never here. */
    public Visit visit(SeatId seat, Instant now) {
        return known(seat).startedAt(now);
    }

    /** What is known of the visits of a seat. */
    public Known known(SeatId seat) {
        Map<ItemId, Visit.Seen> known = new HashMap<>();
        Known[] visit = {new Known(0, Instant.EPOCH, Instant.EPOCH, Instant.EPOCH, known)};
        db.select(
                        VISIT.VISITS,
                        VISIT.BEGAN_AT,
                        VISIT.LAST_AT,
                        VISIT.BEFORE_AT,
                        ITEM_VIEW.ITEM_ID,
                        ITEM_VIEW.FIRST_SEEN_AT,
                        ITEM_VIEW.LAST_SEEN_AT)
                .from(VISIT)
                .leftJoin(ITEM_VIEW)
                .on(ITEM_VIEW.SEAT_ID.eq(VISIT.SEAT_ID))
                .where(VISIT.SEAT_ID.eq(seat))
                .forEach(row -> {
                    visit[0] = new Known(
                            row.value1(),
                            row.value2(),
                            row.value3(),
                            Objects.requireNonNullElse(row.value4(), Instant.EPOCH),
                            known);
                    if (row.value5() != null) {
                        known.put(row.value5(), new Visit.Seen(row.value6(), row.value7()));
                    }
                });
        return visit[0];
    }
}
