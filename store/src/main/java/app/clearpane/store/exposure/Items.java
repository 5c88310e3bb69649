package app.clearpane.store.exposure;

import static app.clearpane.store.schema.Tables.AGENCY;
import static app.clearpane.store.schema.Tables.FOLDER;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.ITEM_ANCESTOR;
import static app.clearpane.store.schema.Tables.MILESTONE;
import static app.clearpane.store.schema.Tables.ROUND;
import static app.clearpane.store.schema.Tables.ROUND_SIGNATORY;
import static app.clearpane.store.schema.Tables.TASK;
import static app.clearpane.store.schema.Tables.VERSION;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Filter;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record1;
import org.jooq.Records;
import org.jooq.Select;
import org.jooq.Table;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Everything that can be shown or held back one by one, with what stands above it. */
public final class Items {
    private static final app.clearpane.store.schema.tables.Item BESIDE = ITEM.as("beside");
    private static final app.clearpane.store.schema.tables.ItemAncestor INSIDE = ITEM_ANCESTOR.as("inside");
    /** Whom a task was given to, as long as clients may be given tasks. */
    private static final Field<@Nullable ContactId> DOER = DSL.when(
                    DSL.exists(DSL.selectOne().from(AGENCY).where(AGENCY.CLIENTS_DO_TASKS.isTrue())), TASK.CONTACT_ID)
            .as("doer");

    private static final Field<@Nullable ContactId> NOBODY =
            DSL.castNull(TASK.CONTACT_ID).as("doer");
    /** Who is asked to sign a version of a deliverable, or was. */
    private static final Field<List<ContactId>> ASKED = DSL.multiset(DSL.selectDistinct(ROUND_SIGNATORY.CONTACT_ID)
                    .from(ROUND_SIGNATORY)
                    .join(ROUND)
                    .on(ROUND.ID.eq(ROUND_SIGNATORY.ROUND_ID))
                    .join(VERSION)
                    .on(VERSION.ID.eq(ROUND.VERSION_ID))
                    .where(VERSION.DELIVERABLE_ID.eq(ITEM.ID)))
            .as("asked")
            .convertFrom(rows -> rows.map(Record1::value1));

    private static final Field<List<ContactId>> NONE_ASKED =
            DSL.inline("").as("asked").convertFrom(none -> List.of());
    private final DSLContext db;
    private final Supplier<Today> today;

    /** @param today the agency's day, by which things are late or nearly due */
    public Items(DSLContext db, Supplier<Today> today) {
        this.db = db;
        this.today = today;
    }

    /**
     * Makes an item, below another one or at the top.
     *
     * @throws IllegalArgumentException if what it would lie in is not there or was deleted
     */
    public ItemId add(ProjectId project, ContentKind kind, String name, Optional<ItemId> parent, Instant now) {
        parent.ifPresent(this::holdThere);
        ItemId id = new ItemId(UUID.randomUUID());
        db.insertInto(ITEM)
                .set(ITEM.ID, id)
                .set(ITEM.PROJECT_ID, project)
                .set(ITEM.KIND, kind)
                .set(ITEM.NAME, name)
                .set(ITEM.PARENT_ID, parent.orElse(null))
                .set(ITEM.CREATED_AT, now)
                .execute();
        db.insertInto(ITEM_ANCESTOR)
                .set(ITEM_ANCESTOR.ITEM_ID, id)
                .set(ITEM_ANCESTOR.ANCESTOR_ID, id)
                .set(ITEM_ANCESTOR.DEPTH, 0)
                .execute();
        parent.ifPresent(above -> placeInside(id, above));
        return id;
    }

    /**
     * Moves an item with all that lies in it.
     *
     * @param parent what it will lie in; empty for the top
     * @throws IllegalArgumentException if that is not there, was deleted, or lies in what is moved
     */
    public void move(ItemId item, Optional<ItemId> parent) {
        parent.ifPresent(this::holdThere);
        if (parent.isPresent()
                && db.fetchExists(
                        ITEM_ANCESTOR, ITEM_ANCESTOR.ITEM_ID.eq(parent.get()), ITEM_ANCESTOR.ANCESTOR_ID.eq(item))) {
            throw new IllegalArgumentException(
                    "the item " + item + " cannot be moved into " + parent.get() + ", which lies in it");
        }
        db.deleteFrom(ITEM_ANCESTOR)
                .where(ITEM_ANCESTOR.ITEM_ID.in(inside(item)), ITEM_ANCESTOR.ANCESTOR_ID.notIn(inside(item)))
                .execute();
        db.update(ITEM)
                .set(ITEM.PARENT_ID, parent.orElse(null))
                .where(ITEM.ID.eq(item))
                .execute();
        parent.ifPresent(above -> placeInside(item, above));
    }

