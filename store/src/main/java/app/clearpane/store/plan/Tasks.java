package app.clearpane.store.plan;

import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.TASK;
import static app.clearpane.store.schema.Tables.TASK_COMMENT;
import static app.clearpane.store.schema.Tables.TASK_LINK;
import static app.clearpane.store.schema.Tables.TASK_TURN;
import static app.clearpane.store.schema.Tables.TEAM_MEMBER;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.Follows;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.core.turns.TurnLedger;
import app.clearpane.store.Stale;
import app.clearpane.store.project.WorkedOn;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.Records;
import org.jooq.Result;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Tasks of projects, what they wait for, whose turn they were, and what was said of them. */
public final class Tasks {
    private final DSLContext db;

    public Tasks(DSLContext db) {
        this.db = db;
    }

    /** The tasks of a project that were not deleted, in their order within their parents. */
    public List<PlannedTask> ofProject(ProjectId project) {
        return where(db, ITEM.PROJECT_ID.eq(project));
    }

    /** The tasks of some projects. */
    public Map<ProjectId, List<PlannedTask>> ofProjects(Collection<ProjectId> projects) {
        return where(db, ITEM.PROJECT_ID.in(projects)).stream().collect(Collectors.groupingBy(PlannedTask::project));
    }

    /**
     * Open tasks of the projects that are worked on that were given to somebody of the clients' and are to be done by a
     * day.
     */
    public List<PlannedTask> withClientsAndDue() {
        return where(
                db,
                ITEM.ID
                        .in(DSL.select(TASK.ITEM_ID)
                                .from(TASK)
                                .where(
                                        TASK.SIDE.eq(Side.CLIENTS),
                                        TASK.CONTACT_ID.isNotNull(),
                                        TASK.DUE_ON.isNotNull(),
                                        TASK.BEGAN_ON.isNotNull(),
                                        TASK.DELIVERABLE_ID.isNull(),
                                        TASK.REQUEST_ID.isNull(),
                                        TASK.PAPER_ID.isNull(),
                                        TASK.STAGE.notIn(Stage.DONE, Stage.DROPPED)))
                        .and(WorkedOn.is(ITEM.PROJECT_ID)));
    }

    /** One task, if it was not deleted. */
    public Optional<PlannedTask> find(ItemId id) {
        return where(db, ITEM.ID.eq(id)).stream().findFirst();
    }

    /** The tasks that meet a condition on {@code item}, in two statements, and one more for the names of helpers. */
    public static List<PlannedTask> where(DSLContext db, Condition condition) {
        Condition there = condition.and(ITEM.KIND.eq(ContentKind.TASKS)).and(ITEM.DELETED_AT.isNull());
        Map<ItemId, List<Task.After>> links = new HashMap<>();
        db.select(TASK_LINK.ITEM_ID, TASK_LINK.PREDECESSOR_ITEM_ID, TASK_LINK.LAG_DAYS)
                .from(TASK_LINK)
                .join(ITEM)
                .on(ITEM.ID.eq(TASK_LINK.ITEM_ID))
                .where(there)
                .orderBy(TASK_LINK.ITEM_ID, TASK_LINK.PREDECESSOR_ITEM_ID)
                .forEach(row -> links.computeIfAbsent(row.value1(), none -> new ArrayList<>())
                        .add(new Task.After(row.value2(), row.value3())));
        Result<? extends Record> rows = db.select(
                        ITEM.ID,
                        ITEM.NAME,
                        ITEM.PARENT_ID,
                        ITEM.PROJECT_ID,
                        TASK.PHASE_ID,
                        TASK.MILESTONE_ID,
                        TASK.DELIVERABLE_ID,
                        TASK.REQUEST_ID,
                        TASK.PAPER_ID,
                        TASK.CONTACT_ID,
                        TASK.MEMBER_ID,
                        TASK.SIDE,
                        TASK.STAGE,
                        TASK.DAYS,
                        TASK.NOT_BEFORE,
                        TASK.DUE_ON,
                        TASK.DUE_HOUR,
                        TASK.DUE_BEFORE_ID,
                        TASK.DUE_BEFORE_DAYS,
                        TASK.EFFORT_MINUTES,
                        TASK.PRIORITY,
                        TASK.LABELS,
                        TASK.NOTES,
                        TASK.REPEATS,
                        TASK.BEGAN_ON,
                        TASK.DONE_ON,
                        TASK.REMAINING_DAYS,
                        TASK.REMAINING_SAID_ON,
                        TASK.POSITION,
                        TASK.REVISION,
                        TASK.ALSO_PHASES,
                        TASK.ALSO_MEMBERS,
                        CONTACT.NAME,
                        TEAM_MEMBER.NAME)
                .from(TASK)
                .join(ITEM)
                .on(ITEM.ID.eq(TASK.ITEM_ID))
                .leftJoin(CONTACT)
                .on(CONTACT.ID.eq(TASK.CONTACT_ID))
                .leftJoin(TEAM_MEMBER)
                .on(TEAM_MEMBER.ID.eq(TASK.MEMBER_ID))
                .where(there)
                .orderBy(TASK.POSITION, ITEM.CREATED_AT, ITEM.ID)
                .fetch();
        Map<UUID, PlannedTask.Helper> helpers = helpers(db, rows);
        return rows.map(row -> task(row, links, helpers));
    }

