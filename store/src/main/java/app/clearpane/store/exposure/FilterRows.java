package app.clearpane.store.exposure;

import static app.clearpane.store.schema.Tables.AGENCY_FILTER;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.PANE_FILTER;
import static org.jooq.impl.DSL.castNull;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Filter;
import app.clearpane.core.exposure.PaneId;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;

/**
 * The filters of some panes and of the agency, read in one statement.
 *
 * @param published of each pane as published
 * @param pending of each pane as pending
 */
public record FilterRows(Map<PaneId, Map<ContentKind, Set<Filter>>> published, Map<PaneId, Map<ContentKind, Set<Filter>>> pending, Map<ContentKind, Set<Filter>> ceilings,
    Map<ContentKind, Set<Filter>> startingPoint) {
  /** No filter anywhere. */
  public static final FilterRows NONE = new FilterRows(Map.of(), Map.of(), Map.of(), Map.of());

  /** The filters of the panes that meet a condition, and those of the agency. */
  public static FilterRows where(DSLContext db, Condition panes) {
    FilterRows read = new FilterRows(new HashMap<>(), new HashMap<>(), new EnumMap<>(ContentKind.class), new EnumMap<>(ContentKind.class));
    db.select(PANE_FILTER.PANE_ID, PANE_FILTER.KIND, PANE_FILTER.NAMED, PANE_FILTER.PUBLISHED, PANE_FILTER.PENDING).from(PANE_FILTER).join(PANE).on(PANE.ID.eq(PANE_FILTER.PANE_ID)).where(panes)
        .unionAll(db.select(castNull(PANE_FILTER.PANE_ID), AGENCY_FILTER.KIND, AGENCY_FILTER.NAMED, AGENCY_FILTER.CEILING, AGENCY_FILTER.STARTING_POINT).from(AGENCY_FILTER)).forEach(row -> {
          boolean agency = row.value1() == null;
          add(agency ? read.ceilings() : of(read.published(), row.value1()), row.value2(), row.value3(), row.value4());
          add(agency ? read.startingPoint() : of(read.pending(), row.value1()), row.value2(), row.value3(), row.value5());
        });
    return read;
  }

  private static Map<ContentKind, Set<Filter>> of(Map<PaneId, Map<ContentKind, Set<Filter>>> byPane, PaneId pane) {
    return byPane.computeIfAbsent(pane, id -> new EnumMap<>(ContentKind.class));
  }

  private static void add(Map<ContentKind, Set<Filter>> filters, ContentKind kind, String folder, boolean counts) {
    if (counts) {
      filters.computeIfAbsent(kind, none -> new HashSet<>()).add(Filter.of(kind, folder));
    }
  }
}
