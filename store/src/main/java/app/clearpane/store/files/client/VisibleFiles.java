package app.clearpane.store.files.client;

import static app.clearpane.store.exposure.client.VisibleTo.visibleThrough;
import static app.clearpane.store.exposure.client.VisibleTo.visibleTo;
import static app.clearpane.store.schema.Tables.FILE;
import static app.clearpane.store.schema.Tables.FOLDER;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.PANE;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Folder;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.files.FileRows;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

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

    /** How many there are at each pane of one contact that has any. */
    public Map<PaneId, Integer> count(AllPanes all) {
        return db.select(PANE.ID, DSL.count())
                .from(ITEM)
                .join(PANE)
                .on(PANE.PROJECT_ID.eq(ITEM.PROJECT_ID))
                .where(visibleThrough(all, ContentKind.FILES))
                .andExists(DSL.selectOne().from(FILE).where(FILE.ITEM_ID.eq(ITEM.ID)))
                .groupBy(PANE.ID)
                .fetchMap(PANE.ID, DSL.count());
    }

    /** The folders that the people of their pane made, by name. */
    public List<Folder> ownFolders(Viewer viewer) {
        return db.select(ITEM.ID, ITEM.NAME)
                .from(FOLDER)
                .join(ITEM)
                .on(ITEM.ID.eq(FOLDER.ITEM_ID))
                .where(FOLDER.PANE_ID.eq(viewer.pane()), visibleTo(viewer, ContentKind.FILES))
                .orderBy(ITEM.NAME, ITEM.ID)
                .fetch(row -> new Folder(row.value1(), row.value2(), Optional.empty(), "", Optional.of(viewer.pane())));
    }

    /** One of them. */
    public Optional<ProjectFile> find(Viewer viewer, ItemId file) {
        return FileRows.where(db, visibleTo(viewer, ContentKind.FILES).and(ITEM.ID.eq(file))).stream()
                .findFirst();
    }
}