    private static Map<UUID, PlannedTask.Helper> helpers(DSLContext db, Result<? extends Record> rows) {
        Set<TeamMemberId> all = rows.stream()
                .flatMap(row -> Arrays.stream(row.get(TASK.ALSO_MEMBERS)))
                .map(TeamMemberId::new)
                .collect(Collectors.toSet());
        return all.isEmpty()
                ? Map.of()
                : db.select(TEAM_MEMBER.ID, TEAM_MEMBER.NAME).from(TEAM_MEMBER).where(TEAM_MEMBER.ID.in(all)).stream()
                        .collect(Collectors.toMap(
                                row -> row.value1().value(),
                                row -> new PlannedTask.Helper(row.value1(), row.value2())));
    }

    private static PlannedTask task(
            Record row, Map<ItemId, List<Task.After>> links, Map<UUID, PlannedTask.Helper> helpers) {
        Integer effort = row.get(TASK.EFFORT_MINUTES);
        Integer remaining = row.get(TASK.REMAINING_DAYS);
        Task.Shape shape = new Task.Shape(
                row.get(TASK.DAYS),
                Optional.ofNullable(row.get(TASK.NOT_BEFORE)),
                links.getOrDefault(row.get(ITEM.ID), List.of()),
                effort == null ? OptionalInt.empty() : OptionalInt.of(effort));
        Task.Actual actual = new Task.Actual(
                Optional.ofNullable(row.get(TASK.BEGAN_ON)),
                Optional.ofNullable(row.get(TASK.DONE_ON)),
                remaining == null
                        ? Optional.empty()
                        : Optional.of(new Task.Remaining(remaining, row.get(TASK.REMAINING_SAID_ON))));
        Task task = new Task(
                row.get(ITEM.ID),
                Optional.ofNullable(row.get(ITEM.PARENT_ID)),
                row.get(ITEM.NAME),
                row.get(TASK.SIDE),
                shape,
                row.get(TASK.STAGE),
                actual);
        String name = row.get(CONTACT.NAME) != null
                ? row.get(CONTACT.NAME)
                : row.get(TEAM_MEMBER.NAME) != null ? row.get(TEAM_MEMBER.NAME) : "";
        return new PlannedTask(
                task,
                row.get(ITEM.PROJECT_ID),
                row.get(TASK.POSITION),
                new PlannedTask.Hands(
                        Optional.ofNullable(row.get(TASK.CONTACT_ID)),
                        Optional.ofNullable(row.get(TASK.MEMBER_ID)),
                        name),
                new PlannedTask.Details(
                        Optional.ofNullable(row.get(TASK.PHASE_ID)),
                        Optional.ofNullable(row.get(TASK.MILESTONE_ID)),
                        follows(row),
                        due(row),
                        row.get(TASK.PRIORITY),
                        labels(row.get(TASK.LABELS)),
                        row.get(TASK.NOTES),
                        row.get(TASK.REPEATS),
                        new PlannedTask.Also(
                                List.of(row.get(TASK.ALSO_PHASES)),
                                Arrays.stream(row.get(TASK.ALSO_MEMBERS))
                                        .map(helpers::get)
                                        .filter(Objects::nonNull)
                                        .toList())),
                row.get(TASK.REVISION));
    }

    private static Optional<Follows> follows(Record row) {
        ItemId deliverable = row.get(TASK.DELIVERABLE_ID);
        if (deliverable != null) {
            return Optional.of(new Follows.OfDeliverable(deliverable));
        }
        Optional<Follows> paper = Optional.ofNullable(row.get(TASK.PAPER_ID)).map(Follows.OfPaper::new);
        return paper.or(() -> Optional.ofNullable(row.get(TASK.REQUEST_ID)).map(Follows.OfRequest::new));
    }

