package app.clearpane.store.exposure.client;

import static app.clearpane.store.exposure.client.VisibleTo.visibleTo;
import static app.clearpane.store.schema.Tables.FOLDER;
import static app.clearpane.store.schema.Tables.ITEM;
import static org.jooq.impl.DSL.falseCondition;
import static org.jooq.impl.DSL.notExists;
import static org.jooq.impl.DSL.selectOne;
import static org.jooq.impl.DSL.trueCondition;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.viewer.Viewer;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;

/** The names of what a viewer sees, folders aside: what a note can call by name. */
public final class VisibleNames {
    private final DSLContext db;

    public VisibleNames(DSLContext db) {
        this.db = db;
    }

    /** Something that has a name. */
    public record Named(ItemId id, ContentKind kind, String name) {}

    /** All of them. */
    public List<Named> all(Viewer viewer) {
        return where(viewer, trueCondition());
    }

    /** Those of some things that they see. */
    public List<Named> namesOf(Viewer viewer, Collection<ItemId> some) {
        return where(viewer, ITEM.ID.in(some));
    }

    private List<Named> where(Viewer viewer, Condition condition) {
        Condition seen = Arrays.stream(ContentKind.values())
                .filter(ContentKind::pickable)
                .map(kind -> visibleTo(viewer, kind))
                .reduce(falseCondition(), Condition::or);
        return db.select(ITEM.ID, ITEM.KIND, ITEM.NAME)
                .from(ITEM)
                .where(seen)
                .and(condition)
                .and(notExists(selectOne().from(FOLDER).where(FOLDER.ITEM_ID.eq(ITEM.ID))))
                .orderBy(ITEM.KIND, ITEM.NAME, ITEM.ID)
                .fetch(Records.mapping(Named::new));
    }
}
