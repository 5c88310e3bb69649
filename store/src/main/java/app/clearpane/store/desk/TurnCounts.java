package app.clearpane.store.desk;

import static app.clearpane.store.schema.Tables.CLIENT;
import static app.clearpane.store.schema.Tables.DELIVERABLE;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.RELEASE;
import static app.clearpane.store.schema.Tables.ROUND;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.selectOne;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import java.util.List;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** How many deliverables of the projects that are worked on each side holds, in one statement. */
public final class TurnCounts {
  private final DSLContext db;

  public TurnCounts(DSLContext db) {
    this.db = db;
  }

  /** Deliverables by their holder; nobody holds what was released in its current version. */
  public record Counts(int ours, int clients, int nobodys) {
    /** No deliverable at all. */
    public static final Counts NONE = new Counts(0, 0, 0);

    /** These and those. */
    public Counts plus(Counts more) {
      return new Counts(ours + more.ours, clients + more.clients, nobodys + more.nobodys);
    }
  }

  /** In one project, put away or not. */
  public Counts of(ProjectId project) {
    return select(PROJECT.ID.eq(project)).stream().map(Worked::turns).findFirst().orElse(Counts.NONE);
  }

  /** A project and who holds what in it. */
  public record Worked(Project project, Counts turns) {}

  /** Each project that is worked on, by the name of its client. */
  public List<Worked> workedOn() {
    return select(PROJECT.ARCHIVED_AT.isNull());
  }

  private List<Worked> select(Condition condition) {
    Condition withClients = exists(selectOne().from(ROUND).join(VERSION).on(VERSION.ID.eq(ROUND.VERSION_ID))
        .where(VERSION.DELIVERABLE_ID.eq(DELIVERABLE.ITEM_ID), ROUND.CLOSED_AT.isNull()));
    var current = DSL.select(max(VERSION.NUMBER)).from(VERSION).where(VERSION.DELIVERABLE_ID.eq(DELIVERABLE.ITEM_ID));
    Condition released = exists(selectOne().from(RELEASE).join(VERSION).on(VERSION.ID.eq(RELEASE.VERSION_ID))
        .where(RELEASE.DELIVERABLE_ID.eq(DELIVERABLE.ITEM_ID), VERSION.NUMBER.eq(current)));
    Field<ProjectId> of = ITEM.PROJECT_ID.as("of");
    Field<Integer> ours = DSL.count().filterWhere(withClients.not().and(released.not()));
    Field<Integer> clients = DSL.count().filterWhere(withClients);
    Field<Integer> nobodys = DSL.count().filterWhere(withClients.not().and(released));
    var counts = db.select(of, ours.as("ours"), clients.as("clients"), nobodys.as("nobodys")).from(DELIVERABLE).join(ITEM).on(ITEM.ID.eq(DELIVERABLE.ITEM_ID))
        .join(PROJECT).on(PROJECT.ID.eq(ITEM.PROJECT_ID)).where(ITEM.DELETED_AT.isNull()).and(condition).groupBy(ITEM.PROJECT_ID).asTable("counts");
    return db.select(Projects.fields()).select(counts.fields()).from(PROJECT).join(CLIENT).on(CLIENT.ID.eq(PROJECT.CLIENT_ID)).leftJoin(counts).on(counts.field(of).eq(PROJECT.ID))
        .where(condition).orderBy(CLIENT.NAME, PROJECT.NAME, PROJECT.ID)
        .fetch(row -> new Worked(Projects.project(row), new Counts(zero(row.get("ours", Integer.class)), zero(row.get("clients", Integer.class)), zero(row.get("nobodys", Integer.class)))));
  }

  private static int zero(@Nullable Integer count) {
    return count == null ? 0 : count;
  }
}