    private static Due due(Record row) {
        ItemId activity = row.get(TASK.DUE_BEFORE_ID);
        return new Due(
                Optional.ofNullable(row.get(TASK.DUE_ON)),
                Optional.ofNullable(row.get(TASK.DUE_HOUR)),
                activity == null
                        ? Optional.empty()
                        : Optional.of(new Due.Before(activity, row.get(TASK.DUE_BEFORE_DAYS))));
    }

    private static List<String> labels(String text) {
        return text.isEmpty() ? List.of() : Arrays.asList(text.split("\n"));
    }

    /** Makes a task of an item of kind Tasks. Its name and parent are the item's. */
    public void add(PlannedTask task) {
        db.insertInto(TASK)
                .set(TASK.ITEM_ID, task.id())
                .set(columns(task))
                .set(TASK.REVISION, 1)
                .execute();
        links(task.task());
    }

    /** Changes a task. @throws Stale if it was changed since it was read */
    public void change(PlannedTask wanted, Instant now) {
        Condition noticed = ITEM.NAME
                .ne(wanted.name())
                .or(DSL.exists(DSL.selectOne()
                        .from(TASK)
                        .where(
                                TASK.ITEM_ID.eq(ITEM.ID),
                                TASK.STAGE
                                        .ne(wanted.task().stage())
                                        .or(TASK.DUE_ON.isDistinctFrom(
                                                wanted.details().due().orElse(null))))));
        db.update(ITEM)
                .set(ITEM.CHANGED_AT, now)
                .where(ITEM.ID.eq(wanted.id()), noticed)
                .execute();
        Stale.unlessOne(
                db.update(TASK)
                        .set(columns(wanted))
                        .set(TASK.REVISION, TASK.REVISION.plus(1))
                        .where(TASK.ITEM_ID.eq(wanted.id()), TASK.REVISION.eq(wanted.revision()))
                        .execute(),
                wanted.name());
        db.update(ITEM)
                .set(ITEM.NAME, wanted.name())
                .where(ITEM.ID.eq(wanted.id()), ITEM.NAME.ne(wanted.name()))
                .execute();
        db.deleteFrom(TASK_LINK).where(TASK_LINK.ITEM_ID.eq(wanted.id())).execute();
        links(wanted.task());
    }

    /** Keeps the stage that a gathering task comes to; nobody edits it. */
    public void gathered(ItemId id, Stage stage) {
        db.update(TASK)
                .set(TASK.STAGE, stage)
                .where(TASK.ITEM_ID.eq(id), TASK.STAGE.ne(stage))
                .execute();
    }

    /** Keeps the day that followed from when something else begins; nobody edits it. */
    public void dueMoved(ItemId id, LocalDate day, Instant now) {
        db.update(TASK).set(TASK.DUE_ON, day).where(TASK.ITEM_ID.eq(id)).execute();
        db.update(ITEM).set(ITEM.CHANGED_AT, now).where(ITEM.ID.eq(id)).execute();
    }

    /** The projects in which something is due before something else begins. */
    public List<ProjectId> withDueBefore() {
        return db.selectDistinct(ITEM.PROJECT_ID)
                .from(TASK)
                .join(ITEM)
                .on(ITEM.ID.eq(TASK.ITEM_ID))
                .where(
                        TASK.DUE_BEFORE_ID.isNotNull(),
                        ITEM.DELETED_AT.isNull(),
                        TASK.STAGE.notIn(Stage.DONE, Stage.DROPPED))
                .fetch(ITEM.PROJECT_ID);
    }

    /** Gives the open tasks in a contact's hands to another. @return the projects they are in */
    public Set<ProjectId> handOver(ContactId from, ContactId to) {
        Set<ProjectId> touched = db.selectDistinct(ITEM.PROJECT_ID)
                .from(TASK)
                .join(ITEM)
                .on(ITEM.ID.eq(TASK.ITEM_ID))
                .where(TASK.CONTACT_ID.eq(from), TASK.STAGE.notIn(Stage.DONE, Stage.DROPPED))
                .fetchSet(ITEM.PROJECT_ID);
        db.update(TASK)
                .set(TASK.CONTACT_ID, to)
                .set(TASK.REVISION, TASK.REVISION.plus(1))
                .where(TASK.CONTACT_ID.eq(from), TASK.STAGE.notIn(Stage.DONE, Stage.DROPPED))
                .execute();
        return touched;
    }

