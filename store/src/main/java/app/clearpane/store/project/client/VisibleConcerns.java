package app.clearpane.store.project.client;

import static app.clearpane.store.exposure.client.VisibleTo.visibleTo;
import static app.clearpane.store.schema.Tables.CONCERN;
import static app.clearpane.store.schema.Tables.ITEM;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.Gravity;
import app.clearpane.core.viewer.Viewer;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;

/** Concerns, as far as a viewer sees them. Nothing here names anybody of the team. */
public final class VisibleConcerns {
    private static final Comparator<Row> HEAVIEST_FIRST = Comparator.comparing((Row row) -> row.closedAt() == null)
            .thenComparing(Row::weight)
            .reversed()
            .thenComparing(Row::name)
            .thenComparing(row -> row.id().toString());
    private final DSLContext db;

    public VisibleConcerns(DSLContext db) {
        this.db = db;
    }

    /**
     * A concern as clients see it.
     *
     * @param weight from 1 to 9
     * @param closedAt null while it stands
     * @param changed when it was last changed, if ever
     */
    public record Row(
            ItemId id,
            String name,
            boolean issue,
            Gravity gravity,
            int weight,
            String about,
            String measure,
            @Nullable Instant closedAt,
            @Nullable Instant changed) {}

    /** What stands first, the heaviest before the others. */
    public List<Row> all(Viewer viewer) {
        return db
                .select(
                        ITEM.ID,
                        ITEM.NAME,
                        CONCERN.ISSUE,
                        CONCERN.LIKELIHOOD,
                        CONCERN.EFFECT,
                        CONCERN.ABOUT,
                        CONCERN.MEASURE,
                        CONCERN.CLOSED_AT,
                        ITEM.CHANGED_AT)
                .from(CONCERN)
                .join(ITEM)
                .on(ITEM.ID.eq(CONCERN.ITEM_ID))
                .where(visibleTo(viewer, ContentKind.CONCERNS))
                .stream()
                .map(row -> new Row(
                        row.value1(),
                        row.value2(),
                        row.value3(),
                        Gravity.of(row.value3(), row.value4(), row.value5()),
                        Gravity.weight(row.value3(), row.value4(), row.value5()),
                        row.value6(),
                        row.value7(),
                        row.value8(),
                        row.value9()))
                .sorted(HEAVIEST_FIRST)
                .toList();
    }
}
