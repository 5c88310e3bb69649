package app.clearpane.store.agency;

import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Table;
import org.jooq.impl.DSL;

/** Who is signed in where. */
public final class Sessions {
  private static final Table<?> SESSION = DSL.table("spring_session");
  private static final Field<String> PRINCIPAL = DSL.field("principal_name", String.class);
  private static final Field<String> ID = DSL.field("session_id", String.class);
  private final DSLContext db;

  public Sessions(DSLContext db) {
    this.db = db;
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
