package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.CLIENT_LOGO;
import static app.clearpane.store.schema.Tables.PARTICULARS;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Particulars;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.store.Stale;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;

/** The particulars of clients, and their logos in all their forms. */
public final class ClientParticulars {
    private final DSLContext db;

    public ClientParticulars(DSLContext db) {
        this.db = db;
    }

    /** Those of a client; empty ones where nobody said. */
    public Particulars find(ClientId client) {
        return db.select(
                        PARTICULARS.LEGAL_NAME,
                        PARTICULARS.ADDRESS,
                        PARTICULARS.HOURS,
                        PARTICULARS.TAX_NUMBER,
                        PARTICULARS.REVISION)
                .from(PARTICULARS)
                .where(PARTICULARS.CLIENT_ID.eq(client))
                .fetchOptional(Records.mapping(Particulars::new))
                .orElse(Particulars.NONE);
    }

    /** Who said them last, and when. */
    public record LastSaid(Actor by, Instant at) {}

    /** Who said them last; empty where nobody did. */
    public Optional<LastSaid> lastSaid(ClientId client) {
        return db.select(PARTICULARS.SET_BY, PARTICULARS.SET_AT)
                .from(PARTICULARS)
                .where(PARTICULARS.CLIENT_ID.eq(client))
                .fetchOptional(Records.mapping(LastSaid::new));
    }

    /** Keeps them. @param wanted with the revision that was read @throws Stale if they were changed meanwhile */
    public void keep(ClientId client, Particulars wanted, Actor by, Instant now) {
        int changed = wanted.revision() == 0
                ? db.insertInto(PARTICULARS)
                        .set(PARTICULARS.CLIENT_ID, client)
                        .set(PARTICULARS.LEGAL_NAME, wanted.legalName())
                        .set(PARTICULARS.ADDRESS, wanted.address())
                        .set(PARTICULARS.HOURS, wanted.hours())
                        .set(PARTICULARS.TAX_NUMBER, wanted.taxNumber())
                        .set(PARTICULARS.REVISION, 1)
                        .set(PARTICULARS.SET_BY, by)
                        .set(PARTICULARS.SET_AT, now)
                        .onConflictDoNothing()
                        .execute()
                : db.update(PARTICULARS)
                        .set(PARTICULARS.LEGAL_NAME, wanted.legalName())
                        .set(PARTICULARS.ADDRESS, wanted.address())
                        .set(PARTICULARS.HOURS, wanted.hours())
                        .set(PARTICULARS.TAX_NUMBER, wanted.taxNumber())
                        .set(PARTICULARS.REVISION, wanted.revision() + 1)
                        .set(PARTICULARS.SET_BY, by)
                        .set(PARTICULARS.SET_AT, now)
                        .where(PARTICULARS.CLIENT_ID.eq(client), PARTICULARS.REVISION.eq(wanted.revision()))
                        .execute();
        Stale.unlessOne(changed, "What is kept of them");
    }

    /** A logo in one of its forms. @param name of the file as it came */
    public record Logo(UUID id, ClientId client, String name, Sha256 sha256, String mediaType, long size) {}

    /** All forms of a client's logo, as they came. */
    public List<Logo> logos(ClientId client) {
        return db.select(
                        CLIENT_LOGO.ID,
                        CLIENT_LOGO.CLIENT_ID,
                        CLIENT_LOGO.NAME,
                        CLIENT_LOGO.SHA256,
                        CLIENT_LOGO.MEDIA_TYPE,
                        CLIENT_LOGO.SIZE_BYTES)
                .from(CLIENT_LOGO)
                .where(CLIENT_LOGO.CLIENT_ID.eq(client))
                .orderBy(CLIENT_LOGO.CREATED_AT, CLIENT_LOGO.ID)
                .fetch(Records.mapping(Logo::new));
    }

    /** Keeps a further form of it. */
    public void add(Logo logo, Actor by, Instant now) {
        db.insertInto(CLIENT_LOGO)
                .set(CLIENT_LOGO.ID, logo.id())
                .set(CLIENT_LOGO.CLIENT_ID, logo.client())
                .set(CLIENT_LOGO.NAME, logo.name())
                .set(CLIENT_LOGO.SHA256, logo.sha256())
                .set(CLIENT_LOGO.MEDIA_TYPE, logo.mediaType())
                .set(CLIENT_LOGO.SIZE_BYTES, logo.size())
                .set(CLIENT_LOGO.ADDED_BY, by)
                .set(CLIENT_LOGO.CREATED_AT, now)
                .execute();
    }

    /** Takes one away. */
    public void drop(UUID logo) {
        db.deleteFrom(CLIENT_LOGO).where(CLIENT_LOGO.ID.eq(logo)).execute();
    }
}
