package app.clearpane.store.exposure.client;

import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.SeatWish;
import app.clearpane.store.exposure.SeatWishes;
import java.util.List;
import org.jooq.DSLContext;

/** Whom a lead voice wished to have at their pane; nobody else reads of it. */
public final class VisibleWishes {
    private final DSLContext db;

    public VisibleWishes(DSLContext db) {
        this.db = db;
    }

    /** All of them, latest first; none for whoever does not speak for the others. */
    public List<SeatWish> ofViewer(Viewer viewer) {
        return viewer.leadVoice() ? SeatWishes.at(db, viewer.pane()) : List.of();
    }
}