    /**
     * Gives the tasks that somebody has and that are not ended to somebody else of the team. @return how many that were
     */
    public int handOver(TeamMemberId from, TeamMemberId to) {
        int had = db.update(TASK)
                .set(TASK.MEMBER_ID, to)
                .set(TASK.REVISION, TASK.REVISION.plus(1))
                .where(TASK.MEMBER_ID.eq(from), TASK.STAGE.notIn(Stage.DONE, Stage.DROPPED))
                .execute();
        helpNoMore(from);
        return had;
    }

    /**
     * Takes open tasks off the desks of those who only help with them: of somebody who goes, and of whoever does them
     * now.
     */
    private void helpNoMore(TeamMemberId gone) {
        db.select(TASK.ITEM_ID, TASK.MEMBER_ID, TASK.ALSO_MEMBERS)
                .from(TASK)
                .where(
                        TASK.STAGE.notIn(Stage.DONE, Stage.DROPPED),
                        DSL.cardinality(TASK.ALSO_MEMBERS).gt(0))
                .forEach(row -> {
                    UUID[] left = Arrays.stream(row.value3())
                            .filter(helper -> !helper.equals(gone.value())
                                    && (row.value2() == null
                                            || !helper.equals(row.value2().value())))
                            .toArray(UUID[]::new);
                    if (left.length < row.value3().length) {
                        db.update(TASK)
                                .set(TASK.ALSO_MEMBERS, left)
                                .set(TASK.REVISION, TASK.REVISION.plus(1))
                                .where(TASK.ITEM_ID.eq(row.value1()))
                                .execute();
                    }
                });
    }

    private static Map<?, ?> columns(PlannedTask planned) {
        Task task = planned.task();
        PlannedTask.Details details = planned.details();
        Map<Object, @Nullable Object> columns = new HashMap<>();
        columns.put(TASK.PHASE_ID, details.phase().orElse(null));
        columns.put(TASK.MILESTONE_ID, details.milestone().orElse(null));
        columns.put(TASK.DELIVERABLE_ID, details.deliverable().orElse(null));
        columns.put(TASK.REQUEST_ID, details.request().orElse(null));
        columns.put(TASK.PAPER_ID, details.paper().orElse(null));
        columns.put(TASK.CONTACT_ID, planned.hands().contact().orElse(null));
        columns.put(TASK.MEMBER_ID, planned.hands().member().orElse(null));
        columns.put(TASK.SIDE, task.side());
        columns.put(TASK.STAGE, task.stage());
        columns.put(TASK.DAYS, task.shape().days());
        columns.put(TASK.NOT_BEFORE, task.shape().notBefore().orElse(null));
        columns.put(TASK.DUE_ON, details.due().orElse(null));
        columns.put(TASK.DUE_HOUR, details.by().hour().orElse(null));
        columns.put(
                TASK.DUE_BEFORE_ID,
                details.by().before().map(Due.Before::activity).orElse(null));
        columns.put(
                TASK.DUE_BEFORE_DAYS,
                details.by().before().map(Due.Before::days).orElse(null));
        columns.put(
                TASK.EFFORT_MINUTES,
                task.shape().effortMinutes().isPresent()
                        ? task.shape().effortMinutes().getAsInt()
                        : null);
        columns.put(TASK.PRIORITY, details.priority());
        columns.put(TASK.LABELS, String.join("\n", details.labels()));
        columns.put(TASK.NOTES, details.notes());
        columns.put(TASK.REPEATS, details.repeats());
        columns.put(TASK.ALSO_PHASES, details.also().phases().toArray(UUID[]::new));
        columns.put(
                TASK.ALSO_MEMBERS,
                details.also().helpers().stream()
                        .map(helper -> helper.id().value())
                        .toArray(UUID[]::new));
        columns.put(TASK.BEGAN_ON, task.actual().began().orElse(null));
        columns.put(TASK.DONE_ON, task.actual().done().orElse(null));
        columns.put(
                TASK.REMAINING_DAYS,
                task.actual().remaining().map(Task.Remaining::days).orElse(null));
        columns.put(
                TASK.REMAINING_SAID_ON,
                task.actual().remaining().map(Task.Remaining::saidOn).orElse(null));
        columns.put(TASK.POSITION, planned.position());
        return columns;
    }

    private void links(Task task) {
        task.shape().after().forEach(link -> db.insertInto(TASK_LINK)
                .set(TASK_LINK.ITEM_ID, task.id())
                .set(TASK_LINK.PREDECESSOR_ITEM_ID, link.predecessor())
                .set(TASK_LINK.LAG_DAYS, link.lagDays())
                .execute());
    }

