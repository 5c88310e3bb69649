package app.clearpane.store.files;

import static app.clearpane.store.schema.Tables.CLIENT_LOGO;
import static app.clearpane.store.schema.Tables.DRAWING;
import static app.clearpane.store.schema.Tables.FILE;
import static app.clearpane.store.schema.Tables.FILE_VERSION;
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
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Folder;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.Stale;
import app.clearpane.store.supply.StillThere;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jooq.impl.DSL;

/** The files and folders of a project, as the team sees them. */
public final class ProjectFiles {
    private final DSLContext db;

    public ProjectFiles(DSLContext db) {
        this.db = db;
    }

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
        return db.select(ITEM.ID, ITEM.NAME, ITEM.PARENT_ID, FOLDER.WORDS, FOLDER.PANE_ID)
                .from(FOLDER)
                .join(ITEM)
                .on(ITEM.ID.eq(FOLDER.ITEM_ID))
                .where(ITEM.PROJECT_ID.eq(project), ITEM.KIND.eq(ContentKind.FILES), ITEM.DELETED_AT.isNull())
                .orderBy(ITEM.NAME, ITEM.ID)
                .fetch(row -> new Folder(
                        row.value1(),
                        row.value2(),
                        Optional.ofNullable(row.value3()),
                        row.value4(),
                        Optional.ofNullable(row.value5())));
    }

    /** Makes an item of kind Files a folder. @param words what belongs in it */
    public void addFolder(ItemId item, String words) {
        db.insertInto(FOLDER).set(FOLDER.ITEM_ID, item).set(FOLDER.WORDS, words).execute();
    }

    /** Makes an item of kind Files a folder of the people of a pane. */
    public void addFolderOf(PaneId pane, ItemId item) {
        db.insertInto(FOLDER)
                .set(FOLDER.ITEM_ID, item)
                .set(FOLDER.WORDS, "")
                .set(FOLDER.PANE_ID, pane)
                .execute();
    }

    /** Those whose content was put to use in their project: beside a task, as a version, or changed since. */
    public Set<ItemId> used(ProjectId project, Collection<ProjectFile> some) {
        List<Sha256> contents = some.stream().map(ProjectFile::sha256).toList();
        Set<Sha256> named = new HashSet<>(db.select(TASK_FILE.SHA256)
                .from(TASK_FILE)
                .join(ITEM)
                .on(ITEM.ID.eq(TASK_FILE.ITEM_ID))
                .where(TASK_FILE.SHA256.in(contents), ITEM.PROJECT_ID.eq(project))
                .union(db.select(VERSION.SHA256)
                        .from(VERSION)
                        .join(ITEM)
                        .on(ITEM.ID.eq(VERSION.DELIVERABLE_ID))
                        .where(VERSION.SHA256.in(contents), ITEM.PROJECT_ID.eq(project)))
                .fetchSet(TASK_FILE.SHA256));
        Set<ItemId> changed = db.select(FILE_VERSION.ITEM_ID)
                .from(FILE_VERSION)
                .where(FILE_VERSION.ITEM_ID.in(
                        some.stream().map(ProjectFile::id).toList()))
                .fetchSet(FILE_VERSION.ITEM_ID);
        return some.stream()
                .filter(file -> named.contains(file.sha256()) || changed.contains(file.id()))
                .map(ProjectFile::id)
                .collect(Collectors.toSet());
    }

    /** Says what belongs in a folder. */
    public void describeFolder(ItemId item, String words) {
        db.update(FOLDER)
                .set(FOLDER.WORDS, words)
                .where(FOLDER.ITEM_ID.eq(item))
                .execute();
    }

    /** The project of a folder that was not deleted. */
    public Optional<ProjectId> projectOfFolder(ItemId folder) {
        return db.select(ITEM.PROJECT_ID)
                .from(FOLDER)
                .join(ITEM)
                .on(ITEM.ID.eq(FOLDER.ITEM_ID))
                .where(FOLDER.ITEM_ID.eq(folder), ITEM.DELETED_AT.isNull())
                .fetchOptional(ITEM.PROJECT_ID);
    }

    /**
     * What stood in a file's place before.
     *
     * @param number counted from 1, the oldest
     */
    public record Earlier(int number, Sha256 sha256, String mediaType, long size, Actor addedBy, Instant addedAt) {}

    /** What stood in a file's place before, the newest first. */
    public List<Earlier> earlier(ItemId file) {
        return db.select(
                        FILE_VERSION.NUMBER,
                        FILE_VERSION.SHA256,
                        FILE_VERSION.MEDIA_TYPE,
                        FILE_VERSION.SIZE_BYTES,
                        FILE_VERSION.ADDED_BY,
                        FILE_VERSION.ADDED_AT)
                .from(FILE_VERSION)
                .where(FILE_VERSION.ITEM_ID.eq(file))
                .orderBy(FILE_VERSION.NUMBER.desc())
                .fetch(Records.mapping(Earlier::new));
    }

    /** Puts new content into a file's place; what stood there is kept. @param now that stands there */
    public void replace(ProjectFile now, Vault.Stored stored, String mediaType, Actor by, Instant at) {
        db.insertInto(FILE_VERSION)
                .set(FILE_VERSION.ITEM_ID, now.id())
                .set(
                        FILE_VERSION.NUMBER,
                        DSL.field(DSL.select(DSL.count().plus(1))
                                .from(FILE_VERSION)
                                .where(FILE_VERSION.ITEM_ID.eq(now.id()))))
                .set(FILE_VERSION.SHA256, now.sha256())
                .set(FILE_VERSION.MEDIA_TYPE, now.mediaType())
                .set(FILE_VERSION.SIZE_BYTES, now.size())
                .set(FILE_VERSION.ADDED_BY, now.addedBy())
                .set(FILE_VERSION.ADDED_AT, now.addedAt())
                .execute();
        Stale.unlessOne(
                db.update(FILE)
                        .set(FILE.SHA256, stored.sha256())
                        .set(FILE.MEDIA_TYPE, mediaType)
                        .set(FILE.SIZE_BYTES, stored.size())
                        .set(FILE.ADDED_BY, by)
                        .set(FILE.REPLACED_AT, at)
                        .where(FILE.ITEM_ID.eq(now.id()), FILE.SHA256.eq(now.sha256()))
                        .execute(),
                "The file");
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

    /**
     * Lets go of the content of files that were deleted before an instant, of what stood in their place before, and of
     * the pictures of both.
     *
     * @return how many files
     */
    public int letGo(Instant deletedBefore) {
        List<ItemId> gone = db.select(ITEM.ID)
                .from(ITEM)
                .join(FILE)
                .on(FILE.ITEM_ID.eq(ITEM.ID))
                .where(ITEM.KIND.eq(ContentKind.FILES), ITEM.DELETED_AT.lt(deletedBefore))
                .fetch(ITEM.ID);
        if (gone.isEmpty()) {
            return 0;
        }
        Set<Sha256> contents = new HashSet<>();
        contents.addAll(
                db.select(FILE.SHA256).from(FILE).where(FILE.ITEM_ID.in(gone)).fetchSet(FILE.SHA256));
        contents.addAll(db.select(FILE_VERSION.SHA256)
                .from(FILE_VERSION)
                .where(FILE_VERSION.ITEM_ID.in(gone))
                .fetchSet(FILE_VERSION.SHA256));
        db.deleteFrom(FILE_VERSION).where(FILE_VERSION.ITEM_ID.in(gone)).execute();
        db.deleteFrom(FILE).where(FILE.ITEM_ID.in(gone)).execute();
        db.deleteFrom(HOUSE_PICTURE)
                .where(HOUSE_PICTURE.SUBJECT_ID.in(
                        gone.stream().map(ItemId::value).toList()))
                .execute();
        contents.removeAll(named());
        db.deleteFrom(SHEET).where(SHEET.SOURCE_SHA256.in(contents)).execute();
        db.deleteFrom(DRAWING).where(DRAWING.SOURCE_SHA256.in(contents)).execute();
        return gone.size();
    }

    /** The digest of everything in the vault that anything names. */
    public Set<Sha256> named() {
        Set<Sha256> named = new HashSet<>();
        named.addAll(db.select(FILE.SHA256).from(FILE).fetchSet(FILE.SHA256));
        named.addAll(db.select(FILE_VERSION.SHA256).from(FILE_VERSION).fetchSet(FILE_VERSION.SHA256));
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
        named.addAll(db.select(CLIENT_LOGO.SHA256).from(CLIENT_LOGO).fetchSet(CLIENT_LOGO.SHA256));
        named.addAll(db.select(PAPER.SHA256).from(PAPER).fetchSet(PAPER.SHA256));
        named.addAll(db.select(QUESTION_PICTURE.SHA256).from(QUESTION_PICTURE).fetchSet(QUESTION_PICTURE.SHA256));
        named.addAll(
                db.select(SUPPLIED.SHA256).from(SUPPLIED).where(StillThere.is()).fetchSet(SUPPLIED.SHA256));
        return named;
    }
}
