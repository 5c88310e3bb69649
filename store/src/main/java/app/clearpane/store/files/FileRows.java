package app.clearpane.store.files;

import static app.clearpane.store.schema.Tables.FILE;
import static app.clearpane.store.schema.Tables.ITEM;

import app.clearpane.core.files.ProjectFile;
import app.clearpane.store.schema.tables.Item;
import java.util.List;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jooq.impl.DSL;

/** How files are read, on either side of the glass. */
public final class FileRows {
    private static final Item FOLDER = ITEM.as("in_folder");

    private FileRows() {}

    /** The files that meet a condition on {@code item}, by folder and name. */
    public static List<ProjectFile> where(DSLContext db, Condition condition) {
        return db.select(
                        ITEM.ID,
                        ITEM.NAME,
                        FOLDER.ID,
                        FOLDER.NAME,
                        FILE.SHA256,
                        FILE.MEDIA_TYPE,
                        FILE.SIZE_BYTES,
                        FILE.ADDED_BY,
                        DSL.coalesce(FILE.REPLACED_AT, ITEM.CREATED_AT))
                .from(ITEM)
                .join(FILE)
                .on(FILE.ITEM_ID.eq(ITEM.ID))
                .leftJoin(FOLDER)
                .on(FOLDER.ID.eq(ITEM.PARENT_ID))
                .where(condition)
                .orderBy(FOLDER.NAME, ITEM.NAME, ITEM.ID)
                .fetch(Records.mapping(ProjectFile::new));
    }
}
