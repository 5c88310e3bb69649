package app.clearpane.store.reminders;

import static app.clearpane.store.schema.Tables.AGENCY;
import static app.clearpane.store.schema.Tables.MAIL;
import static app.clearpane.store.schema.Tables.REMINDER;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.reminders.Rhythm;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;

/** Who was reminded of what. */
public final class Reminders {
    private final DSLContext db;

    public Reminders(DSLContext db) {
        this.db = db;
    }

    /** When the agency reminds; empty if it does not. */
    public Optional<Rhythm> rhythm() {
        return db.select(AGENCY.REMIND_HOUR, AGENCY.REMIND_EVERY, AGENCY.REMIND_MOST)
                .from(AGENCY)
                .where(AGENCY.REMIND.isTrue())
                .limit(1)
                .fetchOptional(Records.mapping(Rhythm::new));
    }

    /** Says when the agency reminds, or that it does not. */
    public void setRhythm(Optional<Rhythm> rhythm) {
        db.update(AGENCY).set(AGENCY.REMIND, rhythm.isPresent()).execute();
        rhythm.ifPresent(set -> db.update(AGENCY)
                .set(AGENCY.REMIND_HOUR, set.hour())
                .set(AGENCY.REMIND_EVERY, set.every())
                .set(AGENCY.REMIND_MOST, set.most())
                .execute());
    }

    /** One reminder. @param about what waits @param dueAt a thing that is due anew is another one */
    public record Key(UUID about, ContactId contact, Instant dueAt, String occasion) {}

    /** Those of these that went out already. */
    public Set<Key> out(Collection<Key> some) {
        Set<Key> asked = new HashSet<>(some);
        Set<Key> out = new HashSet<>();
        db.select(REMINDER.ABOUT, REMINDER.CONTACT_ID, REMINDER.DUE_AT, REMINDER.OCCASION)
                .from(REMINDER)
                .where(REMINDER.ABOUT.in(
                        some.stream().map(Key::about).distinct().toList()))
                .forEach(row -> out.add(new Key(row.value1(), row.value2(), row.value3(), row.value4())));
        out.retainAll(asked);
        return out;
    }

    /** Keeps that one goes out. @return false if it did before */
    public boolean add(Key key, Instant now) {
        return db.insertInto(REMINDER)
                        .set(REMINDER.ABOUT, key.about())
                        .set(REMINDER.CONTACT_ID, key.contact())
                        .set(REMINDER.DUE_AT, key.dueAt())
                        .set(REMINDER.OCCASION, key.occasion())
                        .set(REMINDER.WRITTEN_AT, now)
                        .onConflictDoNothing()
                        .execute()
                == 1;
    }

    /** Keeps which mail carries it. */
    public void carried(Key key, UUID mail) {
        db.update(REMINDER)
                .set(REMINDER.MAIL_ID, mail)
                .where(
                        REMINDER.ABOUT.eq(key.about()),
                        REMINDER.CONTACT_ID.eq(key.contact()),
                        REMINDER.DUE_AT.eq(key.dueAt()),
                        REMINDER.OCCASION.eq(key.occasion()))
                .execute();
    }

    /** One that was delivered. */
    public record Delivered(UUID about, ContactId contact, Instant at) {}

    /** Those on some things that left the house, the latest of each person last. */
    public List<Delivered> delivered(Collection<UUID> about) {
        return db.select(REMINDER.ABOUT, REMINDER.CONTACT_ID, MAIL.SENT_AT)
                .from(REMINDER)
                .join(MAIL)
                .on(MAIL.ID.eq(REMINDER.MAIL_ID))
                .where(REMINDER.ABOUT.in(about), MAIL.SENT_AT.isNotNull())
                .orderBy(MAIL.SENT_AT, REMINDER.OCCASION)
                .fetch(Records.mapping(Delivered::new));
    }

    /** When somebody was last reminded of a thing. */
    public Map<ContactId, Instant> latest(UUID about) {
        Map<ContactId, Instant> latest = new HashMap<>();
        delivered(List.of(about)).forEach(one -> latest.put(one.contact(), one.at()));
        return latest;
    }
}
