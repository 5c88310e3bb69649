package app.clearpane.store.post;

import static app.clearpane.store.schema.Tables.MAIL;

import app.clearpane.core.agency.ContactId;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;

/** Outgoing mail, written in the transaction of its cause and sent afterwards. */
public final class Mails {
  private final DSLContext db;

  public Mails(DSLContext db) {
    this.db = db;
  }

  /**
   * A mail to one person.
   *
   * @param writtenAt when what it tells of happened
   */
  public record Mail(UUID id, String recipientName, String recipient, String subject, String html, String plain, Instant writtenAt) {}

  /** Puts a mail in the queue. */
  public UUID add(Mail mail, Optional<ContactId> contact) {
    db.insertInto(MAIL).set(MAIL.ID, mail.id()).set(MAIL.RECIPIENT_NAME, mail.recipientName()).set(MAIL.RECIPIENT, mail.recipient())
        .set(MAIL.SUBJECT, mail.subject()).set(MAIL.HTML, mail.html()).set(MAIL.PLAIN, mail.plain()).set(MAIL.CONTACT_ID, contact.orElse(null))
        .set(MAIL.CREATED_AT, mail.writtenAt()).set(MAIL.ATTEMPTS, 0).execute();
    return mail.id();
  }

  /** A mail that is still to be sent. */
  public Optional<Mail> unsent(UUID id) {
    return db.select(MAIL.ID, MAIL.RECIPIENT_NAME, MAIL.RECIPIENT, MAIL.SUBJECT, MAIL.HTML, MAIL.PLAIN, MAIL.CREATED_AT).from(MAIL)
        .where(MAIL.ID.eq(id), MAIL.SENT_AT.isNull()).fetchOptional(Records.mapping(Mail::new));
  }

  /** Notes that a mail left the house, and forgets its text: the link in it is its reader's alone. */
  public void sent(UUID id, Instant now) {
    db.update(MAIL).set(MAIL.SENT_AT, now).set(MAIL.HTML, "").set(MAIL.PLAIN, "").set(MAIL.ATTEMPTS, MAIL.ATTEMPTS.plus(1)).where(MAIL.ID.eq(id)).execute();
  }

  /** Notes why a mail did not leave; it will be tried again. */
  public void failed(UUID id, String why) {
    db.update(MAIL).set(MAIL.FAILURE, why.substring(0, Math.min(1000, why.length()))).set(MAIL.ATTEMPTS, MAIL.ATTEMPTS.plus(1))
        .where(MAIL.ID.eq(id)).execute();
  }
}
