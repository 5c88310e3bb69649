package app.clearpane.store.markup.client;

import static app.clearpane.store.exposure.client.VisibleTo.visibleTo;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.MARKUP;
import static app.clearpane.store.schema.Tables.MARKUP_ANSWER;
import static app.clearpane.store.schema.Tables.MARKUP_ATTACHMENT;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.VersionRows;
import app.clearpane.store.markup.MarkupRows;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;

/**
 * The marks a viewer sees: those of their pane, on sent versions of deliverables they see, without what is for the
 * team.
 */
public final class VisibleMarkups {
    private final DSLContext db;

    public VisibleMarkups(DSLContext db) {
        this.db = db;
    }

    /** The marks on all sent versions of a deliverable. */
    public List<Mark> marksOf(Viewer viewer, ItemId deliverable) {
        return MarkupRows.where(
                db, seen(viewer).and(VERSION.DELIVERABLE_ID.eq(deliverable)), MARKUP_ANSWER.TEAM_ONLY.isFalse());
    }

    /** One mark. */
    public Optional<Mark> find(Viewer viewer, MarkupId mark) {
        return MarkupRows.where(db, seen(viewer).and(MARKUP.ID.eq(mark)), MARKUP_ANSWER.TEAM_ONLY.isFalse()).stream()
                .findFirst();
    }

    /** A file that came with a note or an answer they see. */
    public Optional<Mark.Attachment> attachment(Viewer viewer, UUID id) {
        return MarkupRows.attachment(
                db,
                MARKUP_ATTACHMENT
                        .ID
                        .eq(id)
                        .and(seen(viewer))
                        .and(MARKUP_ATTACHMENT.ANSWER_ID.isNull().or(MARKUP_ANSWER.TEAM_ONLY.isFalse())));
    }

    private static Condition seen(Viewer viewer) {
        return MARKUP.PANE_ID
                .eq(viewer.pane())
                .and(MARKUP.NUMBER.isNotNull())
                .and(VersionRows.thereForClients())
                .and(VERSION.DELIVERABLE_ID.in(
                        select(ITEM.ID).from(ITEM).where(visibleTo(viewer, ContentKind.DELIVERABLES))));
    }
}
