package app.clearpane.store.project.client;

import static app.clearpane.store.exposure.client.VisibleTo.visibleThrough;
import static app.clearpane.store.exposure.client.VisibleTo.visibleTo;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.MILESTONE;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.SLIP_ACCOUNT;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record6;

/** Dates, as far as a viewer sees them. */
public final class VisibleDates {
    private final DSLContext db;

    public VisibleDates(DSLContext db) {
        this.db = db;
    }

    /**
     * What a viewer sees of this kind.
     *
     * @param milestones by day
     * @param account of where the days went; empty if they do not see it
     * @param changed when the day of a milestone, or whether it is reached, was last changed; not there if never
     */
    public record Dates(List<Milestone> milestones, Optional<ItemId> account, Map<ItemId, Instant> changed) {}

    /** All of it, in one statement. */
    public Dates all(Viewer viewer) {
        List<Milestone> milestones = new ArrayList<>();
        List<ItemId> accounts = new ArrayList<>();
        Map<ItemId, Instant> changed = new HashMap<>();
        db.select(
                        ITEM.ID,
                        ITEM.NAME,
                        MILESTONE.FALLS_ON,
                        MILESTONE.REACHED,
                        MILESTONE.REVISION,
                        SLIP_ACCOUNT.ITEM_ID,
                        ITEM.CHANGED_AT)
                .from(ITEM)
                .leftJoin(MILESTONE)
                .on(MILESTONE.ITEM_ID.eq(ITEM.ID))
                .leftJoin(SLIP_ACCOUNT)
                .on(SLIP_ACCOUNT.ITEM_ID.eq(ITEM.ID))
                .where(visibleTo(viewer, ContentKind.DATES))
                .orderBy(MILESTONE.FALLS_ON, ITEM.NAME, ITEM.ID)
                .forEach(row -> {
                    if (row.value3() != null) {
                        milestones.add(
                                new Milestone(row.value1(), row.value2(), row.value3(), row.value4(), row.value5()));
                        Optional.ofNullable(row.value7()).ifPresent(at -> changed.put(row.value1(), at));
                    }
                    Optional.ofNullable(row.value6()).ifPresent(accounts::add);
                });
        return new Dates(milestones, accounts.stream().findFirst(), changed);
    }

    /** The milestones of all panes of one contact that are not reached, by day. */
    public Map<PaneId, List<Milestone>> everywhere(AllPanes all) {
        return db.select(PANE.ID, ITEM.ID, ITEM.NAME, MILESTONE.FALLS_ON, MILESTONE.REACHED, MILESTONE.REVISION)
                .from(MILESTONE)
                .join(ITEM)
                .on(ITEM.ID.eq(MILESTONE.ITEM_ID))
                .join(PANE)
                .on(PANE.PROJECT_ID.eq(ITEM.PROJECT_ID))
                .where(MILESTONE.REACHED.isFalse(), visibleThrough(all, ContentKind.DATES))
                .orderBy(MILESTONE.FALLS_ON, ITEM.NAME, ITEM.ID)
                .fetchGroups(
                        Record6::value1,
                        row -> new Milestone(row.value2(), row.value3(), row.value4(), row.value5(), row.value6()));
    }

    /** The milestones, by day. */
    public List<Milestone> milestones(Viewer viewer) {
        return all(viewer).milestones();
    }

    /** The account of where the days went, if the viewer sees it. */
    public Optional<ItemId> account(Viewer viewer) {
        return all(viewer).account();
    }
}
