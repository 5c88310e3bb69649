package app.clearpane.store.exposure;

import static app.clearpane.store.schema.Tables.AGENCY_FILTER;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.PANE_FILTER;
import static org.jooq.impl.DSL.castNull;
import static org.jooq.impl.DSL.multiset;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Filter;
import app.clearpane.core.exposure.PaneId;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;
import org.jooq.impl.DSL;

/**
 * The filters of some panes and of the agency, read in one statement.
 *
 * @param published of each pane as published
 * @param pending of each pane as pending
 */
public record FilterRows(
        Map<PaneId, Map<ContentKind, Set<Filter>>> published,
        Map<PaneId, Map<ContentKind, Set<Filter>>> pending,
        Map<ContentKind, Set<Filter>> ceilings,
        Map<ContentKind, Set<Filter>> startingPoint) {
    /** No filter anywhere. */
    public static final FilterRows NONE = new FilterRows(Map.of(), Map.of(), Map.of(), Map.of());
    /** Those of a pane, and those of the agency, as columns beside {@code pane}. */
    public static final Field<List<Written>> OF_PANE = multiset(
                    DSL.select(PANE_FILTER.KIND, PANE_FILTER.NAMED, PANE_FILTER.PUBLISHED, PANE_FILTER.PENDING)
                            .from(PANE_FILTER)
                            .where(PANE_FILTER.PANE_ID.eq(PANE.ID)))
            .as("filters")
            .convertFrom(rows -> rows.map(Records.mapping(Written::new)));

    public static final Field<List<Written>> OF_AGENCY = multiset(DSL.select(
                            AGENCY_FILTER.KIND,
                            AGENCY_FILTER.NAMED,
                            AGENCY_FILTER.CEILING,
                            AGENCY_FILTER.STARTING_POINT)
                    .from(AGENCY_FILTER))
            .as("agency_filters")
            .convertFrom(rows -> rows.map(Records.mapping(Written::new)));

    /**
     * One filter. @param first whether it counts as published, or for the ceiling @param second whether it counts as
     * pending, or for the starting point
     */
    public record Written(ContentKind kind, String named, boolean first, boolean second) {}

    /** Those that were read beside panes. */
    public static FilterRows of(Map<PaneId, List<Written>> panes, List<Written> agency) {
        FilterRows read = new FilterRows(
                new HashMap<>(), new HashMap<>(), new EnumMap<>(ContentKind.class), new EnumMap<>(ContentKind.class));
        panes.forEach((pane, all) -> all.forEach(one -> {
            add(of(read.published(), pane), one.kind(), one.named(), one.first());
            add(of(read.pending(), pane), one.kind(), one.named(), one.second());
        }));
        agency.forEach(one -> {
            add(read.ceilings(), one.kind(), one.named(), one.first());
            add(read.startingPoint(), one.kind(), one.named(), one.second());
        });
        return read;
    }

    /** The filters of the panes that meet a condition, and those of the agency. */
    public static FilterRows where(DSLContext db, Condition panes) {
        FilterRows read = new FilterRows(
                new HashMap<>(), new HashMap<>(), new EnumMap<>(ContentKind.class), new EnumMap<>(ContentKind.class));
        db.select(PANE_FILTER.PANE_ID, PANE_FILTER.KIND, PANE_FILTER.NAMED, PANE_FILTER.PUBLISHED, PANE_FILTER.PENDING)
                .from(PANE_FILTER)
                .join(PANE)
                .on(PANE.ID.eq(PANE_FILTER.PANE_ID))
                .where(panes)
                .unionAll(db.select(
                                castNull(PANE_FILTER.PANE_ID),
                                AGENCY_FILTER.KIND,
                                AGENCY_FILTER.NAMED,
                                AGENCY_FILTER.CEILING,
                                AGENCY_FILTER.STARTING_POINT)
                        .from(AGENCY_FILTER))
                .forEach(row -> {
                    boolean agency = row.value1() == null;
                    add(
                            agency ? read.ceilings() : of(read.published(), row.value1()),
                            row.value2(),
                            row.value3(),
                            row.value4());
                    add(
                            agency ? read.startingPoint() : of(read.pending(), row.value1()),
                            row.value2(),
                            row.value3(),
                            row.value5());
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
