package app.clearpane.store.exposure;

import static app.clearpane.store.schema.Tables.LINK_OPENING;
import static app.clearpane.store.schema.Tables.LINK_SEAT;
import static app.clearpane.store.schema.Tables.PANE;
import static org.jooq.impl.DSL.field;
import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.select;
import static org.jooq.impl.DSL.selectCount;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jspecify.annotations.Nullable;

/** Seats for whoever has a link. Of its key the digest is kept, and the address sealed. */
public final class LinkSeats {
    private final DSLContext db;

    public LinkSeats(DSLContext db) {
        this.db = db;
    }

    /**
     * A link.
     *
     * @param name what the team calls it
     * @param mayMark whether marks may be left once a name and a mail address are given
     * @param asksPasscode whether it opens only with a passcode
     * @param expiresAt from when on it opens nothing; null if never
     * @param openings how often it was opened
     */
    public record Link(
            SeatId id,
            PaneId pane,
            String name,
            boolean mayMark,
            boolean asksPasscode,
            @Nullable Instant expiresAt,
            @Nullable Instant revokedAt,
            Actor createdBy,
            Instant createdAt,
            int openings,
            @Nullable Instant lastOpened) {
        /** Whether it opens something. */
        public boolean opensAt(Instant now) {
            return revokedAt == null && (expiresAt == null || now.isBefore(expiresAt));
        }
    }

    /** Makes one. @param passcodeHash null where none is asked for */
    public SeatId add(Link link, Sha256 keyHash, @Nullable String passcodeHash) {
        db.insertInto(LINK_SEAT)
                .set(LINK_SEAT.ID, link.id())
                .set(LINK_SEAT.PANE_ID, link.pane())
                .set(LINK_SEAT.NAME, link.name())
                .set(LINK_SEAT.KEY_HASH, keyHash)
                .set(LINK_SEAT.MAY_MARK, link.mayMark())
                .set(LINK_SEAT.PASSCODE_HASH, passcodeHash)
                .set(LINK_SEAT.EXPIRES_AT, link.expiresAt())
                .set(LINK_SEAT.CREATED_BY, link.createdBy())
                .set(LINK_SEAT.CREATED_AT, link.createdAt())
                .execute();
        return link.id();
    }

    /** The link with this key, revoked and expired ones too. */
    public Optional<Link> findByKey(Sha256 keyHash) {
        return fetch(LINK_SEAT.KEY_HASH.eq(keyHash)).stream().findFirst();
    }

    /** The hash of the passcode that a link asks for; empty where it asks for none. */
    public Optional<String> passcodeHash(SeatId id) {
        return db.select(LINK_SEAT.PASSCODE_HASH)
                .from(LINK_SEAT)
                .where(LINK_SEAT.ID.eq(id))
                .fetchOptional(LINK_SEAT.PASSCODE_HASH);
    }

    /** Tells one key of a link from the next, without being of use to anybody. */
    public String keyStamp(SeatId id) {
        return db.select(LINK_SEAT.KEY_HASH)
                .from(LINK_SEAT)
                .where(LINK_SEAT.ID.eq(id))
                .fetchOptional(LINK_SEAT.KEY_HASH)
                .map(hash -> Sha256.ofText(hash.hex()).brief())
                .orElse("");
    }

    /** A link. */
    public Optional<Link> find(SeatId id) {
        return fetch(LINK_SEAT.ID.eq(id)).stream().findFirst();
    }

    /** The links of the panes of a project, newest first. */
    public List<Link> ofProject(ProjectId project) {
        return fetch(LINK_SEAT.PANE_ID.in(select(PANE.ID).from(PANE).where(PANE.PROJECT_ID.eq(project))));
    }

    private List<Link> fetch(Condition condition) {
        return db.select(
                        LINK_SEAT.ID,
                        LINK_SEAT.PANE_ID,
                        LINK_SEAT.NAME,
                        LINK_SEAT.MAY_MARK,
                        field(LINK_SEAT.PASSCODE_HASH.isNotNull()),
                        LINK_SEAT.EXPIRES_AT,
                        LINK_SEAT.REVOKED_AT,
                        LINK_SEAT.CREATED_BY,
                        LINK_SEAT.CREATED_AT,
                        field(selectCount().from(LINK_OPENING).where(LINK_OPENING.LINK_SEAT_ID.eq(LINK_SEAT.ID))),
                        field(select(max(LINK_OPENING.OPENED_AT))
                                .from(LINK_OPENING)
                                .where(LINK_OPENING.LINK_SEAT_ID.eq(LINK_SEAT.ID))))
                .from(LINK_SEAT)
                .where(condition)
                .orderBy(LINK_SEAT.CREATED_AT.desc(), LINK_SEAT.ID)
                .fetch(Records.mapping(Link::new));
    }

    /** What the address of a link is sealed for. */
    public static String purpose(SeatId id) {
        return "address of link " + id;
    }

    /** Keeps its address, sealed. */
    public void sealAddress(SeatId id, String sealed) {
        db.update(LINK_SEAT)
                .set(LINK_SEAT.SEALED_ADDRESS, sealed)
                .where(LINK_SEAT.ID.eq(id))
                .execute();
    }

    /** Its address, sealed; empty if it was made before they were kept. */
    public Optional<String> sealedAddress(SeatId id) {
        return db.select(LINK_SEAT.SEALED_ADDRESS)
                .from(LINK_SEAT)
                .where(LINK_SEAT.ID.eq(id))
                .fetchOptional(LINK_SEAT.SEALED_ADDRESS);
    }

    /** Whether it is. */
    public boolean keepsAddress(SeatId id) {
        return sealedAddress(id).isPresent();
    }

    /** Lets it open nothing any more, at once. */
    public void revoke(SeatId id, Instant now) {
        db.update(LINK_SEAT)
                .set(LINK_SEAT.REVOKED_AT, now)
                .where(LINK_SEAT.ID.eq(id), LINK_SEAT.REVOKED_AT.isNull())
                .execute();
    }

    /** Gives it another key; the one before opens nothing any more. */
    public void renew(SeatId id, Sha256 keyHash) {
        db.update(LINK_SEAT)
                .set(LINK_SEAT.KEY_HASH, keyHash)
                .setNull(LINK_SEAT.REVOKED_AT)
                .where(LINK_SEAT.ID.eq(id))
                .execute();
    }

    /** One opening; the guest's name and address where they gave them. */
    public record Opening(
            Instant at,
            @Nullable String guestName,
            @Nullable String guestEmail) {}

    /** Keeps an opening. @return what tells it from others */
    public UUID opened(SeatId id, Opening opening) {
        UUID own = UUID.randomUUID();
        db.insertInto(LINK_OPENING)
                .set(LINK_OPENING.ID, own)
                .set(LINK_OPENING.LINK_SEAT_ID, id)
                .set(LINK_OPENING.OPENED_AT, opening.at())
                .set(LINK_OPENING.GUEST_NAME, opening.guestName())
                .set(LINK_OPENING.GUEST_EMAIL, opening.guestEmail())
                .execute();
        return own;
    }

    /** The latest openings, newest first. */
    public List<Opening> openings(SeatId id, int limit) {
        return db.select(LINK_OPENING.OPENED_AT, LINK_OPENING.GUEST_NAME, LINK_OPENING.GUEST_EMAIL)
                .from(LINK_OPENING)
                .where(LINK_OPENING.LINK_SEAT_ID.eq(id))
                .orderBy(LINK_OPENING.OPENED_AT.desc(), LINK_OPENING.ID)
                .limit(limit)
                .fetch(Records.mapping(Opening::new));
    }
}
