package app.clearpane.store.exposure.client;

import static app.clearpane.store.schema.Tables.AGENCY;
import static app.clearpane.store.schema.Tables.FOLDER;
import static app.clearpane.store.schema.Tables.HELD_BACK_EVERYWHERE;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.ITEM_ANCESTOR;
import static app.clearpane.store.schema.Tables.MILESTONE;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.ROUND;
import static app.clearpane.store.schema.Tables.ROUND_SIGNATORY;
import static app.clearpane.store.schema.Tables.SHOWING;
import static app.clearpane.store.schema.Tables.TASK;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.falseCondition;
import static org.jooq.impl.DSL.not;
import static org.jooq.impl.DSL.notExists;
import static org.jooq.impl.DSL.selectOne;
import static org.jooq.impl.DSL.trueCondition;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Filter;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Passage;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.schema.tables.Item;
import app.clearpane.store.schema.tables.ItemAncestor;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.Field;
import org.jooq.TableField;
import org.jooq.impl.DSL;

/**
 * The one condition by which SQL decides visibility (V10): what the core's {@code Visibility} decides, over the rows of
 * {@code item}.
 */
public final class VisibleTo {
    private static final Condition TO_BE_DONE = TASK.STAGE.notIn(Stage.DONE, Stage.DROPPED);

    private VisibleTo() {}

    /** The rows of {@code item} of this kind that this viewer sees. */
    public static Condition visibleTo(Viewer viewer, ContentKind kind) {
        boolean ahead = viewer.sight() == Viewer.Sight.AFTER_PUBLISHING;
        Field<PaneId> pane = DSL.val(viewer.pane(), SHOWING.PANE_ID);
        Condition passes = passes(viewer, pane, kind, viewer.pending(), SHOWING.PENDING);
        Condition passesNow =
                ahead ? trueCondition() : passes(viewer, pane, kind, viewer.published(), SHOWING.PUBLISHED);
        return ITEM.PROJECT_ID
                .eq(viewer.project())
                .and(ITEM.KIND.eq(kind))
                .and(ITEM.DELETED_AT.isNull())
                .and(notHeldBack(pane, ahead))
                .and(addressed(viewer.contact(), kind).or(passes.and(passesNow)));
    }

    /**
     * The rows of {@code item} of this kind, joined to {@code pane}, that a contact sees through that pane now. Panes
     * that let the same through share one condition.
     */
    public static Condition visibleThrough(AllPanes all, ContentKind kind) {
        Condition passes = all.viewers().stream()
                .collect(Collectors.groupingBy(viewer -> List.of(
                        viewer.pending().getOrDefault(kind, Passage.NOTHING),
                        viewer.published().getOrDefault(kind, Passage.NOTHING))))
                .values()
                .stream()
                .map(alike -> PANE.ID
                        .in(alike.stream().map(Viewer::pane).toList())
                        .and(passes(alike.get(0), PANE.ID, kind, alike.get(0).pending(), SHOWING.PENDING))
                        .and(passes(alike.get(0), PANE.ID, kind, alike.get(0).published(), SHOWING.PUBLISHED)))
                .reduce(falseCondition(), Condition::or);
        return PANE.ID
                .in(all.panes())
                .and(ITEM.PROJECT_ID.in(all.projects()))
                .and(ITEM.PROJECT_ID.eq(PANE.PROJECT_ID))
                .and(ITEM.KIND.eq(kind))
                .and(ITEM.DELETED_AT.isNull())
                .and(notHeldBack(PANE.ID, false))
                .and(addressed(all.contact(), kind).or(passes));
    }

    private static Condition notHeldBack(Field<PaneId> pane, boolean ahead) {
        Condition heldBack = SHOWING.PENDING.eq(Showing.HELD_BACK);
        Condition here = ahead ? heldBack : heldBack.or(SHOWING.PUBLISHED.eq(Showing.HELD_BACK));
        return notExists(selectOne()
                        .from(ITEM_ANCESTOR)
                        .join(SHOWING)
                        .on(SHOWING.ITEM_ID.eq(ITEM_ANCESTOR.ANCESTOR_ID))
                        .where(ITEM_ANCESTOR.ITEM_ID.eq(ITEM.ID), SHOWING.PANE_ID.eq(pane), here))
                .and(notExists(selectOne()
                        .from(ITEM_ANCESTOR)
                        .join(HELD_BACK_EVERYWHERE)
                        .on(HELD_BACK_EVERYWHERE.ITEM_ID.eq(ITEM_ANCESTOR.ANCESTOR_ID))
                        .where(ITEM_ANCESTOR.ITEM_ID.eq(ITEM.ID))));
    }

    private static Condition passes(
            Viewer viewer,
            Field<PaneId> pane,
            ContentKind kind,
            Map<ContentKind, Passage> passages,
            TableField<?, Showing> showing) {
        Passage passage = passages.getOrDefault(kind, Passage.NOTHING);
        Condition shown = exists(selectOne()
                .from(ITEM_ANCESTOR)
                .join(SHOWING)
                .on(SHOWING.ITEM_ID.eq(ITEM_ANCESTOR.ANCESTOR_ID))
                .where(ITEM_ANCESTOR.ITEM_ID.eq(ITEM.ID), SHOWING.PANE_ID.eq(pane), showing.eq(Showing.SHOWN)));
        return switch (passage.aperture()) {
            case CLOSED -> falseCondition();
            case PICKED -> shown;
            case FILTERED ->
                kind.filterable()
                        ? shown.or(passage.sieves().stream()
                                .map(sieve -> sifted(viewer, kind, sieve))
                                .reduce(trueCondition(), Condition::and))
                        : shown;
            case OPEN -> trueCondition();
        };
    }

