package app.clearpane.store.desk;

import static app.clearpane.store.schema.Tables.CLASH_TURN;
import static app.clearpane.store.schema.Tables.CLIENT;
import static app.clearpane.store.schema.Tables.DELIVERABLE;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.MARKUP;
import static app.clearpane.store.schema.Tables.PAPER;
import static app.clearpane.store.schema.Tables.PAPER_RECIPIENT;
import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.RELEASE;
import static app.clearpane.store.schema.Tables.REQUEST;
import static app.clearpane.store.schema.Tables.ROUND;
import static app.clearpane.store.schema.Tables.TASK;
import static app.clearpane.store.schema.Tables.TASK_LINK;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.selectOne;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.supply.HeldRequest;
import app.clearpane.core.supply.Request;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.turns.TurnTally;
import app.clearpane.store.project.Projects;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** How much of the projects that are worked on each side holds, in one statement. */
public final class TurnCounts {
    /** What is known of the papers of a project that may wait for its client. */
    private static final Field<List<PaperState.Facts>> PAPERS = DSL.multiset(DSL.select(
                            PAPER.KIND,
                            PAPER.DUE_ON,
                            recipients(DSL.noCondition()),
                            recipients(PAPER_RECIPIENT.SEEN_AT.isNotNull()),
                            recipients(PAPER_RECIPIENT.NAMED_AT.isNotNull()),
                            recipients(PAPER_RECIPIENT.DECLINED_AT.isNotNull()))
                    .from(PAPER)
                    .where(
                            PAPER.PROJECT_ID.eq(PROJECT.ID),
                            PAPER.SENT_AT.isNotNull(),
                            PAPER.WITHDRAWN_AT.isNull(),
                            PAPER.PAID_ON.isNull()))
            .as("papers")
            .convertFrom(rows -> rows.map(row -> new PaperState.Facts(
                    row.value1(),
                    true,
                    false,
                    false,
                    row.value3(),
                    row.value4(),
                    row.value5(),
                    row.value6(),
                    Optional.ofNullable(row.value2()))));

    /** The requests of a project that one side holds. */
    private static final Field<List<HeldRequest>> REQUESTS = DSL.multiset(DSL.select(
                            REQUEST.ID,
                            REQUEST.PROJECT_ID,
                            REQUEST.TITLE,
                            REQUEST.TURN,
                            REQUEST.SENT_AT,
                            REQUEST.DUE_AT,
                            REQUEST.HELD_AT)
                    .from(REQUEST)
                    .where(REQUEST.PROJECT_ID.eq(PROJECT.ID), REQUEST.TURN.ne(Turn.NOBODYS))
                    .orderBy(REQUEST.DUE_AT, REQUEST.ID))
            .as("requests")
            .convertFrom(rows -> rows.map(row -> new HeldRequest(
                    row.value1(),
                    row.value2(),
                    row.value3(),
                    row.value4(),
                    Optional.ofNullable(row.value5())
                            .map(sent -> new Request.Sent(sent, row.value6(), row.value7())))));

    private final DSLContext db;

    public TurnCounts(DSLContext db) {
        this.db = db;
    }

    /** In one project, put away or not. */
    public TurnTally ofProject(ProjectId project, LocalDate today) {
        return select(PROJECT.ID.eq(project), today).stream()
                .map(Held::turns)
                .findFirst()
                .orElse(TurnTally.NONE);
    }

    /** A project and who holds what in it. @param requests those that one side holds */
    public record Held(Project project, TurnTally turns, List<HeldRequest> requests) {}

    /** Each project that is worked on, by the name of its client. */
    public List<Held> workedOn(LocalDate today) {
        return select(PROJECT.ARCHIVED_AT.isNull(), today);
    }

