package app.clearpane.store.files;

import static app.clearpane.store.schema.Tables.FILE;
import static app.clearpane.store.schema.Tables.FOLDER;
import static app.clearpane.store.schema.Tables.HOUSE_PICTURE;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.MARKUP_ATTACHMENT;
import static app.clearpane.store.schema.Tables.PAPER;
import static app.clearpane.store.schema.Tables.QUESTION_PICTURE;
import static app.clearpane.store.schema.Tables.RELEASE;
import static app.clearpane.store.schema.Tables.SHEET;
import static app.clearpane.store.schema.Tables.SUPPLIED;
import static app.clearpane.store.schema.Tables.TASK_FILE;
import static app.clearpane.store.schema.Tables.VERSION;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.supply.StillThere;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.Records;

/** The files and folders of a project, as the team sees them. */
public final class ProjectFiles {
    private final DSLContext db;

    public ProjectFiles(DSLContext db) {
        this.db = db;
    }

    /** A folder. */
    public record Folder(ItemId id, String name) {}

    /** All files that were not deleted. */
    public List<ProjectFile> ofProject(ProjectId project) {
        return FileRows.where(db, ITEM.PROJECT_ID.eq(project).and(ITEM.DELETED_AT.isNull()));
    }

    /** One file that was not deleted. */
    public Optional<ProjectFile> find(ItemId id) {
        return FileRows.where(db, ITEM.ID.eq(id).and(ITEM.DELETED_AT.isNull())).stream()
                .findFirst();
    }

    /** A file that was deleted. */
    public Optional<ProjectFile> findDeleted(ItemId id) {
        return FileRows.where(db, ITEM.ID.eq(id).and(ITEM.DELETED_AT.isNotNull())).stream()
                .findFirst();
    }

    /** The folders of a project, by name. */
    public List<Folder> folders(ProjectId project) {
        return db.select(ITEM.ID, ITEM.NAME)
                .from(FOLDER)
                .join(ITEM)
                .on(ITEM.ID.eq(FOLDER.ITEM_ID))
                .where(ITEM.PROJECT_ID.eq(project), ITEM.KIND.eq(ContentKind.FILES), ITEM.DELETED_AT.isNull())
                .orderBy(ITEM.NAME, ITEM.ID)
                .fetch(Records.mapping(Folder::new));
    }

    /** Makes an item of kind Files a folder. */
    public void addFolder(ItemId item) {
        db.insertInto(FOLDER).set(FOLDER.ITEM_ID, item).execute();
    }

    /** Gives an item of kind Files its content. */
    public void addFile(ItemId item, Vault.Stored stored, String mediaType, Actor addedBy) {
        db.insertInto(FILE)
                .set(FILE.ITEM_ID, item)
                .set(FILE.SHA256, stored.sha256())
                .set(FILE.MEDIA_TYPE, mediaType)
                .set(FILE.SIZE_BYTES, stored.size())
                .set(FILE.ADDED_BY, addedBy)
                .execute();
    }

    /** The digest of everything in the vault that anything names. */
    public Set<Sha256> named() {
        Set<Sha256> named = new HashSet<>();
        named.addAll(db.select(FILE.SHA256).from(FILE).fetchSet(FILE.SHA256));
        named.addAll(db.select(VERSION.SHA256).from(VERSION).fetchSet(VERSION.SHA256));
        named.addAll(db.select(SHEET.LARGE_SHA256).from(SHEET).fetchSet(SHEET.LARGE_SHA256));
        named.addAll(db.select(SHEET.SMALL_SHA256).from(SHEET).fetchSet(SHEET.SMALL_SHA256));
        named.addAll(db.select(RELEASE.BUNDLE_SHA256)
                .from(RELEASE)
                .where(RELEASE.BUNDLE_SHA256.isNotNull())
                .fetchSet(RELEASE.BUNDLE_SHA256));
        named.addAll(db.select(TASK_FILE.SHA256).from(TASK_FILE).fetchSet(TASK_FILE.SHA256));
        named.addAll(db.select(MARKUP_ATTACHMENT.SHA256).from(MARKUP_ATTACHMENT).fetchSet(MARKUP_ATTACHMENT.SHA256));
        named.addAll(db.select(HOUSE_PICTURE.SHA256).from(HOUSE_PICTURE).fetchSet(HOUSE_PICTURE.SHA256));
        named.addAll(db.select(PAPER.SHA256).from(PAPER).fetchSet(PAPER.SHA256));
        named.addAll(db.select(QUESTION_PICTURE.SHA256).from(QUESTION_PICTURE).fetchSet(QUESTION_PICTURE.SHA256));
        named.addAll(
                db.select(SUPPLIED.SHA256).from(SUPPLIED).where(StillThere.is()).fetchSet(SUPPLIED.SHA256));
        return named;
    }
}
