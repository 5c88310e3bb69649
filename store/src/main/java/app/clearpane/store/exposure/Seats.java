package app.clearpane.store.exposure;

import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.SEAT;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.Stale;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.SelectField;

/** Who has a place at which pane. */
public final class Seats {
    /** Of {@code seat} joined with {@code contact}. */
    static final List<SelectField<?>> FIELDS = List.of(
            SEAT.ID,
            SEAT.PANE_ID,
            SEAT.CONTACT_ID,
            CONTACT.NAME,
            CONTACT.EMAIL,
            SEAT.ROLE,
            SEAT.LEAD_VOICE,
            SEAT.STATE,
            SEAT.INVITED_AT,
            SEAT.ACCEPTED_AT,
            SEAT.REVISION);

    private final DSLContext db;

    public Seats(DSLContext db) {
        this.db = db;
    }

    /** Gives a contact a seat, or gives an ended one back. A contact has one seat at a pane at most. */
    public SeatId give(PaneId pane, ContactId contact, SeatRole role, Instant now) {
        Optional<SeatRow> had = seatOf(pane, contact);
        if (had.isPresent()) {
            db.update(SEAT)
                    .set(SEAT.ROLE, role)
                    .set(SEAT.STATE, SeatState.INVITED)
                    .setNull(SEAT.ENDED_AT)
                    .set(SEAT.REVISION, SEAT.REVISION.plus(1))
                    .where(SEAT.ID.eq(had.get().id()))
                    .execute();
            return had.get().id();
        }
        SeatId id = new SeatId(UUID.randomUUID());
        db.insertInto(SEAT)
                .set(SEAT.ID, id)
                .set(SEAT.PANE_ID, pane)
                .set(SEAT.CONTACT_ID, contact)
                .set(SEAT.ROLE, role)
                .set(SEAT.LEAD_VOICE, false)
                .set(SEAT.STATE, SeatState.INVITED)
                .set(SEAT.REVISION, 1)
                .set(SEAT.CREATED_AT, now)
                .execute();
        return id;
    }

    /** A contact's seat at a pane, ended or not. */
    public Optional<SeatRow> seatOf(PaneId pane, ContactId contact) {
        return fetch(SEAT.PANE_ID.eq(pane).and(SEAT.CONTACT_ID.eq(contact))).stream()
                .findFirst();
    }

    /**
     * The oldest published pane of a project that somebody may come to, their seat taken or not; empty where there is
     * none.
     */
    public Optional<PaneId> paneThatOpens(ProjectId project, ContactId contact, Instant now) {
        return db.select(PANE.ID)
                .from(SEAT)
                .join(PANE)
                .on(PANE.ID.eq(SEAT.PANE_ID))
                .where(
                        PANE.PROJECT_ID.eq(project),
                        SEAT.CONTACT_ID.eq(contact),
                        SEAT.STATE.ne(SeatState.ENDED),
                        PANE.PUBLISHED_AT.isNotNull(),
                        PANE.CLOSES_AT.isNull().or(PANE.CLOSES_AT.gt(now)))
                .orderBy(PANE.CREATED_AT, PANE.ID)
                .limit(1)
                .fetchOptional(PANE.ID);
    }

    /** A seat. */
    public Optional<SeatRow> find(SeatId id) {
        return fetch(SEAT.ID.eq(id)).stream().findFirst();
    }

    /** The seats of a pane that were not ended, by name. */
    public List<SeatRow> ofPane(PaneId pane) {
        return fetch(SEAT.PANE_ID.eq(pane).and(SEAT.STATE.ne(SeatState.ENDED)));
    }

    /** The seats at all panes of a project, ended ones too. */
    public List<SeatRow> ofProject(ProjectId project) {
        return fetch(PANE.PROJECT_ID.eq(project));
    }

    /** The seats at all panes of some projects that were not ended. */
    public List<SeatRow> ofProjects(Collection<ProjectId> projects) {
        return fetch(PANE.PROJECT_ID.in(projects).and(SEAT.STATE.ne(SeatState.ENDED)));
    }

    static SeatRow row(Record read) {
        return new SeatRow(
                read.get(SEAT.ID),
                read.get(SEAT.PANE_ID),
                read.get(SEAT.CONTACT_ID),
                read.get(CONTACT.NAME),
                read.get(CONTACT.EMAIL),
                read.get(SEAT.ROLE),
                read.get(SEAT.LEAD_VOICE),
                read.get(SEAT.STATE),
                read.get(SEAT.INVITED_AT),
                read.get(SEAT.ACCEPTED_AT),
                read.get(SEAT.REVISION));
    }

    private List<SeatRow> fetch(Condition condition) {
        return db.select(FIELDS)
                .from(SEAT)
                .join(CONTACT)
                .on(CONTACT.ID.eq(SEAT.CONTACT_ID))
                .join(PANE)
                .on(PANE.ID.eq(SEAT.PANE_ID))
                .where(condition)
                .orderBy(SEAT.LEAD_VOICE.desc(), CONTACT.NAME, SEAT.ID)
                .fetch(Seats::row);
    }

    /** Changes a seat's role. @throws Stale if it was changed since it was read */
    public void changeRole(SeatRow read, SeatRole role) {
        Stale.unlessOne(
                db.update(SEAT)
                        .set(SEAT.ROLE, role)
                        .set(SEAT.REVISION, SEAT.REVISION.plus(1))
                        .where(SEAT.ID.eq(read.id()), SEAT.REVISION.eq(read.revision()))
                        .execute(),
                "The seat of " + read.name());
    }

    /** Makes this seat the one that speaks for all at its pane; the one before it no longer does. */
    public void makeLeadVoice(SeatRow seat) {
        db.update(SEAT)
                .set(SEAT.LEAD_VOICE, false)
                .set(SEAT.REVISION, SEAT.REVISION.plus(1))
                .where(SEAT.PANE_ID.eq(seat.pane()), SEAT.LEAD_VOICE.isTrue())
                .execute();
        db.update(SEAT)
                .set(SEAT.LEAD_VOICE, true)
                .set(SEAT.ROLE, SeatRole.SIGNATORY)
                .set(SEAT.REVISION, SEAT.REVISION.plus(1))
                .where(SEAT.ID.eq(seat.id()))
                .execute();
    }

    /** Takes a seat away. */
    public void end(SeatRow seat, Instant now) {
        db.update(SEAT)
                .set(SEAT.STATE, SeatState.ENDED)
                .set(SEAT.LEAD_VOICE, false)
                .set(SEAT.ENDED_AT, now)
                .set(SEAT.REVISION, SEAT.REVISION.plus(1))
                .where(SEAT.ID.eq(seat.id()))
                .execute();
    }

    /** Notes that a link was mailed to the holder. */
    public void invited(SeatId seat, Instant now) {
        db.update(SEAT).set(SEAT.INVITED_AT, now).where(SEAT.ID.eq(seat)).execute();
    }

    /** Notes that a contact came in by their mail: all seats that waited for it are theirs now. */
    public List<SeatRow> accept(ContactId contact, Instant now) {
        List<SeatRow> waiting = fetch(SEAT.CONTACT_ID
                .eq(contact)
                .and(SEAT.STATE.eq(SeatState.INVITED))
                .and(SEAT.INVITED_AT.isNotNull()));
        db.update(SEAT)
                .set(SEAT.STATE, SeatState.ACCEPTED)
                .set(SEAT.ACCEPTED_AT, now)
                .where(SEAT.ID.in(waiting.stream().map(SeatRow::id).toList()), SEAT.STATE.eq(SeatState.INVITED))
                .execute();
        return waiting;
    }
}
