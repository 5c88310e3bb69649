package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.CONTACT_OWN;
import static app.clearpane.store.schema.Tables.HOUSE_PICTURE;
import static app.clearpane.store.schema.Tables.MAIL;
import static app.clearpane.store.schema.Tables.RELEASE;
import static app.clearpane.store.schema.Tables.SIGNED_IN;
import static app.clearpane.store.schema.Tables.SIGN_IN_LINK;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.Actor;
import app.clearpane.store.schema.DefaultSchema;
import java.time.Instant;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Table;
import org.jooq.impl.DSL;

/**
 * Forgets who a contact was: their name, address and all they kept of themselves. What they said stays where it was
 * said, under no name; what was signed, and the Record, stay as they are.
 */
public final class Forgetting {
    /** What somebody is called who was forgotten. */
    public static final String NAME = "Somebody forgotten";
    /** What was signed, and by whom it was let go, proves something only as it was. */
    private static final Set<Table<?>> AS_IT_WAS = Set.of(RELEASE);

    private final DSLContext db;

    public Forgetting(DSLContext db) {
        this.db = db;
    }

    /** Forgets one. */
    public void forget(ContactId contact, Instant now) {
        db.deleteFrom(MAIL)
                .where(MAIL.CONTACT_ID
                        .eq(contact)
                        .or(MAIL.RECIPIENT.eq(
                                DSL.select(CONTACT.EMAIL).from(CONTACT).where(CONTACT.ID.eq(contact)))))
                .execute();
        db.update(CONTACT)
                .set(CONTACT.NAME, NAME)
                .set(CONTACT.EMAIL, "forgotten-" + contact + "@nobody.invalid")
                .set(CONTACT.OCCUPATION, "")
                .set(CONTACT.FORGOTTEN_AT, now)
                .where(CONTACT.ID.eq(contact))
                .execute();
        db.deleteFrom(CONTACT_OWN).where(CONTACT_OWN.CONTACT_ID.eq(contact)).execute();
        db.deleteFrom(HOUSE_PICTURE)
                .where(HOUSE_PICTURE.SUBJECT_ID.eq(contact.value()))
                .execute();
        db.deleteFrom(SIGN_IN_LINK).where(SIGN_IN_LINK.CONTACT_ID.eq(contact)).execute();
        db.deleteFrom(SIGNED_IN)
                .where(SIGNED_IN.PRINCIPAL.eq("contact:" + contact))
                .execute();
        DefaultSchema.DEFAULT_SCHEMA.getTables().stream()
                .filter(table -> !AS_IT_WAS.contains(table))
                .forEach(table -> unname(table, contact));
    }

    private void unname(Table<?> table, ContactId contact) {
        Actor nobody = new Actor.OfClient(contact, NAME);
        for (Field<?> field : table.fields()) {
            if (field.getType() == Actor.class) {
                Field<Actor> by = field.coerce(Actor.class);
                db.update(table)
                        .set(DSL.field(field.getQualifiedName(), String.class), nobody.text())
                        .where(DSL.field(by.getQualifiedName(), String.class).startsWith(nobody.key() + " "))
                        .execute();
            }
        }
        Field<ContactId> author = table.field("author_contact", ContactId.class);
        if (author != null) {
            db.update(table)
                    .set(DSL.field(DSL.name("author"), String.class), NAME)
                    .where(author.eq(contact))
                    .execute();
        }
    }
}
