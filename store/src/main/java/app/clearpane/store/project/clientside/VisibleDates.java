package app.clearpane.store.project.clientside;

import static app.clearpane.store.exposure.clientside.VisibleTo.visibleTo;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.MILESTONE;
import static app.clearpane.store.schema.Tables.PHASE;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.project.Milestone;
import app.clearpane.store.project.Phase;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.Records;

/** Status and dates, as far as a viewer sees them. */
public final class VisibleDates {
  private final DSLContext db;

  public VisibleDates(DSLContext db) {
    this.db = db;
  }

  /** The phases, in order; none unless Status is open. */
  public List<Phase> phases(Viewer viewer) {
    return !viewer.open(ContentKind.STATUS) ? List.of()
        : db.select(PHASE.ID, PHASE.NAME, PHASE.STARTS_ON, PHASE.ENDS_ON, PHASE.STAGE, PHASE.REVISION).from(PHASE)
            .where(PHASE.PROJECT_ID.eq(viewer.project())).orderBy(PHASE.POSITION, PHASE.ID)
            .fetch(row -> new Phase(row.value1(), row.value2(), row.value3(), row.value4(), Phase.Stage.valueOf(row.value5()), row.value6()));
  }

  /** The milestones, by day. */
  public List<Milestone> milestones(Viewer viewer) {
    return db.select(ITEM.ID, ITEM.NAME, MILESTONE.FALLS_ON, MILESTONE.REACHED, MILESTONE.REVISION).from(MILESTONE)
        .join(ITEM).on(ITEM.ID.eq(MILESTONE.ITEM_ID)).where(visibleTo(viewer, ContentKind.DATES))
        .orderBy(MILESTONE.FALLS_ON, ITEM.NAME, ITEM.ID).fetch(Records.mapping(Milestone::new));
  }
}
