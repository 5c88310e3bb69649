package app.clearpane.store.deliverable;

import static app.clearpane.store.schema.Tables.DRAWING;
import static app.clearpane.store.schema.Tables.FILE;
import static app.clearpane.store.schema.Tables.FILE_VERSION;
import static app.clearpane.store.schema.Tables.GIVEN_UP;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.REQUEST;
import static app.clearpane.store.schema.Tables.SHEET;
import static app.clearpane.store.schema.Tables.SUPPLIED;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.field;
import static org.jooq.impl.DSL.selectCount;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.supply.StillThere;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;

/** The pages of files as pictures, known by the file's content, so that the same file is drawn once. */
public final class Drawings {
    private final DSLContext db;

    public Drawings(DSLContext db) {
        this.db = db;
    }

    /** How far the drawing of a file is. */
    public enum State {
        WAITING,
        DONE,
        FAILED;

        public boolean isWaiting() {
            return this == WAITING;
        }
    }

    /**
     * The drawing of a file.
     *
     * @param pages how many pages the file has
     * @param failure why it could not be drawn; null unless it failed
     * @param drawn how many pages there are so far
     */
    public record Drawing(
            Sha256 source,
            String mediaType,
            int pages,
            State state,
            @Nullable String failure,
            int drawn) {}

    /**
     * One page as a picture, large and small.
     *
     * @param page from 1
     * @param size the upright page's
     * @param mediaType of both pictures
     */
    public record Sheet(Sha256 source, int page, PageSize size, Sha256 large, Sha256 small, String mediaType) {}

    /** Notes that a file is to be drawn. @return false if it is drawn already, or cannot be */
    public boolean begin(Sha256 source, String mediaType, int pages) {
        db.insertInto(DRAWING)
                .set(DRAWING.SOURCE_SHA256, source)
                .set(DRAWING.MEDIA_TYPE, mediaType)
                .set(DRAWING.PAGES, pages)
                .set(DRAWING.STATE, State.WAITING.name())
                .onConflictDoNothing()
                .execute();
        return db.fetchExists(DRAWING, DRAWING.SOURCE_SHA256.eq(source), DRAWING.STATE.eq(State.WAITING.name()));
    }

    /** Whether anybody could look at a file: it belongs to something that was not deleted, now or before. */
    public boolean wanted(Sha256 source) {
        return db.fetchExists(db.selectOne()
                        .from(VERSION)
                        .join(ITEM)
                        .on(ITEM.ID.eq(VERSION.DELIVERABLE_ID))
                        .where(VERSION.SHA256.eq(source), ITEM.DELETED_AT.isNull()))
                || db.fetchExists(db.selectOne()
                        .from(FILE)
                        .join(ITEM)
                        .on(ITEM.ID.eq(FILE.ITEM_ID))
                        .where(FILE.SHA256.eq(source), ITEM.DELETED_AT.isNull()))
                || db.fetchExists(db.selectOne()
                        .from(FILE_VERSION)
                        .join(ITEM)
                        .on(ITEM.ID.eq(FILE_VERSION.ITEM_ID))
                        .where(FILE_VERSION.SHA256.eq(source), ITEM.DELETED_AT.isNull()))
                || db.fetchExists(SUPPLIED, SUPPLIED.SHA256.eq(source), StillThere.is());
    }

    /** The files of a project that are not drawn to the end yet and are wanted. */
    public List<Sha256> waiting(ProjectId project) {
        return db.select(DRAWING.SOURCE_SHA256)
                .from(DRAWING)
                .where(
                        DRAWING.STATE.eq(State.WAITING.name()),
                        DRAWING.SOURCE_SHA256.in(db.select(VERSION.SHA256)
                                .from(VERSION)
                                .join(ITEM)
                                .on(ITEM.ID.eq(VERSION.DELIVERABLE_ID))
                                .where(ITEM.PROJECT_ID.eq(project), ITEM.DELETED_AT.isNull())
                                .union(db.select(FILE.SHA256)
                                        .from(FILE)
                                        .join(ITEM)
                                        .on(ITEM.ID.eq(FILE.ITEM_ID))
                                        .where(ITEM.PROJECT_ID.eq(project), ITEM.DELETED_AT.isNull()))
                                .union(db.select(FILE_VERSION.SHA256)
                                        .from(FILE_VERSION)
                                        .join(ITEM)
                                        .on(ITEM.ID.eq(FILE_VERSION.ITEM_ID))
                                        .where(ITEM.PROJECT_ID.eq(project), ITEM.DELETED_AT.isNull()))
                                .union(db.select(SUPPLIED.SHA256)
                                        .from(SUPPLIED)
                                        .join(REQUEST)
                                        .on(REQUEST.ID.eq(SUPPLIED.REQUEST_ID))
                                        .where(REQUEST.PROJECT_ID.eq(project), StillThere.is()))))
                .orderBy(DRAWING.SOURCE_SHA256)
                .fetch(DRAWING.SOURCE_SHA256);
    }

