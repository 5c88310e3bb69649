package app.clearpane.store.deliverable.client;

import static app.clearpane.store.exposure.client.VisibleTo.visibleThrough;
import static app.clearpane.store.exposure.client.VisibleTo.visibleTo;
import static app.clearpane.store.schema.Tables.DELIVERABLE;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.RELEASE;
import static app.clearpane.store.schema.Tables.ROUND;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.field;
import static org.jooq.impl.DSL.row;
import static org.jooq.impl.DSL.select;
import static org.jooq.impl.DSL.selectOne;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.RoundRows;
import app.clearpane.store.deliverable.VersionRows;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record1;
import org.jooq.Record2;
import org.jooq.SelectField;
import org.jspecify.annotations.Nullable;

/** The deliverables a viewer sees, with their sent versions: one that was not sent does not exist here (V4). */
public final class VisibleDeliverables {
    private final DSLContext db;

    public VisibleDeliverables(DSLContext db) {
        this.db = db;
    }

    /**
     * A deliverable on the clients' side.
     *
     * @param released whether any of its versions was
     * @param certified the version that was released, once the certificate of that is made; null before
     * @param recalled why the version sent last was recalled; null where it was not
     * @param own whether it goes out through the viewer's own pane
     */
    public record Row(
            ItemId id,
            String name,
            String about,
            boolean released,
            @Nullable VersionId certified,
            boolean own,
            @Nullable String recalled) {}

    /** All of them, in the team's order. */
    public List<Row> all(Viewer viewer) {
        return rows(visibleTo(viewer, ContentKind.DELIVERABLES), viewer);
    }

    private List<Row> rows(Condition condition, Viewer viewer) {
        return db.select(columns(field(DELIVERABLE.PANE_ID.eq(viewer.pane()))))
                .from(DELIVERABLE)
                .join(ITEM)
                .on(ITEM.ID.eq(DELIVERABLE.ITEM_ID))
                .where(condition)
                .orderBy(DELIVERABLE.POSITION, ITEM.CREATED_AT, ITEM.ID)
                .fetch(Record1::value1);
    }

    private static SelectField<Row> columns(Field<Boolean> own) {
        return row(
                        ITEM.ID,
                        ITEM.NAME,
                        DELIVERABLE.ABOUT,
                        field(exists(selectOne()
                                .from(RELEASE)
                                .where(RELEASE.DELIVERABLE_ID.eq(ITEM.ID), RELEASE.RECALLED_AT.isNull()))),
                        field(select(RELEASE.VERSION_ID)
                                .from(RELEASE)
                                .where(
                                        RELEASE.DELIVERABLE_ID.eq(ITEM.ID),
                                        RELEASE.RECALLED_AT.isNull(),
                                        RELEASE.CERTIFICATE_SHA256.isNotNull())
                                .orderBy(RELEASE.RELEASED_AT.desc())
                                .limit(1)),
                        own,
                        recalled())
                .mapping(Row.class, Row::new);
    }

    /**
     * Them at all panes of one contact.
     *
     * @param rows of each pane, in the team's order
     * @param newest the sent version of each that was sent last, of those that have one
     * @param rounds of these
     */
    public record Everywhere(Map<PaneId, List<Row>> rows, Map<ItemId, Version> newest, Map<VersionId, Round> rounds) {}

