package app.clearpane.store.exposure;

import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.ITEM_VIEW;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.util.List;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Who saw what and when: the holders of seats only, never one of the team who looks through. */
public final class ItemViews {
    private final DSLContext db;

    public ItemViews(DSLContext db) {
        this.db = db;
    }

    /**
     * What one seat saw of one item.
     *
     * @param firstSeen when it first stood on a page of theirs
     * @param opened when they last opened it; null if they never did
     * @param downloads how often they took a copy
     */
    public record Viewing(
            ItemId item,
            SeatId seat,
            Instant firstSeen,
            Instant lastSeen,
            @Nullable Instant opened,
            int downloads,
            @Nullable Instant downloaded) {}

    /** All that was seen of a project. */
    public List<Viewing> ofProject(ProjectId project) {
        return fetch(ITEM_VIEW.ITEM_ID.in(DSL.select(ITEM.ID).from(ITEM).where(ITEM.PROJECT_ID.eq(project))));
    }

    /** All that was seen of an item. */
    public List<Viewing> ofItem(ItemId item) {
        return fetch(ITEM_VIEW.ITEM_ID.eq(item));
    }

    private List<Viewing> fetch(Condition condition) {
        return db.select(
                        ITEM_VIEW.ITEM_ID,
                        ITEM_VIEW.SEAT_ID,
                        ITEM_VIEW.FIRST_SEEN_AT,
                        ITEM_VIEW.LAST_SEEN_AT,
                        ITEM_VIEW.OPENED_AT,
                        ITEM_VIEW.DOWNLOADS,
                        ITEM_VIEW.DOWNLOADED_AT)
                .from(ITEM_VIEW)
                .where(condition)
                .orderBy(ITEM_VIEW.LAST_SEEN_AT.desc(), ITEM_VIEW.ITEM_ID, ITEM_VIEW.SEAT_ID)
                .fetch(Records.mapping(Viewing::new));
    }
}
