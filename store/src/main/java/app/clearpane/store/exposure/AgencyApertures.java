package app.clearpane.store.exposure;

import static app.clearpane.store.schema.Tables.AGENCY_APERTURE;
import static app.clearpane.store.schema.Tables.AGENCY_FILTER;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.PANE_APERTURE;
import static app.clearpane.store.schema.Tables.PROJECT;

import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.Ceilings;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.StartingPoint;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jooq.TableField;
import org.jooq.impl.DSL;

/** What an owner sets for all panes: the ceilings and the starting point. */
public final class AgencyApertures {
    private final DSLContext db;

    public AgencyApertures(DSLContext db) {
        this.db = db;
    }

    /** The ceilings, and what panes follow that have nothing of their own. */
    public record Both(Ceilings ceilings, StartingPoint startingPoint) {
        boolean filtered() {
            return ceilings.apertures().containsValue(Aperture.FILTERED)
                    || startingPoint.apertures().containsValue(Aperture.FILTERED);
        }

        Both with(FilterRows filters) {
            return new Both(
                    new Ceilings(ceilings.apertures(), filters.ceilings()),
                    new StartingPoint(startingPoint.apertures(), filters.startingPoint()));
        }
    }

    /** The ceilings and the starting point of this moment. */
    public Both both() {
        Both apertures = withoutFilters();
        return apertures.filtered() ? apertures.with(FilterRows.where(db, DSL.falseCondition())) : apertures;
    }

    /** The same without their filters. */
    private Both withoutFilters() {
        Map<ContentKind, Aperture> ceilings = new EnumMap<>(ContentKind.class);
        Map<ContentKind, Aperture> start = new EnumMap<>(ContentKind.class);
        db.select(AGENCY_APERTURE.KIND, AGENCY_APERTURE.CEILING, AGENCY_APERTURE.STARTING_POINT)
                .from(AGENCY_APERTURE)
                .forEach(row -> {
                    ceilings.put(row.value1(), row.value2());
                    start.put(row.value1(), row.value3());
                });
        return new Both(new Ceilings(ceilings), new StartingPoint(start));
    }

    /** Names the folders that pass a Filtered ceiling. */
    public void setCeilingFolders(ContentKind kind, Set<String> folders) {
        setFolders(AGENCY_FILTER.CEILING, kind, folders);
    }

    /** Names the folders that pass a Filtered starting point. */
    public void setStartingFolders(ContentKind kind, Set<String> folders) {
        setFolders(AGENCY_FILTER.STARTING_POINT, kind, folders);
    }

    private void setFolders(TableField<?, Boolean> column, ContentKind kind, Set<String> folders) {
        folders.forEach(folder -> db.insertInto(AGENCY_FILTER)
                .set(AGENCY_FILTER.KIND, kind)
                .set(AGENCY_FILTER.NAMED, folder)
                .set(AGENCY_FILTER.CEILING, false)
                .set(AGENCY_FILTER.STARTING_POINT, false)
                .onConflictDoNothing()
                .execute());
        db.update(AGENCY_FILTER)
                .set(column, DSL.field(AGENCY_FILTER.NAMED.in(folders)))
                .where(AGENCY_FILTER.KIND.eq(kind))
                .execute();
    }

    /** What panes follow that have nothing of their own. */
    public StartingPoint startingPoint() {
        return both().startingPoint();
    }

    /** Sets the ceiling of a kind, at once. */
    public void setCeiling(ContentKind kind, Aperture aperture, Actor by, Instant now) {
        set(AGENCY_APERTURE.CEILING, kind, aperture, by, now);
    }

    /** Sets what following panes let through of a kind, at once. */
    public void setStartingPoint(ContentKind kind, Aperture aperture, Actor by, Instant now) {
        set(AGENCY_APERTURE.STARTING_POINT, kind, aperture, by, now);
    }

    private void set(TableField<?, Aperture> column, ContentKind kind, Aperture aperture, Actor by, Instant now) {
        db.insertInto(AGENCY_APERTURE)
                .set(AGENCY_APERTURE.KIND, kind)
                .set(AGENCY_APERTURE.CEILING, Aperture.OPEN)
                .set(AGENCY_APERTURE.STARTING_POINT, Aperture.CLOSED)
                .set(AGENCY_APERTURE.SET_BY, by)
                .set(AGENCY_APERTURE.SET_AT, now)
                .onConflictDoNothing()
                .execute();
        db.update(AGENCY_APERTURE)
                .set(column, aperture)
                .set(AGENCY_APERTURE.SET_BY, by)
                .set(AGENCY_APERTURE.SET_AT, now)
                .where(AGENCY_APERTURE.KIND.eq(kind))
                .execute();
    }

    /** How many published panes of projects that are worked on are set so for a kind, or follow the starting point. */
    public record InUse(ContentKind kind, Aperture aperture, boolean follows, int panes) {}

    /** What panes are set to. */
    public List<InUse> inUse() {
        return db.select(PANE_APERTURE.KIND, PANE_APERTURE.PUBLISHED, PANE.FOLLOWS, DSL.count())
                .from(PANE_APERTURE)
                .join(PANE)
                .on(PANE.ID.eq(PANE_APERTURE.PANE_ID))
                .join(PROJECT)
                .on(PROJECT.ID.eq(PANE.PROJECT_ID))
                .where(PROJECT.ARCHIVED_AT.isNull(), PANE.PUBLISHED_AT.isNotNull())
                .groupBy(PANE_APERTURE.KIND, PANE_APERTURE.PUBLISHED, PANE.FOLLOWS)
                .fetch(Records.mapping(InUse::new));
    }
}
