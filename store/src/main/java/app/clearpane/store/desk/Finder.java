package app.clearpane.store.desk;

import static app.clearpane.store.schema.Tables.CLIENT;
import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.PROJECT;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import java.util.List;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.Records;

/** Finds things by a part of their name, for the team. Case does not count. */
public final class Finder {
    private final DSLContext db;

    public Finder(DSLContext db) {
        this.db = db;
    }

    /** A project that was found. */
    public record FoundProject(ProjectId id, String client, String name) {}

    /** An item that was found: a deliverable, a file or folder, a milestone. */
    public record FoundItem(
            ItemId id, ContentKind kind, String name, ProjectId project, String client, String projectName) {}

    /** Somebody who was found. */
    public record FoundContact(String name, String email, String client) {}

    /**
     * Projects whose name or client has these words in it, at most so many. @param hidden those that are not there for
     * whoever looks
     */
    public List<FoundProject> projects(String words, Set<ProjectId> hidden, int atMost) {
        return db.select(PROJECT.ID, CLIENT.NAME, PROJECT.NAME)
                .from(PROJECT)
                .join(CLIENT)
                .on(CLIENT.ID.eq(PROJECT.CLIENT_ID))
                .where(
                        PROJECT.NAME.containsIgnoreCase(words).or(CLIENT.NAME.containsIgnoreCase(words)),
                        PROJECT.ID.notIn(hidden))
                .orderBy(CLIENT.NAME, PROJECT.NAME, PROJECT.ID)
                .limit(atMost)
                .fetch(Records.mapping(FoundProject::new));
    }

    /**
     * Items whose name has these words in it, at most so many. @param hidden the projects that are not there for
     * whoever looks
     */
    public List<FoundItem> items(String words, Set<ProjectId> hidden, int atMost) {
        return db.select(ITEM.ID, ITEM.KIND, ITEM.NAME, PROJECT.ID, CLIENT.NAME, PROJECT.NAME)
                .from(ITEM)
                .join(PROJECT)
                .on(PROJECT.ID.eq(ITEM.PROJECT_ID))
                .join(CLIENT)
                .on(CLIENT.ID.eq(PROJECT.CLIENT_ID))
                .where(ITEM.NAME.containsIgnoreCase(words), ITEM.DELETED_AT.isNull(), ITEM.PROJECT_ID.notIn(hidden))
                .orderBy(ITEM.KIND, ITEM.NAME, ITEM.ID)
                .limit(atMost)
                .fetch(Records.mapping(FoundItem::new));
    }

    /** Contacts whose name or address has these words in it, at most so many. */
    public List<FoundContact> contacts(String words, int atMost) {
        return db.select(CONTACT.NAME, CONTACT.EMAIL.cast(String.class), CLIENT.NAME)
                .from(CONTACT)
                .join(CLIENT)
                .on(CLIENT.ID.eq(CONTACT.CLIENT_ID))
                .where(CONTACT.NAME
                        .containsIgnoreCase(words)
                        .or(CONTACT.EMAIL.cast(String.class).containsIgnoreCase(words)))
                .orderBy(CONTACT.NAME, CONTACT.ID)
                .limit(atMost)
                .fetch(Records.mapping(FoundContact::new));
    }
}