    /** Gives an item another name. */
    public void rename(ItemId item, String name) {
        db.update(ITEM).set(ITEM.NAME, name).where(ITEM.ID.eq(item)).execute();
    }

    /** Everything at and in an item gets what stands above its new parent, and the parent, as ancestors. */
    private void placeInside(ItemId item, ItemId parent) {
        app.clearpane.store.schema.tables.ItemAncestor below = ITEM_ANCESTOR.as("below");
        db.insertInto(ITEM_ANCESTOR, ITEM_ANCESTOR.ITEM_ID, ITEM_ANCESTOR.ANCESTOR_ID, ITEM_ANCESTOR.DEPTH)
                .select(db.select(
                                below.ITEM_ID,
                                ITEM_ANCESTOR.ANCESTOR_ID,
                                ITEM_ANCESTOR.DEPTH.plus(below.DEPTH).plus(1))
                        .from(ITEM_ANCESTOR)
                        .crossJoin(below)
                        .where(ITEM_ANCESTOR.ITEM_ID.eq(parent), below.ANCESTOR_ID.eq(item)))
                .execute();
    }

    /** Until the transaction ends, nobody can delete it. */
    private void holdThere(ItemId parent) {
        if (db.select(ITEM.ID)
                .from(ITEM)
                .where(ITEM.ID.eq(parent), ITEM.DELETED_AT.isNull())
                .forUpdate()
                .fetch()
                .isEmpty()) {
            throw new IllegalArgumentException(
                    "the item " + parent + ", which was to hold another, is not there or was deleted");
        }
    }

    private static Select<Record1<ItemId>> inside(ItemId item) {
        return DSL.select(INSIDE.ITEM_ID).from(INSIDE).where(INSIDE.ANCESTOR_ID.eq(item));
    }

    /** Marks an item and all that lies in it as deleted, for every reader at once; it can be brought back. */
    public void delete(ItemId item, Instant now) {
        db.update(ITEM)
                .set(ITEM.DELETED_AT, now)
                .set(ITEM.DELETED_ROOT_ID, item)
                .where(ITEM.ID.in(inside(item)), ITEM.DELETED_AT.isNull())
                .execute();
    }

    /** The same, noting by whom. */
    public void delete(ItemId item, Actor by, Instant now) {
        delete(item, now);
        db.update(ITEM).set(ITEM.DELETED_BY, by).where(ITEM.ID.eq(item)).execute();
    }

    /**
     * Something that was deleted. @param inside how many things went with it @param by who did it; null if that was not
     * noted @param first what has to be brought back before it; null if nothing
     */
    public record Deleted(
            ItemId id,
            ContentKind kind,
            String name,
            Instant at,
            @Nullable Actor by,
            int inside,
            @Nullable String first) {}

    /** When it was deleted; empty if it was not. */
    public Optional<Instant> deletedAt(ItemId item) {
        return db.select(ITEM.DELETED_AT)
                .from(ITEM)
                .where(ITEM.ID.eq(item), ITEM.DELETED_AT.isNotNull())
                .fetchOptional(ITEM.DELETED_AT);
    }

    /**
     * What was deleted in a project since an instant, latest first; what went with something else is not named again.
     */
    public List<Deleted> deleted(ProjectId project, Instant since) {
        Field<Integer> inside = DSL.field(
                DSL.selectCount().from(BESIDE).where(BESIDE.DELETED_ROOT_ID.eq(ITEM.ID), BESIDE.ID.ne(ITEM.ID)));
        Field<String> first = DSL.field(DSL.select(BESIDE.NAME)
                .from(ITEM_ANCESTOR)
                .join(BESIDE)
                .on(BESIDE.ID.eq(ITEM_ANCESTOR.ANCESTOR_ID))
                .where(ITEM_ANCESTOR.ITEM_ID.eq(ITEM.ID), ITEM_ANCESTOR.DEPTH.gt(0), BESIDE.DELETED_AT.isNotNull())
                .orderBy(ITEM_ANCESTOR.DEPTH.desc())
                .limit(1));
        return db.select(ITEM.ID, ITEM.KIND, ITEM.NAME, ITEM.DELETED_AT, ITEM.DELETED_BY, inside, first)
                .from(ITEM)
                .where(ITEM.PROJECT_ID.eq(project), ITEM.DELETED_ROOT_ID.eq(ITEM.ID), ITEM.DELETED_AT.ge(since))
                .orderBy(ITEM.DELETED_AT.desc(), ITEM.ID)
                .fetch(Records.mapping(Deleted::new));
    }