    /** What is wanted, not drawn to the end and not given up, in all projects. @param job the queue that draws */
    public List<Sha256> left(String job) {
        return db
                .select(DRAWING.SOURCE_SHA256)
                .from(DRAWING)
                .where(
                        DRAWING.STATE.eq(State.WAITING.name()),
                        DRAWING.SOURCE_SHA256
                                .cast(String.class)
                                .notIn(db.select(GIVEN_UP.ABOUT).from(GIVEN_UP).where(GIVEN_UP.JOB.eq(job))))
                .orderBy(DRAWING.SOURCE_SHA256)
                .fetch(DRAWING.SOURCE_SHA256)
                .stream()
                .filter(this::wanted)
                .toList();
    }

    /** The drawing of a file. */
    public Optional<Drawing> find(Sha256 source) {
        return db.select(
                        DRAWING.SOURCE_SHA256,
                        DRAWING.MEDIA_TYPE,
                        DRAWING.PAGES,
                        DRAWING.STATE,
                        DRAWING.FAILURE,
                        field(selectCount().from(SHEET).where(SHEET.SOURCE_SHA256.eq(DRAWING.SOURCE_SHA256))))
                .from(DRAWING)
                .where(DRAWING.SOURCE_SHA256.eq(source))
                .fetchOptional(row -> new Drawing(
                        row.value1(),
                        row.value2(),
                        row.value3(),
                        State.valueOf(row.value4()),
                        row.value5(),
                        row.value6()));
    }

    /** Keeps a page; drawing it twice changes nothing. */
    public void add(Sheet sheet) {
        db.insertInto(SHEET)
                .set(SHEET.SOURCE_SHA256, sheet.source())
                .set(SHEET.PAGE, sheet.page())
                .set(SHEET.WIDTH, sheet.size().width())
                .set(SHEET.HEIGHT, sheet.size().height())
                .set(SHEET.LARGE_SHA256, sheet.large())
                .set(SHEET.SMALL_SHA256, sheet.small())
                .set(SHEET.MEDIA_TYPE, sheet.mediaType())
                .onConflictDoNothing()
                .execute();
    }

    /** Notes that all pages are there. */
    public void done(Sha256 source) {
        db.update(DRAWING)
                .set(DRAWING.STATE, State.DONE.name())
                .where(DRAWING.SOURCE_SHA256.eq(source))
                .execute();
    }

    /** Notes that it cannot be drawn, and why. */
    public void failed(Sha256 source, String why) {
        db.update(DRAWING)
                .set(DRAWING.STATE, State.FAILED.name())
                .set(DRAWING.FAILURE, why)
                .where(DRAWING.SOURCE_SHA256.eq(source))
                .execute();
    }

    /** The first pages there are so far, in order. */
    public List<Sheet> sheets(Sha256 source, int limit) {
        return db.select(SHEET.fields())
                .from(SHEET)
                .where(SHEET.SOURCE_SHA256.eq(source))
                .orderBy(SHEET.PAGE)
                .limit(limit)
                .fetch(Drawings::sheet);
    }

    /** One page. */
    public Optional<Sheet> sheet(Sha256 source, int page) {
        return db.select(SHEET.fields())
                .from(SHEET)
                .where(SHEET.SOURCE_SHA256.eq(source), SHEET.PAGE.eq(page))
                .fetchOptional(Drawings::sheet);
    }

    /** The first page of each of these files. */
    public Map<Sha256, Sheet> firstSheets(Collection<Sha256> sources) {
        Map<Sha256, Sheet> first = new HashMap<>();
        db.select(SHEET.fields())
                .from(SHEET)
                .where(SHEET.SOURCE_SHA256.in(sources), SHEET.PAGE.eq(1))
                .forEach(row -> first.put(row.get(SHEET.SOURCE_SHA256), sheet(row)));
        return first;
    }

    private static Sheet sheet(Record row) {
        return new Sheet(
                row.get(SHEET.SOURCE_SHA256),
                row.get(SHEET.PAGE),
                new PageSize(row.get(SHEET.WIDTH), row.get(SHEET.HEIGHT)),
                row.get(SHEET.LARGE_SHA256),
                row.get(SHEET.SMALL_SHA256),
                row.get(SHEET.MEDIA_TYPE));
    }
}
