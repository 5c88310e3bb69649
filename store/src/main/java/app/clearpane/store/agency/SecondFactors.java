package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.AGENCY;
import static app.clearpane.store.schema.Tables.RECOVERY_CODE;
import static app.clearpane.store.schema.Tables.SECOND_FACTOR;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.files.Sha256;
import java.time.Instant;
import java.util.Collection;
import java.util.Optional;
import java.util.Set;
import org.jooq.DSLContext;

/** The second step of the team's signing in. */
public final class SecondFactors {
    private final DSLContext db;

    public SecondFactors(DSLContext db) {
        this.db = db;
    }

    /**
     * What somebody's app and this house share. @param sealedSecret only readable with the key of this house @param
     * lastStep the step of the last code that was taken; no code counts twice
     */
    public record Shared(String sealedSecret, boolean confirmed, long lastStep) {}

    /** What is shared with somebody; empty if nothing was begun. */
    public Optional<Shared> find(TeamMemberId member) {
        return db.selectFrom(SECOND_FACTOR)
                .where(SECOND_FACTOR.MEMBER_ID.eq(member))
                .fetchOptional(row -> new Shared(
                        row.get(SECOND_FACTOR.SEALED_SECRET),
                        row.get(SECOND_FACTOR.CONFIRMED_AT) != null,
                        row.get(SECOND_FACTOR.LAST_STEP)));
    }

    /** Whether somebody signs in by two steps. */
    public boolean holds(TeamMemberId member) {
        return find(member).filter(Shared::confirmed).isPresent();
    }

    /** Everybody who signs in by two steps. */
    public Set<TeamMemberId> holders() {
        return db.select(SECOND_FACTOR.MEMBER_ID)
                .from(SECOND_FACTOR)
                .where(SECOND_FACTOR.CONFIRMED_AT.isNotNull())
                .fetchSet(SECOND_FACTOR.MEMBER_ID);
    }

    /** Begins anew, unless it holds already. */
    public void begin(TeamMemberId member, String sealedSecret, Instant now) {
        db.deleteFrom(SECOND_FACTOR)
                .where(SECOND_FACTOR.MEMBER_ID.eq(member), SECOND_FACTOR.CONFIRMED_AT.isNull())
                .execute();
        db.insertInto(SECOND_FACTOR)
                .set(SECOND_FACTOR.MEMBER_ID, member)
                .set(SECOND_FACTOR.SEALED_SECRET, sealedSecret)
                .set(SECOND_FACTOR.BEGUN_AT, now)
                .set(SECOND_FACTOR.LAST_STEP, 0L)
                .onConflictDoNothing()
                .execute();
    }

    /** From now on it holds. */
    public void confirm(TeamMemberId member, Instant now) {
        db.update(SECOND_FACTOR)
                .set(SECOND_FACTOR.CONFIRMED_AT, now)
                .where(SECOND_FACTOR.MEMBER_ID.eq(member))
                .execute();
    }

    /** Takes the code of a step. @return false if one of this step or a later one was taken before */
    public boolean take(TeamMemberId member, long step) {
        return db.update(SECOND_FACTOR)
                        .set(SECOND_FACTOR.LAST_STEP, step)
                        .where(SECOND_FACTOR.MEMBER_ID.eq(member), SECOND_FACTOR.LAST_STEP.lt(step))
                        .execute()
                == 1;
    }

    /** Ends it: from now on the password is enough. @return whether it held, or was begun */
    public boolean end(TeamMemberId member) {
        db.deleteFrom(RECOVERY_CODE).where(RECOVERY_CODE.MEMBER_ID.eq(member)).execute();
        return db.deleteFrom(SECOND_FACTOR)
                        .where(SECOND_FACTOR.MEMBER_ID.eq(member))
                        .execute()
                == 1;
    }

    /** Gives somebody other recovery codes; those they had open nothing any more. @param codes their digests */
    public void renewCodes(TeamMemberId member, Collection<Sha256> codes) {
        db.deleteFrom(RECOVERY_CODE).where(RECOVERY_CODE.MEMBER_ID.eq(member)).execute();
        codes.forEach(code -> db.insertInto(RECOVERY_CODE)
                .set(RECOVERY_CODE.CODE_SHA256, code)
                .set(RECOVERY_CODE.MEMBER_ID, member)
                .execute());
    }

    /** Uses a recovery code up. @return false if it is none of theirs, or was used */
    public boolean useCode(TeamMemberId member, Sha256 code, Instant now) {
        return db.update(RECOVERY_CODE)
                        .set(RECOVERY_CODE.USED_AT, now)
                        .where(
                                RECOVERY_CODE.CODE_SHA256.eq(code),
                                RECOVERY_CODE.MEMBER_ID.eq(member),
                                RECOVERY_CODE.USED_AT.isNull())
                        .execute()
                == 1;
    }

    /** How many recovery codes somebody has left. */
    public int codesLeft(TeamMemberId member) {
        return db.fetchCount(RECOVERY_CODE, RECOVERY_CODE.MEMBER_ID.eq(member), RECOVERY_CODE.USED_AT.isNull());
    }

    /** Whether the agency asks everybody of its team for a second step. */
    public boolean asked() {
        return db.select(AGENCY.SECOND_FACTOR_ASKED)
                .from(AGENCY)
                .fetchOptional(AGENCY.SECOND_FACTOR_ASKED)
                .orElse(false);
    }

    /** Says whether it does. */
    public void ask(boolean asked) {
        db.update(AGENCY).set(AGENCY.SECOND_FACTOR_ASKED, asked).execute();
    }
}
