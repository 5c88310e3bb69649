package app.clearpane.store.project;

import static app.clearpane.store.schema.Tables.IMPORTED_TABLE;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.LINK_SEAT;
import static app.clearpane.store.schema.Tables.MARKUP;
import static app.clearpane.store.schema.Tables.MARKUP_ATTACHMENT;
import static app.clearpane.store.schema.Tables.NOTE;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.PAPER;
import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.PROJECT_SAID;
import static app.clearpane.store.schema.Tables.RELEASE;
import static app.clearpane.store.schema.Tables.REQUEST;
import static app.clearpane.store.schema.Tables.REQUEST_PART;
import static app.clearpane.store.schema.Tables.SEAT;
import static app.clearpane.store.schema.Tables.SEAT_WISH;
import static app.clearpane.store.schema.Tables.STAND_IN;
import static app.clearpane.store.schema.Tables.SUPPLIED;
import static app.clearpane.store.schema.Tables.VERSION;

import app.clearpane.core.project.ProjectId;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record1;
import org.jooq.Select;
import org.jooq.impl.DSL;
import org.jooq.impl.SQLDataType;

/** The project that something belongs to, by what stands for it in an address. */
public final class WhoseProject {
    private static final Map<String, Function<UUID, Select<Record1<ProjectId>>>> OF = Map.ofEntries(
            Map.entry("project", id -> DSL.select(PROJECT.ID)
                    .from(PROJECT)
                    .where(uuid(PROJECT.ID).eq(id))),
            Map.entry("subject", id -> DSL.select(PROJECT.ID)
                    .from(PROJECT)
                    .where(uuid(PROJECT.ID).eq(id))),
            Map.entry("item", WhoseProject::ofItem),
            Map.entry("task", WhoseProject::ofItem),
            Map.entry("deliverable", WhoseProject::ofItem),
            Map.entry("concern", WhoseProject::ofItem),
            Map.entry("file", WhoseProject::ofItem),
            Map.entry("folder", WhoseProject::ofItem),
            Map.entry("milestone", WhoseProject::ofItem),
            Map.entry("version", id -> DSL.select(ITEM.PROJECT_ID)
                    .from(VERSION)
                    .join(ITEM)
                    .on(ITEM.ID.eq(VERSION.DELIVERABLE_ID))
                    .where(uuid(VERSION.ID).eq(id))),
            Map.entry("mark", id -> DSL.select(ITEM.PROJECT_ID)
                    .from(MARKUP)
                    .join(VERSION)
                    .on(VERSION.ID.eq(MARKUP.VERSION_ID))
                    .join(ITEM)
                    .on(ITEM.ID.eq(VERSION.DELIVERABLE_ID))
                    .where(uuid(MARKUP.ID).eq(id))),
            Map.entry("attachment", id -> DSL.select(ITEM.PROJECT_ID)
                    .from(MARKUP_ATTACHMENT)
                    .join(MARKUP)
                    .on(MARKUP.ID.eq(MARKUP_ATTACHMENT.MARKUP_ID))
                    .join(VERSION)
                    .on(VERSION.ID.eq(MARKUP.VERSION_ID))
                    .join(ITEM)
                    .on(ITEM.ID.eq(VERSION.DELIVERABLE_ID))
                    .where(MARKUP_ATTACHMENT.ID.eq(id))),
            Map.entry("release", id -> DSL.select(ITEM.PROJECT_ID)
                    .from(RELEASE)
                    .join(ITEM)
                    .on(ITEM.ID.eq(RELEASE.DELIVERABLE_ID))
                    .where(uuid(RELEASE.ID).eq(id))),
            Map.entry("pane", id -> DSL.select(PANE.PROJECT_ID)
                    .from(PANE)
                    .where(uuid(PANE.ID).eq(id))),
            Map.entry("seat", id -> DSL.select(PANE.PROJECT_ID)
                    .from(PANE)
                    .where(PANE.ID
                            .in(DSL.select(SEAT.PANE_ID)
                                    .from(SEAT)
                                    .where(uuid(SEAT.ID).eq(id)))
                            .or(PANE.ID.in(DSL.select(LINK_SEAT.PANE_ID)
                                    .from(LINK_SEAT)
                                    .where(uuid(LINK_SEAT.ID).eq(id)))))),
            Map.entry("link", id -> DSL.select(PANE.PROJECT_ID)
                    .from(LINK_SEAT)
                    .join(PANE)
                    .on(PANE.ID.eq(LINK_SEAT.PANE_ID))
                    .where(uuid(LINK_SEAT.ID).eq(id))),
            Map.entry("wish", id -> DSL.select(PANE.PROJECT_ID)
                    .from(SEAT_WISH)
                    .join(PANE)
                    .on(PANE.ID.eq(SEAT_WISH.PANE_ID))
                    .where(SEAT_WISH.ID.eq(id))),
            Map.entry("paper", id -> DSL.select(PAPER.PROJECT_ID)
                    .from(PAPER)
                    .where(uuid(PAPER.ID).eq(id))),
            Map.entry("request", id -> DSL.select(REQUEST.PROJECT_ID)
                    .from(REQUEST)
                    .where(uuid(REQUEST.ID).eq(id))),
            Map.entry("questions", id -> DSL.select(REQUEST.PROJECT_ID)
                    .from(REQUEST)
                    .join(REQUEST_PART)
                    .on(REQUEST_PART.REQUEST_ID.eq(REQUEST.ID))
                    .where(REQUEST_PART.ID.eq(id))),
            Map.entry("given", id -> DSL.select(REQUEST.PROJECT_ID)
                    .from(SUPPLIED)
                    .join(REQUEST)
                    .on(REQUEST.ID.eq(SUPPLIED.REQUEST_ID))
                    .where(SUPPLIED.ID.eq(id))),
            Map.entry(
                    "note",
                    id -> DSL.select(NOTE.PROJECT_ID).from(NOTE).where(NOTE.ID.eq(id), NOTE.PROJECT_ID.isNotNull())),
            Map.entry(
                    "said",
                    id -> DSL.select(PROJECT_SAID.PROJECT_ID).from(PROJECT_SAID).where(PROJECT_SAID.ID.eq(id))),
            Map.entry("standIn", id -> DSL.select(STAND_IN.PROJECT_ID)
                    .from(STAND_IN)
                    .where(uuid(STAND_IN.ID).eq(id))),
            Map.entry("table", id -> DSL.select(IMPORTED_TABLE.PROJECT_ID)
                    .from(IMPORTED_TABLE)
                    .where(IMPORTED_TABLE.ID.eq(id))));
    private final DSLContext db;

    public WhoseProject(DSLContext db) {
        this.db = db;
    }

    private static Field<UUID> uuid(Field<?> id) {
        return id.coerce(SQLDataType.UUID);
    }

    private static Select<Record1<ProjectId>> ofItem(UUID id) {
        return DSL.select(ITEM.PROJECT_ID).from(ITEM).where(uuid(ITEM.ID).eq(id));
    }

    /** What may stand in an address for something of a project. */
    public static Set<String> known() {
        return OF.keySet();
    }

    /** The project of something; empty if there is no such thing, or the word is not one of those {@link #known}. */
    public Optional<ProjectId> projectOf(String word, UUID id) {
        Function<UUID, Select<Record1<ProjectId>>> query = OF.get(word);
        return query == null
                ? Optional.empty()
                : db.fetchOptional(query.apply(id)).map(Record1::value1);
    }
}