    /** The place behind all tasks of a project. */
    public int nextPosition(ProjectId project) {
        return db.select(DSL.coalesce(DSL.max(TASK.POSITION), -1).plus(1))
                .from(TASK)
                .join(ITEM)
                .on(ITEM.ID.eq(TASK.ITEM_ID))
                .where(ITEM.PROJECT_ID.eq(project))
                .fetchSingle()
                .value1();
    }

    /** Makes room for a task at a position, by moving those at it and behind it one on. */
    public void makeRoom(ProjectId project, int position) {
        db.update(TASK)
                .set(TASK.POSITION, TASK.POSITION.plus(1))
                .where(
                        TASK.POSITION.ge(position),
                        TASK.ITEM_ID.in(DSL.select(ITEM.ID).from(ITEM).where(ITEM.PROJECT_ID.eq(project))))
                .execute();
    }

    /** Notes what moved the turn of a task. */
    public void turned(ItemId id, TurnEvent what, Actor by, Instant at) {
        db.insertInto(TASK_TURN)
                .set(TASK_TURN.ITEM_ID, id)
                .set(TASK_TURN.WHAT, what)
                .set(TASK_TURN.TURNED_BY, by)
                .set(TASK_TURN.TURNED_AT, at)
                .execute();
    }

    /** Whose turn each task was, for those that meet a condition on {@code item}. */
    public Map<ItemId, TurnLedger> ledgers(Condition condition) {
        Map<ItemId, List<TurnLedger.Event>> events = new HashMap<>();
        Map<ItemId, Instant> created = new HashMap<>();
        db.select(ITEM.ID, ITEM.CREATED_AT, TASK_TURN.WHAT, TASK_TURN.TURNED_AT)
                .from(TASK)
                .join(ITEM)
                .on(ITEM.ID.eq(TASK.ITEM_ID))
                .leftJoin(TASK_TURN)
                .on(TASK_TURN.ITEM_ID.eq(TASK.ITEM_ID))
                .where(condition)
                .orderBy(ITEM.ID, TASK_TURN.SEQUENCE)
                .forEach(row -> {
                    created.put(row.value1(), row.value2());
                    if (row.value3() != null) {
                        events.computeIfAbsent(row.value1(), none -> new ArrayList<>())
                                .add(new TurnLedger.Event(row.value3(), row.value4()));
                    }
                });
        return created.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        entry -> new TurnLedger(entry.getValue(), events.getOrDefault(entry.getKey(), List.of()))));
    }

    /** The same for a project. */
    public Map<ItemId, TurnLedger> ledgers(ProjectId project) {
        return ledgers(ITEM.PROJECT_ID.eq(project));
    }

    /** The same for some projects. */
    public Map<ItemId, TurnLedger> ledgers(Collection<ProjectId> projects) {
        return ledgers(ITEM.PROJECT_ID.in(projects));
    }

    /** Something said of a task. */
    public record Comment(UUID id, ItemId task, String said, boolean teamOnly, String author, Instant at) {}

    /** Keeps what somebody says of a task. */
    public void say(ItemId task, String said, boolean teamOnly, Actor author, Instant now) {
        db.insertInto(TASK_COMMENT)
                .set(TASK_COMMENT.ID, UUID.randomUUID())
                .set(TASK_COMMENT.ITEM_ID, task)
                .set(TASK_COMMENT.SAID, said)
                .set(TASK_COMMENT.TEAM_ONLY, teamOnly)
                .set(TASK_COMMENT.AUTHOR, author.name())
                .set(TASK_COMMENT.AUTHOR_CONTACT, author.contact().orElse(null))
                .set(TASK_COMMENT.AUTHOR_MEMBER, author.member().orElse(null))
                .set(TASK_COMMENT.CREATED_AT, now)
                .execute();
    }

    /** What was said of a task, in order. */
    public List<Comment> comments(ItemId task) {
        return comments(db, TASK_COMMENT.ITEM_ID.eq(task));
    }

    /** What was said of tasks, as far as it meets a condition. */
    public static List<Comment> comments(DSLContext db, Condition condition) {
        return db.select(
                        TASK_COMMENT.ID,
                        TASK_COMMENT.ITEM_ID,
                        TASK_COMMENT.SAID,
                        TASK_COMMENT.TEAM_ONLY,
                        TASK_COMMENT.AUTHOR,
                        TASK_COMMENT.CREATED_AT)
                .from(TASK_COMMENT)
                .where(condition)
                .orderBy(TASK_COMMENT.SEQUENCE)
                .fetch(Records.mapping(Comment::new));
    }
}