    private List<Held> select(Condition condition, LocalDate today) {
        Condition reviewed = exists(selectOne()
                .from(ROUND)
                .join(VERSION)
                .on(VERSION.ID.eq(ROUND.VERSION_ID))
                .where(VERSION.DELIVERABLE_ID.eq(DELIVERABLE.ITEM_ID), ROUND.CLOSED_AT.isNull()));
        var current =
                DSL.select(max(VERSION.NUMBER)).from(VERSION).where(VERSION.DELIVERABLE_ID.eq(DELIVERABLE.ITEM_ID));
        Condition released = exists(selectOne()
                .from(RELEASE)
                .join(VERSION)
                .on(VERSION.ID.eq(RELEASE.VERSION_ID))
                .where(
                        RELEASE.DELIVERABLE_ID.eq(DELIVERABLE.ITEM_ID),
                        VERSION.NUMBER.eq(current),
                        RELEASE.RECALLED_AT.isNull()));
        Condition withClients = released.not()
                .and(clashWith(true).or(reviewed.and(clashWith(false).not())));
        Field<ProjectId> of = ITEM.PROJECT_ID.as("of");
        Field<Integer> ours = DSL.count().filterWhere(withClients.not().and(released.not()));
        Field<Integer> clients = DSL.count().filterWhere(withClients);
        Field<Integer> nobodys = DSL.count().filterWhere(withClients.not().and(released));
        Field<Integer> afterwards =
                DSL.count().filterWhere(withClients.not().and(released).and(askedAfterwards()));
        var counts = db.select(
                        of, ours.as("ours"), clients.as("clients"), nobodys.as("nobodys"), afterwards.as("afterwards"))
                .from(DELIVERABLE)
                .join(ITEM)
                .on(ITEM.ID.eq(DELIVERABLE.ITEM_ID))
                .join(PROJECT)
                .on(PROJECT.ID.eq(ITEM.PROJECT_ID))
                .where(ITEM.KIND.eq(ContentKind.DELIVERABLES), ITEM.DELETED_AT.isNull())
                .and(condition)
                .groupBy(ITEM.PROJECT_ID)
                .asTable("counts");
        Field<ProjectId> inProject = ITEM.PROJECT_ID.as("in_project");
        Condition client = TASK.SIDE.eq(Side.CLIENTS).and(TASK.BEGAN_ON.isNotNull());
        Field<Integer> ourTasks = DSL.count()
                .filterWhere(
                        TASK.SIDE.eq(Side.OURS).and(TASK.BEGAN_ON.isNotNull().or(mayBegin(today))));
        Field<Integer> clientTasks = DSL.count().filterWhere(client);
        var tasks = db.select(inProject, ourTasks.as("our_tasks"), clientTasks.as("client_tasks"))
                .from(TASK)
                .join(ITEM)
                .on(ITEM.ID.eq(TASK.ITEM_ID))
                .join(PROJECT)
                .on(PROJECT.ID.eq(ITEM.PROJECT_ID))
                .where(
                        TASK.STAGE.in(Stage.TO_DO, Stage.UNDER_WAY, Stage.IN_CHECK),
                        TASK.DAYS.gt(0),
                        TASK.DELIVERABLE_ID.isNull(),
                        TASK.REQUEST_ID.isNull(),
                        TASK.PAPER_ID.isNull(),
                        isLeaf(),
                        ITEM.KIND.eq(ContentKind.TASKS),
                        ITEM.DELETED_AT.isNull())
                .and(condition)
                .groupBy(ITEM.PROJECT_ID)
                .asTable("tasks");
        return db.select(Projects.fields())
                .select(counts.fields())
                .select(tasks.fields())
                .select(PAPERS, REQUESTS)
                .from(PROJECT)
                .join(CLIENT)
                .on(CLIENT.ID.eq(PROJECT.CLIENT_ID))
                .leftJoin(counts)
                .on(counts.field(of).eq(PROJECT.ID))
                .leftJoin(tasks)
                .on(tasks.field(inProject).eq(PROJECT.ID))
                .where(condition)
                .orderBy(CLIENT.NAME, PROJECT.NAME, PROJECT.ID)
                .fetch(row -> new Held(
                        Projects.project(row),
                        new TurnTally(
                                zero(row.get("ours", Integer.class)),
                                zero(row.get("clients", Integer.class)),
                                zero(row.get("nobodys", Integer.class)),
                                zero(row.get("our_tasks", Integer.class)),
                                zero(row.get("client_tasks", Integer.class)),
                                zero(row.get("afterwards", Integer.class)),
                                new TurnTally.ByName(
                                        (int) row.get(PAPERS).stream()
                                                .filter(paper -> PaperState.isAwaited(paper, today))
                                                .count(),
                                        (int) row.get(PAPERS).stream()
                                                .filter(paper -> PaperState.isBack(paper, today))
                                                .count(),
                                        held(row.get(REQUESTS), Turn.CLIENTS),
                                        held(row.get(REQUESTS), Turn.OURS))),
                        row.get(REQUESTS)));
    }

