package app.clearpane.store.files.client;

import static app.clearpane.store.exposure.client.VisibleTo.visibleTo;
import static app.clearpane.store.schema.Tables.ITEM;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.files.FileRows;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;

/** The files a viewer sees. */
public final class VisibleFiles {
    private final DSLContext db;

    public VisibleFiles(DSLContext db) {
        this.db = db;
    }

    /** All of them, by folder and name. */
    public List<ProjectFile> all(Viewer viewer) {
        return FileRows.where(db, visibleTo(viewer, ContentKind.FILES));
    }

    /** One of them. */
    public Optional<ProjectFile> find(Viewer viewer, ItemId file) {
        return FileRows.where(db, visibleTo(viewer, ContentKind.FILES).and(ITEM.ID.eq(file))).stream()
                .findFirst();
    }
}
