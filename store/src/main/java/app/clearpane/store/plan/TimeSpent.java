package app.clearpane.store.plan;

import static app.clearpane.store.schema.Tables.TEAM_MEMBER;
import static app.clearpane.store.schema.Tables.TIME_SPENT;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;

/** Time that people of the team spent on tasks. */
public final class TimeSpent {
  private final DSLContext db;

  public TimeSpent(DSLContext db) {
    this.db = db;
  }

  /** One stretch of it. */
  public record Entry(String name, int minutes, LocalDate on) {}

  /** Writes a stretch down. @param minutes more than 0 */
  public void add(ItemId task, TeamMemberId member, int minutes, LocalDate on, Instant now) {
    db.insertInto(TIME_SPENT).set(TIME_SPENT.ID, UUID.randomUUID()).set(TIME_SPENT.ITEM_ID, task).set(TIME_SPENT.MEMBER_ID, member).set(TIME_SPENT.MINUTES, minutes).set(TIME_SPENT.SPENT_ON, on)
        .set(TIME_SPENT.CREATED_AT, now).execute();
  }

  /** What was spent on a task, the latest first. */
  public List<Entry> on(ItemId task) {
    return db.select(TEAM_MEMBER.NAME, TIME_SPENT.MINUTES, TIME_SPENT.SPENT_ON).from(TIME_SPENT).join(TEAM_MEMBER).on(TEAM_MEMBER.ID.eq(TIME_SPENT.MEMBER_ID)).where(TIME_SPENT.ITEM_ID.eq(task))
        .orderBy(TIME_SPENT.SPENT_ON.desc(), TIME_SPENT.CREATED_AT.desc(), TIME_SPENT.ID).fetch(Records.mapping(Entry::new));
  }
}