    /** Wishes on the version sent last clash, and one side is to rule; where both are, the client's counts. */
    private static Condition clashWith(boolean client) {
        var later = VERSION.as("later");
        return exists(selectOne()
                .from(CLASH_TURN)
                .join(ROUND)
                .on(ROUND.ID.eq(CLASH_TURN.ROUND_ID))
                .join(VERSION)
                .on(VERSION.ID.eq(ROUND.VERSION_ID))
                .where(
                        VERSION.DELIVERABLE_ID.eq(DELIVERABLE.ITEM_ID),
                        CLASH_TURN.SETTLED_AT.isNull(),
                        CLASH_TURN.WITH_CLIENT.eq(client))
                .andNotExists(selectOne()
                        .from(later)
                        .where(later.DELIVERABLE_ID.eq(VERSION.DELIVERABLE_ID), later.NUMBER.gt(VERSION.NUMBER))));
    }

    /** Something was asked for on the version sent last, once it was agreed. */
    private static Condition askedAfterwards() {
        var later = VERSION.as("later_version");
        return exists(selectOne()
                .from(MARKUP)
                .join(VERSION)
                .on(VERSION.ID.eq(MARKUP.VERSION_ID))
                .join(ROUND)
                .on(ROUND.VERSION_ID.eq(VERSION.ID))
                .where(
                        VERSION.DELIVERABLE_ID.eq(DELIVERABLE.ITEM_ID),
                        ROUND.OUTCOME.in(Outcome.SIGNED, Outcome.SIGNED_WITH_NOTES),
                        MARKUP.CREATED_AT.gt(ROUND.CLOSED_AT),
                        MARKUP.PROGRESS.in(MarkupProgress.OPEN, MarkupProgress.TAKEN_ON),
                        MARKUP.INTENT.ne(Intent.KEEP))
                .andNotExists(selectOne()
                        .from(later)
                        .where(later.DELIVERABLE_ID.eq(VERSION.DELIVERABLE_ID), later.NUMBER.gt(VERSION.NUMBER))));
    }

    /** Nothing stands before it any more. */
    private static Condition mayBegin(LocalDate today) {
        var before = TASK.as("before");
        var there = ITEM.as("there");
        return TASK.NOT_BEFORE
                .isNull()
                .or(TASK.NOT_BEFORE.le(today))
                .and(DSL.notExists(selectOne()
                        .from(TASK_LINK)
                        .join(before)
                        .on(before.ITEM_ID.eq(TASK_LINK.PREDECESSOR_ITEM_ID))
                        .join(there)
                        .on(there.ID.eq(before.ITEM_ID), there.DELETED_AT.isNull())
                        .where(
                                TASK_LINK.ITEM_ID.eq(TASK.ITEM_ID),
                                before.STAGE.in(Stage.TO_DO, Stage.UNDER_WAY, Stage.IN_CHECK))));
    }

    private static Condition isLeaf() {
        var part = ITEM.as("part");
        return DSL.notExists(selectOne().from(part).where(part.PARENT_ID.eq(ITEM.ID), part.DELETED_AT.isNull()));
    }

    private static Field<Integer> recipients(Condition which) {
        return DSL.field(DSL.selectCount()
                .from(PAPER_RECIPIENT)
                .where(PAPER_RECIPIENT.PAPER_ID.eq(PAPER.ID))
                .and(which));
    }

    private static int held(List<HeldRequest> requests, Turn turn) {
        return (int) requests.stream().filter(one -> one.turn() == turn).count();
    }

    private static int zero(@Nullable Integer count) {
        return count == null ? 0 : count;
    }
}