    /**
     * Brings a deleted item back with all that went with it; what had been deleted before stays deleted.
     *
     * @return what has to be brought back first, because the item lies in it or went with it: then nothing was changed;
     *     empty if it is back
     */
    public Optional<Row> restore(ItemId item) {
        Optional<Row> first = db.select(BESIDE.ID)
                .from(ITEM_ANCESTOR)
                .join(BESIDE)
                .on(BESIDE.ID.eq(ITEM_ANCESTOR.ANCESTOR_ID))
                .where(ITEM_ANCESTOR.ITEM_ID.eq(item), ITEM_ANCESTOR.DEPTH.gt(0), BESIDE.DELETED_AT.isNotNull())
                .orderBy(ITEM_ANCESTOR.DEPTH.desc())
                .limit(1)
                .fetchOptional(BESIDE.ID)
                .flatMap(this::find);
        if (first.isEmpty()) {
            db.update(ITEM)
                    .setNull(ITEM.DELETED_AT)
                    .setNull(ITEM.DELETED_ROOT_ID)
                    .setNull(ITEM.DELETED_BY)
                    .where(ITEM.DELETED_ROOT_ID.eq(item))
                    .execute();
        }
        return first;
    }

    /** An item as lists of the team name it. */
    public record Row(ItemId id, ProjectId project, ContentKind kind, String name, boolean deleted) {}

    /** One item. */
    public Optional<Row> find(ItemId id) {
        return rows(ITEM.ID.eq(id)).stream().findFirst();
    }

    /** Some items, in no order. */
    public List<Row> rows(Collection<ItemId> ids) {
        return rows(ITEM.ID.in(ids));
    }

    /** The items of a project that are there and can be called by name. */
    public List<Row> named(ProjectId project) {
        return rows(ITEM.PROJECT_ID
                .eq(project)
                .and(ITEM.DELETED_AT.isNull())
                .andNotExists(DSL.selectOne().from(FOLDER).where(FOLDER.ITEM_ID.eq(ITEM.ID))));
    }

    private List<Row> rows(Condition condition) {
        return db.select(ITEM.ID, ITEM.PROJECT_ID, ITEM.KIND, ITEM.NAME, ITEM.DELETED_AT)
                .from(ITEM)
                .where(condition)
                .orderBy(ITEM.KIND, ITEM.NAME, ITEM.ID)
                .fetch(row -> new Row(row.value1(), row.value2(), row.value3(), row.value4(), row.value5() != null));
    }

    /** All items of a project with what the core needs to decide on them, deleted ones too, in a fixed order. */
    public List<Item> ofProject(ProjectId project) {
        return read(ITEM.PROJECT_ID.eq(project), true, today).getOrDefault(project, List.of());
    }

    /** The same as somebody meets them to whom nothing was sent by name. */
    public List<Item> forAnybody(ProjectId project) {
        return read(ITEM.PROJECT_ID.eq(project), false, today).getOrDefault(project, List.of());
    }

    /** The same as if another day were today. */
    public List<Item> forAnybody(ProjectId project, Today day) {
        return read(ITEM.PROJECT_ID.eq(project), false, () -> day).getOrDefault(project, List.of());
    }

    /**
     * Some items of any projects with what the core needs to decide on them, by project; what stands above and inside
     * them comes along, and the tasks beside them, which say what is a phase head.
     */
    public Map<ProjectId, List<Item>> some(Collection<ItemId> some) {
        Select<Record1<ItemId>> inside =
                DSL.select(ITEM_ANCESTOR.ITEM_ID).from(ITEM_ANCESTOR).where(ITEM_ANCESTOR.ANCESTOR_ID.in(some));
        Select<Record1<ItemId>> beside = DSL.select(BESIDE.ID)
                .from(BESIDE)
                .where(BESIDE.KIND.eq(ContentKind.TASKS), BESIDE.PARENT_ID.in(above(some)));
        // joined, since a union behind "in" is looked through anew for every item of the house
        Table<Record1<ItemId>> wanted = above(some).union(inside).union(beside).asTable("wanted", "id");
        return read(
                wanted.join(ITEM).on(ITEM.ID.eq(wanted.field("id", ITEM.ID.getDataType()))),
                DSL.noCondition(),
                true,
                today);
    }

    private static Select<Record1<ItemId>> above(Collection<ItemId> some) {
        return DSL.select(ITEM_ANCESTOR.ANCESTOR_ID).from(ITEM_ANCESTOR).where(ITEM_ANCESTOR.ITEM_ID.in(some));
    }

    private Map<ProjectId, List<Item>> read(Condition which, boolean byName, Supplier<Today> day) {
        return read(ITEM, which, byName, day);
    }

