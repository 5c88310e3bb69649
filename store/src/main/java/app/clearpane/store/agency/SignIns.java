package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.AGENCY;
import static app.clearpane.store.schema.Tables.KNOWN_PLACE;
import static app.clearpane.store.schema.Tables.PASSWORD_KEY;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.files.Sha256;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jooq.DSLContext;

/** How the team signs in: from which places, for how long, and by which keys a new password is chosen. */
public final class SignIns {
    private static final Duration PLACES_KEPT = Duration.ofDays(180);
    private static final int DAYS_OF_CONTACTS = 90;
    private final DSLContext db;

    public SignIns(DSLContext db) {
        this.db = db;
    }

    /** Keeps a key by which somebody chooses a new password; earlier ones of theirs open nothing any more. */
    public void addPasswordKey(Sha256 keyHash, TeamMemberId member, Instant now, Instant expires) {
        db.update(PASSWORD_KEY)
                .set(PASSWORD_KEY.USED_AT, now)
                .where(PASSWORD_KEY.MEMBER_ID.eq(member), PASSWORD_KEY.USED_AT.isNull())
                .execute();
        db.insertInto(PASSWORD_KEY)
                .set(PASSWORD_KEY.KEY_HASH, keyHash)
                .set(PASSWORD_KEY.MEMBER_ID, member)
                .set(PASSWORD_KEY.CREATED_AT, now)
                .set(PASSWORD_KEY.EXPIRES_AT, expires)
                .execute();
    }

    /** Whose password a key is for; empty if it opens nothing, or nothing any more. */
    public Optional<TeamMemberId> ofPasswordKey(Sha256 keyHash, Instant now) {
        return db.select(PASSWORD_KEY.MEMBER_ID)
                .from(PASSWORD_KEY)
                .where(
                        PASSWORD_KEY.KEY_HASH.eq(keyHash),
                        PASSWORD_KEY.USED_AT.isNull(),
                        PASSWORD_KEY.EXPIRES_AT.gt(now))
                .fetchOptional(PASSWORD_KEY.MEMBER_ID);
    }

    /** Uses a key up. @return whose password it is for; empty if it opens nothing, or somebody was faster */
    public Optional<TeamMemberId> usePasswordKey(Sha256 keyHash, Instant now) {
        return ofPasswordKey(keyHash, now)
                .filter(member -> db.update(PASSWORD_KEY)
                                .set(PASSWORD_KEY.USED_AT, now)
                                .where(PASSWORD_KEY.KEY_HASH.eq(keyHash), PASSWORD_KEY.USED_AT.isNull())
                                .execute()
                        == 1);
    }

    /** Notes that somebody signed in from a place. @param place a digest of it and of them */
    public void cameFrom(Sha256 place, TeamMemberId member, Instant now) {
        if (db.update(KNOWN_PLACE)
                        .set(KNOWN_PLACE.LAST_AT, now)
                        .where(KNOWN_PLACE.PLACE_HASH.eq(place))
                        .execute()
                == 0) {
            db.insertInto(KNOWN_PLACE)
                    .set(KNOWN_PLACE.PLACE_HASH, place)
                    .set(KNOWN_PLACE.MEMBER_ID, member)
                    .set(KNOWN_PLACE.LAST_AT, now)
                    .onConflictDoNothing()
                    .execute();
        }
        db.deleteFrom(KNOWN_PLACE)
                .where(KNOWN_PLACE.LAST_AT.lt(now.minus(PLACES_KEPT)))
                .execute();
    }

    /** Whether its owner signed in from a place before. */
    public boolean isKnown(Sha256 place) {
        return db.fetchExists(KNOWN_PLACE, KNOWN_PLACE.PLACE_HASH.eq(place));
    }

    /** How long the team stays signed in. @param idleHours without asking for a page @param days whatever happens */
    public record Lasting(int idleHours, int days) {}

    /** How long the team stays signed in. */
    public Lasting lasting() {
        return db.select(AGENCY.IDLE_HOURS, AGENCY.SESSION_DAYS)
                .from(AGENCY)
                .fetchOptional(row -> new Lasting(row.value1(), row.value2()))
                .orElse(new Lasting(12, 7));
    }

    /** For how many days a contact stays signed in on a device. */
    public int contactDays() {
        return db.select(AGENCY.CLIENT_DAYS)
                .from(AGENCY)
                .fetchOptional(AGENCY.CLIENT_DAYS)
                .orElse(DAYS_OF_CONTACTS);
    }

    public void setContactDays(int days) {
        db.update(AGENCY).set(AGENCY.CLIENT_DAYS, days).execute();
    }

    /** Sets it. */
    public void setLasting(Lasting lasting) {
        db.update(AGENCY)
                .set(AGENCY.IDLE_HOURS, lasting.idleHours())
                .set(AGENCY.SESSION_DAYS, lasting.days())
                .execute();
    }
}
