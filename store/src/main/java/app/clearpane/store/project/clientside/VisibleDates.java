package app.clearpane.store.project.clientside;

import static app.clearpane.store.exposure.clientside.VisibleTo.visibleTo;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.MILESTONE;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.project.Milestone;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.Records;

/** Dates, as far as a viewer sees them. */
public final class VisibleDates {
  private final DSLContext db;

  public VisibleDates(DSLContext db) {
    this.db = db;
  }

  /** The milestones, by day. */
  public List<Milestone> milestones(Viewer viewer) {
    return db.select(ITEM.ID, ITEM.NAME, MILESTONE.FALLS_ON, MILESTONE.REACHED, MILESTONE.REVISION).from(MILESTONE)
        .join(ITEM).on(ITEM.ID.eq(MILESTONE.ITEM_ID)).where(visibleTo(viewer, ContentKind.DATES))
        .orderBy(MILESTONE.FALLS_ON, ITEM.NAME, ITEM.ID).fetch(Records.mapping(Milestone::new));
  }
}