    /** Them at all panes of one contact, in three statements. */
    public Everywhere everywhere(AllPanes all) {
        Map<PaneId, List<Row>> rows = db.select(PANE.ID, columns(field(DELIVERABLE.PANE_ID.eq(PANE.ID))))
                .from(DELIVERABLE)
                .join(ITEM)
                .on(ITEM.ID.eq(DELIVERABLE.ITEM_ID))
                .join(PANE)
                .on(PANE.PROJECT_ID.eq(ITEM.PROJECT_ID))
                .where(visibleThrough(all, ContentKind.DELIVERABLES))
                .orderBy(DELIVERABLE.POSITION, ITEM.CREATED_AT, ITEM.ID)
                .fetchGroups(Record2::value1, Record2::value2);
        Set<ItemId> seen =
                rows.values().stream().flatMap(List::stream).map(Row::id).collect(Collectors.toSet());
        if (seen.isEmpty()) {
            return new Everywhere(rows, Map.of(), Map.of());
        }
        Map<ItemId, Version> newest =
                VersionRows.where(db, ITEM.ID.in(seen).and(VersionRows.thereForClients())).stream()
                        .collect(
                                Collectors.toMap(Version::deliverable, Function.identity(), (earlier, later) -> later));
        Map<VersionId, Round> rounds =
                RoundRows.where(
                                db,
                                VERSION.ID.in(newest.values().stream()
                                        .map(Version::id)
                                        .toList()))
                        .stream()
                        .collect(Collectors.toMap(Round::version, Function.identity()));
        return new Everywhere(rows, newest, rounds);
    }

    /** One of them. */
    public Optional<Row> find(Viewer viewer, ItemId id) {
        return rows(visibleTo(viewer, ContentKind.DELIVERABLES).and(ITEM.ID.eq(id)), viewer).stream()
                .findFirst();
    }

    /** The sent versions of all of them, oldest first. */
    public List<Version> versions(Viewer viewer) {
        return VersionRows.where(db, sent(viewer));
    }

    /** A sent version of one of them. */
    public Optional<Version> version(Viewer viewer, VersionId id) {
        return VersionRows.where(db, sent(viewer).and(VERSION.ID.eq(id))).stream()
                .findFirst();
    }

    /** The rounds of all of them, oldest first. */
    public List<Round> rounds(Viewer viewer) {
        return RoundRows.where(db, sent(viewer));
    }

    /** The round of one sent version. */
    public Optional<Round> round(Viewer viewer, VersionId version) {
        return RoundRows.where(db, sent(viewer).and(VERSION.ID.eq(version))).stream()
                .findFirst();
    }

    private static Condition sent(Viewer viewer) {
        return visibleTo(viewer, ContentKind.DELIVERABLES).and(VersionRows.thereForClients());
    }

    /**
     * A version that was sent and recalled.
     *
     * @param called which it was, as "version 2"
     * @param reason in the words of whoever recalled it
     */
    public record Recalled(String name, String called, String reason, Instant at) {}

    /** A version of what they see that was recalled. */
    public Optional<Recalled> recalled(Viewer viewer, VersionId id) {
        return db.select(ITEM.NAME, VERSION.NUMBER, ROUND.CLOSE_REASON, ROUND.CLOSED_AT)
                .from(VERSION)
                .join(ITEM)
                .on(ITEM.ID.eq(VERSION.DELIVERABLE_ID))
                .join(ROUND)
                .on(ROUND.VERSION_ID.eq(VERSION.ID))
                .where(visibleTo(viewer, ContentKind.DELIVERABLES)
                        .and(VERSION.ID.eq(id))
                        .and(ROUND.OUTCOME.eq(Outcome.RECALLED)))
                .fetchOptional(
                        row -> new Recalled(row.value1(), "version " + row.value2(), row.value3(), row.value4()));
    }

    /** Why the version sent last was recalled; null where it was not. */
    private static Field<@Nullable String> recalled() {
        app.clearpane.store.schema.tables.Version later = VERSION.as("later");
        return field(select(ROUND.CLOSE_REASON)
                .from(ROUND)
                .join(VERSION)
                .on(VERSION.ID.eq(ROUND.VERSION_ID))
                .where(VERSION.DELIVERABLE_ID.eq(ITEM.ID), ROUND.OUTCOME.eq(Outcome.RECALLED))
                .andNotExists(selectOne()
                        .from(later)
                        .where(later.DELIVERABLE_ID.eq(VERSION.DELIVERABLE_ID), later.NUMBER.gt(VERSION.NUMBER)))
                .limit(1));
    }
}