    /**
     * @param from {@code item}, or what it is joined with
     * @param which where one is of these, all above it are
     * @param byName whether it is told what was sent by name
     */
    private Map<ProjectId, List<Item>> read(Table<?> from, Condition which, boolean byName, Supplier<Today> day) {
        Map<ItemId, Set<ContactId>> addressed = new HashMap<>();
        Map<ItemId, Known> known = new LinkedHashMap<>();
        db.select(
                        ITEM.ID,
                        ITEM.KIND,
                        ITEM.NAME,
                        ITEM.PARENT_ID,
                        ITEM.DELETED_AT,
                        FOLDER.ITEM_ID,
                        MILESTONE.ITEM_ID,
                        TASK.STAGE,
                        TASK.DAYS,
                        ITEM.PROJECT_ID,
                        byName ? DOER : NOBODY,
                        byName ? ASKED : NONE_ASKED,
                        TASK.DUE_ON,
                        byName ? TASK.CONTACT_ID : NOBODY)
                .from(from)
                .leftJoin(FOLDER)
                .on(FOLDER.ITEM_ID.eq(ITEM.ID))
                .leftJoin(MILESTONE)
                .on(MILESTONE.ITEM_ID.eq(ITEM.ID))
                .leftJoin(TASK)
                .on(TASK.ITEM_ID.eq(ITEM.ID))
                .where(which)
                .orderBy(ITEM.KIND, ITEM.NAME, ITEM.ID)
                .forEach(row -> {
                    known.put(
                            row.value1(),
                            new Known(
                                    row.value10(),
                                    row.value2(),
                                    row.value3(),
                                    Optional.ofNullable(row.value4()),
                                    row.value5() != null,
                                    row.value6() != null,
                                    row.value7() != null || Integer.valueOf(0).equals(row.value9()),
                                    Doing.of(row.value8(), row.value13(), row.value14())));
                    Set<ContactId> named = new HashSet<>(row.value12());
                    Optional.ofNullable(row.value11()).ifPresent(named::add);
                    if (!named.isEmpty()) {
                        addressed.put(row.value1(), named);
                    }
                });
        Set<ItemId> heads = known.values().stream()
                .filter(item -> item.kind() == ContentKind.TASKS && !item.deleted())
                .flatMap(item -> item.parent().stream())
                .filter(parent ->
                        Objects.requireNonNull(known.get(parent)).parent().isEmpty())
                .collect(Collectors.toSet());
        Map<ProjectId, List<Item>> items = new HashMap<>();
        known.forEach((id, item) -> items.computeIfAbsent(item.project(), none -> new ArrayList<>())
                .add(new Item(
                        id,
                        item.kind(),
                        item.name(),
                        above(item, known, heads, addressed, day),
                        item.deleted() ? Item.State.DELETED : Item.State.THERE,
                        addressed.getOrDefault(id, Set.of()),
                        item.folder(),
                        item.facts(heads.contains(id), day))));
        return items;
    }

    /**
     * How far a task is. @param due the day it is due, as long as it is to be done @param holder the contact who holds
     * it
     */
    private record Doing(boolean finished, Optional<LocalDate> due, Set<ContactId> holder) {
        static Doing of(@Nullable Stage stage, @Nullable LocalDate due, @Nullable ContactId contact) {
            boolean open = stage != null && stage != Stage.DONE && stage != Stage.DROPPED;
            return new Doing(
                    stage == Stage.DONE,
                    open ? Optional.ofNullable(due) : Optional.empty(),
                    open && contact != null ? Set.of(contact) : Set.of());
        }
    }

    private record Known(
            ProjectId project,
            ContentKind kind,
            String name,
            Optional<ItemId> parent,
            boolean deleted,
            boolean folder,
            boolean milestone,
            Doing doing) {
        Item.Facts facts(boolean head, Supplier<Today> day) {
            Set<Filter.Trait> traits = EnumSet.noneOf(Filter.Trait.class);
            if (milestone) {
                traits.add(Filter.Trait.MILESTONES);
            }
            if (head) {
                traits.add(Filter.Trait.PHASE_HEADS);
            }
            if (doing.finished()) {
                traits.add(Filter.Trait.FINISHED);
            }
            if (doing.due().filter(due -> day.get().isLate(due)).isPresent()) {
                traits.add(Filter.Trait.LATE);
            }
            return new Item.Facts(
                    traits,
                    doing.due().map(due -> day.get().daysLeft(due)).orElseGet(OptionalInt::empty),
                    doing.holder());
        }
    }

    private static List<Item.Ancestor> above(
            Known item,
            Map<ItemId, Known> known,
            Set<ItemId> heads,
            Map<ItemId, Set<ContactId>> addressed,
            Supplier<Today> day) {
        List<Item.Ancestor> ancestors = new ArrayList<>();
        for (Optional<ItemId> next = item.parent();
                next.isPresent();
                next = Objects.requireNonNull(known.get(next.get())).parent()) {
            Known above = Objects.requireNonNull(known.get(next.get()));
            ancestors.add(new Item.Ancestor(
                    next.get(),
                    above.name(),
                    above.facts(heads.contains(next.get()), day),
                    addressed.getOrDefault(next.get(), Set.of())));
        }
        return ancestors;
    }
}
