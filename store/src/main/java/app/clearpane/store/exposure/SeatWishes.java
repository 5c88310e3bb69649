package app.clearpane.store.exposure;

import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.SEAT_WISH;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jooq.impl.DSL;

/** Whom lead voices wish to have at panes. */
public final class SeatWishes {
    private final DSLContext db;

    public SeatWishes(DSLContext db) {
        this.db = db;
    }

    /** Those of a project that nobody has answered, oldest first. */
    public List<SeatWish> open(ProjectId project) {
        return where(
                db,
                SEAT_WISH
                        .SETTLED_AT
                        .isNull()
                        .and(SEAT_WISH.PANE_ID.in(DSL.select(PANE.ID).from(PANE).where(PANE.PROJECT_ID.eq(project)))));
    }

    /** One of them. */
    public Optional<SeatWish> find(UUID id) {
        return where(db, SEAT_WISH.ID.eq(id)).stream().findFirst();
    }

    /** Keeps one. */
    public void add(SeatWish wish) {
        db.insertInto(SEAT_WISH)
                .set(SEAT_WISH.ID, wish.id())
                .set(SEAT_WISH.PANE_ID, wish.pane())
                .set(SEAT_WISH.CONTACT_ID, wish.by())
                .set(SEAT_WISH.NAME, wish.name())
                .set(SEAT_WISH.EMAIL, wish.email())
                .set(SEAT_WISH.OCCUPATION, wish.occupation())
                .set(SEAT_WISH.ROLE, wish.role())
                .set(SEAT_WISH.REQUEST_ID, wish.request())
                .set(SEAT_WISH.WISHED_AT, wish.wishedAt())
                .execute();
    }

    /** Answers one, once. @return whether it was not answered before */
    public boolean settle(UUID id, boolean given, String answer, Instant now) {
        return db.update(SEAT_WISH)
                        .set(SEAT_WISH.SETTLED_AT, now)
                        .set(SEAT_WISH.GIVEN, given)
                        .set(SEAT_WISH.ANSWER, answer)
                        .where(SEAT_WISH.ID.eq(id), SEAT_WISH.SETTLED_AT.isNull())
                        .execute()
                == 1;
    }

    /** Those at a pane, latest first. */
    public static List<SeatWish> at(DSLContext db, PaneId pane) {
        return where(db, SEAT_WISH.PANE_ID.eq(pane)).stream()
                .sorted((one, other) -> other.wishedAt().compareTo(one.wishedAt()))
                .toList();
    }

    private static List<SeatWish> where(DSLContext db, Condition condition) {
        return db.select(
                        SEAT_WISH.ID,
                        SEAT_WISH.PANE_ID,
                        SEAT_WISH.CONTACT_ID,
                        CONTACT.NAME.as("by_name"),
                        SEAT_WISH.NAME,
                        SEAT_WISH.EMAIL,
                        SEAT_WISH.OCCUPATION,
                        SEAT_WISH.ROLE,
                        SEAT_WISH.WISHED_AT,
                        SEAT_WISH.SETTLED_AT,
                        SEAT_WISH.GIVEN,
                        SEAT_WISH.ANSWER,
                        SEAT_WISH.REQUEST_ID)
                .from(SEAT_WISH)
                .join(CONTACT)
                .on(CONTACT.ID.eq(SEAT_WISH.CONTACT_ID))
                .where(condition)
                .orderBy(SEAT_WISH.WISHED_AT, SEAT_WISH.ID)
                .fetch(Records.mapping(SeatWish::new));
    }
}
