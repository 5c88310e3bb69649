package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.CLIENT;
import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.SEAT;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Relation;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** All clients with their people, and where those have seats. */
public final class Directory {
    private static final Field<List<Seated>> SEATS = multiset(select(
                            SEAT.ID,
                            PROJECT.ID,
                            PROJECT.NAME,
                            PANE.ID,
                            PANE.NAME,
                            SEAT.ROLE,
                            SEAT.LEAD_VOICE,
                            SEAT.STATE)
                    .from(SEAT)
                    .join(PANE)
                    .on(PANE.ID.eq(SEAT.PANE_ID))
                    .join(PROJECT)
                    .on(PROJECT.ID.eq(PANE.PROJECT_ID))
                    .where(SEAT.CONTACT_ID.eq(CONTACT.ID), SEAT.STATE.ne(SeatState.ENDED), PROJECT.ARCHIVED_AT.isNull())
                    .orderBy(PROJECT.NAME, PANE.NAME, SEAT.ID))
            .convertFrom(rows -> rows.map(Records.mapping(Seated::new)));
    private static final Field<List<Someone>> PEOPLE = multiset(
                    select(CONTACT.ID, CONTACT.NAME, CONTACT.EMAIL, CONTACT.OCCUPATION, CONTACT.LEFT_AT, SEATS)
                            .from(CONTACT)
                            .where(CONTACT.CLIENT_ID.eq(CLIENT.ID))
                            .orderBy(CONTACT.LEFT_AT.isNotNull(), CONTACT.NAME, CONTACT.ID))
            .convertFrom(rows -> rows.map(Records.mapping(Someone::new)));
    private static final Field<List<ProjectOf>> PROJECTS = multiset(
                    select(PROJECT.ID, PROJECT.NAME, DSL.field(PROJECT.ARCHIVED_AT.isNotNull()))
                            .from(PROJECT)
                            .where(PROJECT.CLIENT_ID.eq(CLIENT.ID))
                            .orderBy(PROJECT.ARCHIVED_AT.isNotNull(), PROJECT.NAME, PROJECT.ID))
            .convertFrom(rows -> rows.map(Records.mapping(ProjectOf::new)));
    private final DSLContext db;

    public Directory(DSLContext db) {
        this.db = db;
    }

    /** A seat of somebody in a project that is worked on. */
    public record Seated(
            SeatId id,
            ProjectId project,
            String projectName,
            PaneId pane,
            String paneName,
            SeatRole role,
            boolean leadVoice,
            SeatState state) {}

    /** Somebody outside the agency. @param leftAt since when they are with this client no more; null while they are */
    public record Someone(
            ContactId id,
            String name,
            String email,
            String occupation,
            @Nullable Instant leftAt,
            List<Seated> seats) {}

    /** A project of a client. */
    public record ProjectOf(ProjectId id, String name, boolean archived) {}

    /** A client. */
    public record Entry(
            ClientId id, String name, Relation relation, Ahead ahead, List<ProjectOf> projects, List<Someone> people) {}

    /**
     * What is to come with a prospect. @param step how far it is, in the house's own words; empty for none @param move
     * what is to be done next; may be empty @param on by when
     */
    public record Ahead(String step, String move, @Nullable LocalDate on) {}

    /** All of them, by name. */
    public List<Entry> all() {
        return where(DSL.noCondition());
    }

    /** One of them. */
    public Optional<Entry> find(ClientId id) {
        return where(CLIENT.ID.eq(id)).stream().findFirst();
    }

    /** The client somebody is with. */
    public Optional<Entry> findClientOf(ContactId id) {
        return where(CLIENT.ID.eq(select(CONTACT.CLIENT_ID).from(CONTACT).where(CONTACT.ID.eq(id)))).stream()
                .findFirst();
    }

    private List<Entry> where(Condition condition) {
        return db.select(
                        CLIENT.ID,
                        CLIENT.NAME,
                        CLIENT.RELATION,
                        DSL.row(CLIENT.STEP, CLIENT.NEXT_MOVE, CLIENT.NEXT_ON).mapping(Ahead.class, Ahead::new),
                        PROJECTS,
                        PEOPLE)
                .from(CLIENT)
                .where(condition, CLIENT.OWN.isFalse())
                .orderBy(CLIENT.NAME, CLIENT.ID)
                .fetch(Records.mapping(Entry::new));
    }

    /** Says how the agency stands to a client. */
    public void relate(ClientId id, Relation relation) {
        db.update(CLIENT).set(CLIENT.RELATION, relation).where(CLIENT.ID.eq(id)).execute();
    }

    /** Says what is to come with a client. */
    public void plan(ClientId id, Ahead ahead) {
        db.update(CLIENT)
                .set(CLIENT.STEP, ahead.step())
                .set(CLIENT.NEXT_MOVE, ahead.move())
                .set(CLIENT.NEXT_ON, ahead.on())
                .where(CLIENT.ID.eq(id))
                .execute();
    }

    /** The prospects with something to do next, by its day. */
    public List<Entry> ahead() {
        return where(CLIENT.RELATION.eq(Relation.PROSPECT).and(CLIENT.NEXT_MOVE.ne(""))).stream()
                .sorted(Comparator.comparing(
                        (Entry one) -> one.ahead().on(), Comparator.nullsLast(Comparator.naturalOrder())))
                .toList();
    }

    /** Gives a client another name. */
    public void rename(ClientId id, String name) {
        db.update(CLIENT).set(CLIENT.NAME, name).where(CLIENT.ID.eq(id)).execute();
    }

    /** Notes that an entry is the same person as another. */
    public void isSameAs(ContactId id, ContactId other) {
        db.update(CONTACT)
                .set(CONTACT.SAME_AS, other.value())
                .where(CONTACT.ID.eq(id))
                .execute();
    }

    /** Notes that somebody left, or is back. @param at null if they are back */
    public void left(ContactId id, @Nullable Instant at) {
        db.update(CONTACT)
                .set(CONTACT.LEFT_AT, at)
                .set(CONTACT.SAME_AS, at == null ? DSL.castNull(CONTACT.SAME_AS) : CONTACT.SAME_AS)
                .where(CONTACT.ID.eq(id))
                .execute();
    }
}
