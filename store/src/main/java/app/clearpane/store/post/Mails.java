package app.clearpane.store.post;

import static app.clearpane.store.schema.Tables.MAIL;

import app.clearpane.core.agency.ContactId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;

/** Outgoing mail, written in the transaction of its cause and sent afterwards. */
public final class Mails {
    private static final String BETWEEN = "\n\n";
    private final DSLContext db;

    public Mails(DSLContext db) {
        this.db = db;
    }

    /**
     * A mail to one person.
     *
     * @param writtenAt when what it tells of happened
     */
    public record Mail(
            UUID id,
            String recipientName,
            String recipient,
            String subject,
            String html,
            String plain,
            Instant writtenAt) {}

    /** Puts a mail in the queue. */
    public UUID add(Mail mail, Optional<ContactId> contact) {
        db.insertInto(MAIL)
                .set(MAIL.ID, mail.id())
                .set(MAIL.RECIPIENT_NAME, mail.recipientName())
                .set(MAIL.RECIPIENT, mail.recipient())
                .set(MAIL.SUBJECT, mail.subject())
                .set(MAIL.HTML, mail.html())
                .set(MAIL.PLAIN, mail.plain())
                .set(MAIL.CONTACT_ID, contact.orElse(null))
                .set(MAIL.CREATED_AT, mail.writtenAt())
                .set(MAIL.ATTEMPTS, 0)
                .execute();
        return mail.id();
    }

    /** What a mail said, to be read again. @param page the path its button led to; empty for none */
    public record Said(UUID id, Instant at, String subject, List<String> paragraphs, String button, String page) {}

    /** Keeps what a mail to a contact says, beside the queue. */
    public void keepSaid(Said said, ContactId to) {
        db.update(MAIL)
                .set(MAIL.CONTACT_ID, to)
                .set(MAIL.SAYS, String.join(BETWEEN, said.paragraphs()))
                .set(MAIL.BUTTON, said.button())
                .set(MAIL.PAGE, said.page())
                .where(MAIL.ID.eq(said.id()))
                .execute();
    }

    /** The mails that went out to a contact, the newest first. */
    public List<Said> saidTo(ContactId contact) {
        return db.select(MAIL.ID, MAIL.SENT_AT, MAIL.SUBJECT, MAIL.SAYS, MAIL.BUTTON, MAIL.PAGE)
                .from(MAIL)
                .where(MAIL.CONTACT_ID.eq(contact), MAIL.SENT_AT.isNotNull(), MAIL.SAYS.isNotNull())
                .orderBy(MAIL.SENT_AT.desc(), MAIL.ID)
                .fetch(row -> new Said(
                        row.value1(),
                        row.value2(),
                        row.value3(),
                        List.of(row.value4().split(BETWEEN)),
                        row.value5(),
                        row.value6()));
    }

    /**
     * Puts one in the queue that waits until an instant, in case what it tells of is taken back. @param about what that
     * is
     */
    public UUID addWaiting(Mail mail, UUID about, Instant notBefore) {
        add(mail, Optional.empty());
        db.update(MAIL)
                .set(MAIL.ABOUT, about)
                .set(MAIL.CERTAIN_AT, notBefore)
                .where(MAIL.ID.eq(mail.id()))
                .execute();
        return mail.id();
    }

    /** Notes what a mail that waits says, a line each, for what may follow. */
    public void keepLines(UUID id, List<String> lines) {
        db.update(MAIL)
                .set(MAIL.SAID_SO_FAR, String.join("\n", lines))
                .where(MAIL.ID.eq(id))
                .execute();
    }

    /** What a mail that waits to tell of something says so far; nothing if none waits. */
    public List<String> linesSoFar(UUID about) {
        return db
                .select(MAIL.SAID_SO_FAR)
                .from(MAIL)
                .where(MAIL.ABOUT.eq(about), MAIL.SENT_AT.isNull(), MAIL.SAID_SO_FAR.isNotNull())
                .orderBy(MAIL.CREATED_AT)
                .fetch(MAIL.SAID_SO_FAR)
                .stream()
                .flatMap(String::lines)
                .toList();
    }

    /** Drops what waits and tells of something that was taken back. @return whether there was any */
    public boolean drop(UUID about) {
        return db.deleteFrom(MAIL)
                        .where(MAIL.ABOUT.eq(about), MAIL.SENT_AT.isNull())
                        .execute()
                > 0;
    }

    /** A mail that waits. */
    public record Waiting(String subject, String recipientName, Instant notBefore) {}

    /** Those that wait at an instant, the first to go out first. */
    public List<Waiting> waiting(Instant now) {
        return db.select(MAIL.SUBJECT, MAIL.RECIPIENT_NAME, MAIL.CERTAIN_AT)
                .from(MAIL)
                .where(MAIL.SENT_AT.isNull(), MAIL.CERTAIN_AT.gt(now))
                .orderBy(MAIL.CERTAIN_AT, MAIL.ID)
                .fetch(Records.mapping(Waiting::new));
    }

    /** A mail that is still to be sent. */
    public Optional<Mail> unsent(UUID id) {
        return db.select(
                        MAIL.ID,
                        MAIL.RECIPIENT_NAME,
                        MAIL.RECIPIENT,
                        MAIL.SUBJECT,
                        MAIL.HTML,
                        MAIL.PLAIN,
                        MAIL.CREATED_AT)
                .from(MAIL)
                .where(MAIL.ID.eq(id), MAIL.SENT_AT.isNull(), MAIL.PLAIN.ne(""))
                .fetchOptional(Records.mapping(Mail::new));
    }

    /** Forgets the texts of mails that never left and are older than the links in them live. @return how many */
    public int forgetWrittenBefore(Instant instant) {
        return db.update(MAIL)
                .set(MAIL.HTML, "")
                .set(MAIL.PLAIN, "")
                .set(MAIL.FAILURE, "it waited longer than its link was good for, so it was forgotten")
                .where(MAIL.SENT_AT.isNull(), MAIL.PLAIN.ne(""), MAIL.CREATED_AT.lt(instant))
                .execute();
    }

    /** Notes that a mail left the house, and forgets its text: the link in it is its reader's alone. */
    public void sent(UUID id, Instant now) {
        db.update(MAIL)
                .set(MAIL.SENT_AT, now)
                .set(MAIL.HTML, "")
                .set(MAIL.PLAIN, "")
                .set(MAIL.ATTEMPTS, MAIL.ATTEMPTS.plus(1))
                .where(MAIL.ID.eq(id))
                .execute();
    }

    /** Notes why a mail did not leave; it will be tried again. */
    public void failed(UUID id, String why) {
        db.update(MAIL)
                .set(MAIL.FAILURE, why.substring(0, Math.min(1000, why.length())))
                .set(MAIL.ATTEMPTS, MAIL.ATTEMPTS.plus(1))
                .where(MAIL.ID.eq(id))
                .execute();
    }
}
