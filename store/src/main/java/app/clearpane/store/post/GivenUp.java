package app.clearpane.store.post;

import static app.clearpane.store.schema.Tables.GIVEN_UP;
import static app.clearpane.store.schema.Tables.MAIL;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;

/** Work that failed as often as it is worth trying, kept until somebody tries it again. */
public final class GivenUp {
    private static final int LONGEST = 1_000;
    private final DSLContext db;

    public GivenUp(DSLContext db) {
        this.db = db;
    }

    /** Something that was given up. */
    public record Work(String job, String about, String why, Instant at) {}

    /** Keeps it. */
    public void add(String job, String about, String why, Instant now) {
        db.deleteFrom(GIVEN_UP)
                .where(GIVEN_UP.JOB.eq(job), GIVEN_UP.ABOUT.eq(about))
                .execute();
        db.insertInto(GIVEN_UP)
                .set(GIVEN_UP.JOB, job)
                .set(GIVEN_UP.ABOUT, about)
                .set(GIVEN_UP.WHY, why.substring(0, Math.min(LONGEST, why.length())))
                .set(GIVEN_UP.GIVEN_UP_AT, now)
                .execute();
    }

    /** Takes it from the list, since it is tried again. @return whether it was there */
    public boolean remove(String job, String about) {
        return db.deleteFrom(GIVEN_UP)
                        .where(GIVEN_UP.JOB.eq(job), GIVEN_UP.ABOUT.eq(about))
                        .execute()
                == 1;
    }

    /** All of it but mails, newest first. */
    public List<Work> all() {
        return db.select(GIVEN_UP.JOB, GIVEN_UP.ABOUT, GIVEN_UP.WHY, GIVEN_UP.GIVEN_UP_AT)
                .from(GIVEN_UP)
                .orderBy(GIVEN_UP.GIVEN_UP_AT.desc(), GIVEN_UP.JOB, GIVEN_UP.ABOUT)
                .fetch(Records.mapping(Work::new));
    }

    /** A mail that did not leave yet, and why. @param attempts how often it was tried */
    public record StuckMail(
            UUID id, String recipientName, String subject, int attempts, String failure, Instant writtenAt) {}

    /** Mails that were tried and did not leave, newest first. */
    public List<StuckMail> mails() {
        return db.select(MAIL.ID, MAIL.RECIPIENT_NAME, MAIL.SUBJECT, MAIL.ATTEMPTS, MAIL.FAILURE, MAIL.CREATED_AT)
                .from(MAIL)
                .where(MAIL.SENT_AT.isNull(), MAIL.FAILURE.isNotNull(), MAIL.PLAIN.ne(""))
                .orderBy(MAIL.CREATED_AT.desc(), MAIL.ID)
                .limit(200)
                .fetch(Records.mapping(StuckMail::new));
    }
}
