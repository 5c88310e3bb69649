package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.SIGNED_IN;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Table;
import org.jooq.impl.DSL;

/** Who is signed in where. */
public final class Sessions {
    private static final Table<?> SESSION = DSL.table("spring_session");
    private static final Field<String> PRINCIPAL = DSL.field("spring_session.principal_name", String.class);
    private static final Field<String> ID = DSL.field("spring_session.session_id", String.class);
    private static final Field<Long> LAST_SEEN = DSL.field("spring_session.last_access_time", Long.class);
    private static final Duration A_DAY = Duration.ofDays(1);
    private final DSLContext db;

    public Sessions(DSLContext db) {
        this.db = db;
    }

    /** One place where somebody is signed in. @param session its identifier, a digest that signs nobody in */
    public record Place(String session, String browser, String address, Instant since, Instant lastSeen) {}

    /** Notes where somebody signed in. */
    public void began(String principal, String session, String browser, String address, Instant now) {
        db.deleteFrom(SIGNED_IN)
                .where(
                        SIGNED_IN.SIGNED_IN_AT.lt(now.minus(A_DAY)),
                        SIGNED_IN.SESSION_ID.notIn(DSL.select(ID).from(SESSION)))
                .execute();
        db.deleteFrom(SIGNED_IN).where(SIGNED_IN.SESSION_ID.eq(session)).execute();
        db.insertInto(SIGNED_IN)
                .set(SIGNED_IN.SESSION_ID, session)
                .set(SIGNED_IN.PRINCIPAL, principal)
                .set(SIGNED_IN.BROWSER, browser)
                .set(SIGNED_IN.ADDRESS, address)
                .set(SIGNED_IN.SIGNED_IN_AT, now)
                .execute();
    }

    /** Where somebody is signed in, the newest first. */
    public List<Place> placesOf(String principal) {
        return db.select(SIGNED_IN.SESSION_ID, SIGNED_IN.BROWSER, SIGNED_IN.ADDRESS, SIGNED_IN.SIGNED_IN_AT, LAST_SEEN)
                .from(SIGNED_IN)
                .join(SESSION)
                .on(ID.eq(SIGNED_IN.SESSION_ID))
                .where(SIGNED_IN.PRINCIPAL.eq(principal), PRINCIPAL.eq(principal))
                .orderBy(SIGNED_IN.SIGNED_IN_AT.desc(), SIGNED_IN.SESSION_ID)
                .fetch(row -> new Place(
                        row.value1(), row.value2(), row.value3(), row.value4(), Instant.ofEpochMilli(row.value5())));
    }

    /** Signs somebody out in one place of theirs. @return whether they were signed in there */
    public boolean endOne(String principal, String session) {
        return db.deleteFrom(SESSION)
                        .where(PRINCIPAL.eq(principal), ID.eq(session))
                        .execute()
                == 1;
    }

    /** Signs somebody out everywhere, at once. @param principal the name they are signed in under */
    public void end(String principal) {
        db.deleteFrom(SESSION).where(PRINCIPAL.eq(principal)).execute();
    }

    /** Signs somebody out everywhere but here. @param here the identifier of the session that stays */
    public void endOthers(String principal, String here) {
        db.deleteFrom(SESSION).where(PRINCIPAL.eq(principal), ID.ne(here)).execute();
    }
}
