package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.CONTACT_OWN;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.ContactWishes;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.WritingHours;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;

/** What contacts keep of themselves: their wishes, a password if they want one, and that they asked to be forgotten. */
public final class OwnThings {
    private final DSLContext db;

    public OwnThings(DSLContext db) {
        this.db = db;
    }

    /** What a contact wishes. */
    public ContactWishes wishes(ContactId contact) {
        return db.select(
                        CONTACT_OWN.PHONE,
                        CONTACT_OWN.ZONE,
                        CONTACT_OWN.DATES,
                        CONTACT_OWN.WRITES_FROM,
                        CONTACT_OWN.WRITES_UNTIL)
                .from(CONTACT_OWN)
                .where(CONTACT_OWN.CONTACT_ID.eq(contact))
                .fetchOptional(row -> new ContactWishes(
                        row.value1(),
                        Optional.ofNullable(row.value2()).map(ZoneId::of),
                        Optional.ofNullable(row.value3()).map(Locale::forLanguageTag),
                        row.value4() == null
                                ? Optional.empty()
                                : Optional.of(new WritingHours(row.value4(), row.value5()))))
                .orElse(ContactWishes.NONE);
    }

    /** The telephones of contacts who gave one. */
    public Map<ContactId, String> phones() {
        return db.select(CONTACT_OWN.CONTACT_ID, CONTACT_OWN.PHONE)
                .from(CONTACT_OWN)
                .where(CONTACT_OWN.PHONE.ne(""))
                .fetchMap(CONTACT_OWN.CONTACT_ID, CONTACT_OWN.PHONE);
    }

    /** Keeps what a contact wishes. */
    public void keep(ContactId contact, ContactWishes wishes) {
        begin(contact);
        db.update(CONTACT_OWN)
                .set(CONTACT_OWN.PHONE, wishes.phone())
                .set(CONTACT_OWN.ZONE, wishes.zone().map(ZoneId::getId).orElse(null))
                .set(
                        CONTACT_OWN.DATES,
                        wishes.dates().map(Locale::toLanguageTag).orElse(null))
                .set(
                        CONTACT_OWN.WRITES_FROM,
                        wishes.hours().map(WritingHours::from).orElse(null))
                .set(
                        CONTACT_OWN.WRITES_UNTIL,
                        wishes.hours().map(WritingHours::until).orElse(null))
                .where(CONTACT_OWN.CONTACT_ID.eq(contact))
                .execute();
    }

    private void begin(ContactId contact) {
        db.insertInto(CONTACT_OWN)
                .set(CONTACT_OWN.CONTACT_ID, contact)
                .set(CONTACT_OWN.PHONE, "")
                .onConflictDoNothing()
                .execute();
    }

    /** What a password is checked against. */
    public record Credentials(Contact contact, String passwordHash) {}

    /** A contact who is still with their client, with the hash of their password; empty where they have none. */
    public Optional<Credentials> credentials(EmailAddress email) {
        return db.select(
                        CONTACT.ID,
                        CONTACT.CLIENT_ID,
                        CONTACT.NAME,
                        CONTACT.EMAIL,
                        CONTACT.OCCUPATION,
                        CONTACT_OWN.PASSWORD_HASH)
                .from(CONTACT)
                .join(CONTACT_OWN)
                .on(CONTACT_OWN.CONTACT_ID.eq(CONTACT.ID))
                .where(CONTACT.EMAIL.eq(email.value()), CONTACT.LEFT_AT.isNull(), CONTACT_OWN.PASSWORD_HASH.isNotNull())
                .fetchOptional(row -> new Credentials(
                        new Contact(row.value1(), row.value2(), row.value3(), row.value4(), row.value5()),
                        row.value6()));
    }

    /** Whether a contact has a password. */
    public boolean hasPassword(ContactId contact) {
        return db.fetchExists(CONTACT_OWN, CONTACT_OWN.CONTACT_ID.eq(contact), CONTACT_OWN.PASSWORD_HASH.isNotNull());
    }

    /** Gives a contact another password. @param hash null for none */
    public void setPassword(ContactId contact, @Nullable String hash) {
        begin(contact);
        db.update(CONTACT_OWN)
                .set(CONTACT_OWN.PASSWORD_HASH, hash)
                .where(CONTACT_OWN.CONTACT_ID.eq(contact))
                .execute();
    }

    /** Notes that a contact asks to be forgotten, or does so no longer. @param at null if they no longer do */
    public void askForgetting(ContactId contact, @Nullable Instant at) {
        db.update(CONTACT)
                .set(CONTACT.ASKED_FORGETTING_AT, at)
                .where(CONTACT.ID.eq(contact))
                .execute();
    }

    /** Who asked to be forgotten and was not yet, since when. */
    public Map<ContactId, Instant> askForgetting() {
        return db.select(CONTACT.ID, CONTACT.ASKED_FORGETTING_AT)
                .from(CONTACT)
                .where(CONTACT.ASKED_FORGETTING_AT.isNotNull(), CONTACT.FORGOTTEN_AT.isNull())
                .fetchMap(CONTACT.ID, CONTACT.ASKED_FORGETTING_AT);
    }

    /** Since when a contact asks to be forgotten. */
    public Optional<Instant> asksForgettingSince(ContactId contact) {
        return db.select(CONTACT.ASKED_FORGETTING_AT)
                .from(CONTACT)
                .where(CONTACT.ID.eq(contact))
                .fetchOptional(CONTACT.ASKED_FORGETTING_AT);
    }
}
