package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.ANSWER;
import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.MARKUP;
import static app.clearpane.store.schema.Tables.MARKUP_ANSWER;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.RECORD_ENTRY;
import static app.clearpane.store.schema.Tables.SEAT;
import static app.clearpane.store.schema.Tables.SIGN_OFF;
import static app.clearpane.store.schema.Tables.SUPPLIED;
import static app.clearpane.store.schema.Tables.TASK_COMMENT;

import app.clearpane.core.agency.ContactId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** All that is kept of a contact, for them to take away. */
public final class KeptOfContact {
    private final DSLContext db;

    public KeptOfContact(DSLContext db) {
        this.db = db;
    }

    /** A seat they have or had. */
    public record Seated(
            String project,
            String pane,
            String role,
            String state,
            @Nullable Instant since,
            @Nullable Instant until) {}

    /** Words of theirs. @param kind what sort of words they are */
    public record Said(String kind, Instant at, String words) {}

    /** A file they gave. */
    public record Given(Instant at, String name, String sha256) {}

    /** Something the Record tells of them. */
    public record Told(Instant at, String act, String subject) {}

    /** When they were taken in. */
    public Optional<Instant> since(ContactId contact) {
        return db.select(CONTACT.CREATED_AT)
                .from(CONTACT)
                .where(CONTACT.ID.eq(contact))
                .fetchOptional(CONTACT.CREATED_AT);
    }

    /** Their seats, those that ended too. */
    public List<Seated> seats(ContactId contact) {
        return db.select(
                        PROJECT.NAME,
                        PANE.NAME,
                        SEAT.ROLE.cast(String.class),
                        SEAT.STATE.cast(String.class),
                        SEAT.ACCEPTED_AT,
                        SEAT.ENDED_AT)
                .from(SEAT)
                .join(PANE)
                .on(PANE.ID.eq(SEAT.PANE_ID))
                .join(PROJECT)
                .on(PROJECT.ID.eq(PANE.PROJECT_ID))
                .where(SEAT.CONTACT_ID.eq(contact))
                .orderBy(PROJECT.NAME, PANE.NAME, SEAT.ID)
                .fetch(Records.mapping(Seated::new));
    }

    /** What they wrote and decided, oldest first. */
    public List<Said> said(ContactId contact) {
        Field<String> decided = SIGN_OFF.DECISION.cast(String.class).concat(DSL.val(": "), SIGN_OFF.SENTENCE);
        return Stream.of(
                        db.select(DSL.inline("mark"), MARKUP.CREATED_AT, MARKUP.NOTE)
                                .from(MARKUP)
                                .where(MARKUP.AUTHOR_CONTACT.eq(contact))
                                .fetch(Records.mapping(Said::new)),
                        db.select(DSL.inline("answer at a mark"), MARKUP_ANSWER.CREATED_AT, MARKUP_ANSWER.SAID)
                                .from(MARKUP_ANSWER)
                                .where(MARKUP_ANSWER.AUTHOR_CONTACT.eq(contact))
                                .fetch(Records.mapping(Said::new)),
                        db.select(DSL.inline("said of a task"), TASK_COMMENT.CREATED_AT, TASK_COMMENT.SAID)
                                .from(TASK_COMMENT)
                                .where(TASK_COMMENT.AUTHOR_CONTACT.eq(contact))
                                .fetch(Records.mapping(Said::new)),
                        db.select(DSL.inline("decision"), SIGN_OFF.MADE_AT, decided)
                                .from(SIGN_OFF)
                                .where(SIGN_OFF.CONTACT_ID.eq(contact))
                                .fetch(Records.mapping(Said::new)),
                        db.select(DSL.inline("answer to a question"), ANSWER.GIVEN_AT, ANSWER.SAID)
                                .from(ANSWER)
                                .where(ANSWER.CONTACT_ID.eq(contact))
                                .fetch(Records.mapping(Said::new)))
                .flatMap(List::stream)
                .sorted(java.util.Comparator.comparing(Said::at))
                .toList();
    }

    /** The files they gave, oldest first. */
    public List<Given> given(ContactId contact) {
        return db.select(SUPPLIED.GIVEN_AT, SUPPLIED.NAME, SUPPLIED.SHA256.cast(String.class))
                .from(SUPPLIED)
                .where(DSL.field(SUPPLIED.GIVEN_BY.getQualifiedName(), String.class)
                        .startsWith("contact:" + contact + " "))
                .orderBy(SUPPLIED.GIVEN_AT, SUPPLIED.ID)
                .fetch(Records.mapping(Given::new));
    }

    /** What the Record tells that they did or that was done with them, oldest first. */
    public List<Told> told(ContactId contact) {
        return db.select(RECORD_ENTRY.AT, RECORD_ENTRY.ACT, RECORD_ENTRY.SUBJECT)
                .from(RECORD_ENTRY)
                .where(RECORD_ENTRY.PAYLOAD.contains(contact.toString()))
                .orderBy(RECORD_ENTRY.AT, RECORD_ENTRY.SEQUENCE)
                .fetch(Records.mapping(Told::new));
    }
}