    private static Condition sifted(Viewer viewer, ContentKind kind, Set<Filter> filters) {
        return kind == ContentKind.FILES ? inTopFolder(filters) : allAbovePass(viewer, filters);
    }

    /**
     * What passes a filter under parents that all pass one too, up to one that the viewer sees by name; where one of
     * them is Shown, so is what stands in it.
     */
    private static Condition allAbovePass(Viewer viewer, Set<Filter> filters) {
        Item above = ITEM.as("above");
        ItemAncestor way = ITEM_ANCESTOR.as("way");
        ItemAncestor over = ITEM_ANCESTOR.as("over");
        Condition passes =
                filters.stream().map(filter -> passes(viewer, filter, above)).reduce(falseCondition(), Condition::or);
        Condition seenByName = exists(selectOne()
                .from(way)
                .join(TASK)
                .on(TASK.ITEM_ID.eq(way.ANCESTOR_ID))
                .crossJoin(AGENCY)
                .join(over)
                .on(over.ITEM_ID.eq(way.ANCESTOR_ID))
                .where(
                        way.ITEM_ID.eq(ITEM.ID),
                        way.ANCESTOR_ID.ne(ITEM.ID),
                        over.ANCESTOR_ID.eq(above.ID),
                        TASK.CONTACT_ID.eq(viewer.contact()),
                        AGENCY.CLIENTS_DO_TASKS.isTrue()));
        return notExists(selectOne()
                .from(ITEM_ANCESTOR)
                .join(above)
                .on(above.ID.eq(ITEM_ANCESTOR.ANCESTOR_ID))
                .where(ITEM_ANCESTOR.ITEM_ID.eq(ITEM.ID), not(passes), not(seenByName)));
    }

    private static Condition passes(Viewer viewer, Filter filter, Item item) {
        if (filter instanceof Filter.DueWithin within) {
            return isTask(
                    item,
                    TO_BE_DONE.and(TASK.DUE_ON.between(
                            viewer.today().day(), viewer.today().lastWithin(within.days()))));
        }
        Item inside = ITEM.as("inside");
        return switch ((Filter.Trait) filter) {
            case MILESTONES ->
                exists(selectOne().from(MILESTONE).where(MILESTONE.ITEM_ID.eq(item.ID)))
                        .or(isTask(item, TASK.DAYS.eq(0)));
            case PHASE_HEADS ->
                item.PARENT_ID
                        .isNull()
                        .and(exists(selectOne()
                                .from(inside)
                                .where(inside.PARENT_ID.eq(item.ID), inside.DELETED_AT.isNull())));
            case FINISHED -> isTask(item, TASK.STAGE.eq(Stage.DONE));
            case LATE ->
                isTask(item, TO_BE_DONE.and(TASK.DUE_ON.lt(viewer.today().day())));
            case WAITS_FOR_VIEWER -> isTask(item, TO_BE_DONE.and(TASK.CONTACT_ID.eq(viewer.contact())));
        };
    }

    private static Condition isTask(Item item, Condition which) {
        return exists(selectOne().from(TASK).where(TASK.ITEM_ID.eq(item.ID), which));
    }

    /**
     * What passes a filter under a parent that is visible: all in a folder at the top that one of the filters names.
     */
    private static Condition inTopFolder(Set<Filter> filters) {
        Item top = ITEM.as("top_item");
        return exists(selectOne()
                .from(ITEM_ANCESTOR)
                .join(top)
                .on(top.ID.eq(ITEM_ANCESTOR.ANCESTOR_ID))
                .join(FOLDER)
                .on(FOLDER.ITEM_ID.eq(top.ID))
                .where(
                        ITEM_ANCESTOR.ITEM_ID.eq(ITEM.ID),
                        top.PARENT_ID.isNull(),
                        top.NAME.in(filters.stream()
                                .map(filter -> ((Filter.Folder) filter).name())
                                .toList())));
    }

    private static Condition addressed(ContactId contact, ContentKind kind) {
        if (kind == ContentKind.TASKS) {
            return exists(selectOne()
                    .from(TASK)
                    .crossJoin(AGENCY)
                    .where(TASK.ITEM_ID.eq(ITEM.ID), TASK.CONTACT_ID.eq(contact), AGENCY.CLIENTS_DO_TASKS.isTrue()));
        }
        return kind != ContentKind.DELIVERABLES
                ? falseCondition()
                : exists(selectOne()
                        .from(ROUND_SIGNATORY)
                        .join(ROUND)
                        .on(ROUND.ID.eq(ROUND_SIGNATORY.ROUND_ID))
                        .join(VERSION)
                        .on(VERSION.ID.eq(ROUND.VERSION_ID))
                        .where(VERSION.DELIVERABLE_ID.eq(ITEM.ID), ROUND_SIGNATORY.CONTACT_ID.eq(contact)));
    }
}
