package app.clearpane.store.project;

import static app.clearpane.store.schema.Tables.CLIENT;
import static app.clearpane.store.schema.Tables.HOUSE_USUAL;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.MILESTONE;
import static app.clearpane.store.schema.Tables.PHASE;
import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.TASK;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.Ending;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.Stale;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.SelectOnConditionStep;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Projects, their phases and milestones. */
public final class Projects {
    private final DSLContext db;

    public Projects(DSLContext db) {
        this.db = db;
    }

    /** Opens a project. */
    public void open(Project project, Instant now) {
        db.insertInto(PROJECT)
                .set(PROJECT.ID, project.id())
                .set(PROJECT.CLIENT_ID, project.client())
                .set(PROJECT.MANAGER_ID, project.manager())
                .set(PROJECT.NAME, project.name())
                .set(PROJECT.COVER, project.cover())
                .set(PROJECT.CURRENCY, project.currency())
                .set(PROJECT.TAX_PERCENT, project.taxPercent())
                .set(PROJECT.PAYMENT_DAYS, project.paymentDays())
                .set(PROJECT.STARTS_ON, project.startsOn())
                .set(PROJECT.AGREED_ON, project.agreedOn())
                .set(PROJECT.REVISION, 1)
                .set(PROJECT.CREATED_AT, now)
                .execute();
    }

    /** A project. */
    public Optional<Project> find(ProjectId id) {
        return select().where(PROJECT.ID.eq(id)).fetchOptional(Projects::project);
    }

    /** Some projects. */
    public List<Project> all(Collection<ProjectId> ids) {
        return select().where(PROJECT.ID.in(ids)).fetch(Projects::project);
    }

    /** The projects that are worked on, by the name of their client. */
    public List<Project> active() {
        return select().where(PROJECT.ARCHIVED_AT.isNull())
                .orderBy(CLIENT.NAME, PROJECT.NAME, PROJECT.ID)
                .fetch(Projects::project);
    }

    /** The projects that were put away, the latest first. */
    public List<Project> archived() {
        return select().where(PROJECT.ARCHIVED_AT.isNotNull())
                .orderBy(PROJECT.ARCHIVED_AT.desc(), PROJECT.ID)
                .fetch(Projects::project);
    }

    /** What {@link #project} reads, of {@code project} joined with {@code client}. */
    public static List<Field<?>> fields() {
        return List.of(
                PROJECT.ID,
                PROJECT.CLIENT_ID,
                CLIENT.NAME,
                CLIENT.OWN,
                PROJECT.MANAGER_ID,
                PROJECT.NAME,
                PROJECT.COVER,
                PROJECT.CURRENCY,
                PROJECT.TAX_PERCENT,
                PROJECT.PAYMENT_DAYS,
                PROJECT.STARTS_ON,
                PROJECT.AGREED_ON,
                PROJECT.ARCHIVED_AT,
                PROJECT.ENDED,
                PROJECT.ENDED_BECAUSE,
                PROJECT.PAUSED_AT,
                PROJECT.PAUSED_BECAUSE,
                PROJECT.PLAN_REVISION,
                PROJECT.REVISION);
    }

    private SelectOnConditionStep<? extends Record> select() {
        return db.select(fields()).from(PROJECT).join(CLIENT).on(CLIENT.ID.eq(PROJECT.CLIENT_ID));
    }

    /** A project from a row. */
    public static Project project(Record row) {
        return new Project(
                row.get(PROJECT.ID),
                row.get(PROJECT.CLIENT_ID),
                row.get(CLIENT.OWN) ? "" : row.get(CLIENT.NAME),
                row.get(PROJECT.MANAGER_ID),
                row.get(PROJECT.NAME),
                row.get(PROJECT.COVER),
                row.get(PROJECT.CURRENCY),
                row.get(PROJECT.TAX_PERCENT),
                row.get(PROJECT.PAYMENT_DAYS),
                row.get(PROJECT.STARTS_ON),
                row.get(PROJECT.AGREED_ON),
                row.get(PROJECT.ARCHIVED_AT),
                row.get(PROJECT.ENDED),
                row.get(PROJECT.ENDED_BECAUSE),
                row.get(PROJECT.PAUSED_AT),
                row.get(PROJECT.PAUSED_BECAUSE),
                row.get(PROJECT.PLAN_REVISION),
                row.get(PROJECT.REVISION));
    }

    /** Days from an invoice's date until it is due: the project's own, else the house's. */
    public int paymentDays(ProjectId id) {
        return db.select(DSL.coalesce(PROJECT.PAYMENT_DAYS, HOUSE_USUAL.PAYMENT_DAYS))
                .from(PROJECT)
                .crossJoin(HOUSE_USUAL)
                .where(PROJECT.ID.eq(id))
                .fetchSingle()
                .value1();
    }

    /** Gives everything that somebody manages to somebody else. @return how many projects that were */
    public int handOver(TeamMemberId from, TeamMemberId to) {
        return db.update(PROJECT)
                .set(PROJECT.MANAGER_ID, to)
                .set(PROJECT.REVISION, PROJECT.REVISION.plus(1))
                .where(PROJECT.MANAGER_ID.eq(from))
                .execute();
    }

    /**
     * Puts a project away. @param because what was said of its end @throws Stale if it was changed since it was read
     */
    public void archive(Project read, Ending ended, String because, Instant now) {
        Stale.unlessOne(
                db.update(PROJECT)
                        .set(PROJECT.ARCHIVED_AT, now)
                        .set(PROJECT.ENDED, ended)
                        .set(PROJECT.ENDED_BECAUSE, because)
                        .set(PROJECT.REVISION, PROJECT.REVISION.plus(1))
                        .where(PROJECT.ID.eq(read.id()), PROJECT.REVISION.eq(read.revision()))
                        .execute(),
                read.name());
    }

    /** Takes a project up again that was put away. @throws Stale if it was changed since it was read */
    public void restore(Project read) {
        Stale.unlessOne(
                db.update(PROJECT)
                        .setNull(PROJECT.ARCHIVED_AT)
                        .setNull(PROJECT.ENDED)
                        .set(PROJECT.ENDED_BECAUSE, "")
                        .set(PROJECT.REVISION, PROJECT.REVISION.plus(1))
                        .where(PROJECT.ID.eq(read.id()), PROJECT.REVISION.eq(read.revision()))
                        .execute(),
                read.name());
    }

    /** Lets a project rest, or go on. @param since null to go on @throws Stale if it was changed since it was read */
    public void pause(Project read, @Nullable Instant since, String because) {
        Stale.unlessOne(
                db.update(PROJECT)
                        .set(PROJECT.PAUSED_AT, since)
                        .set(PROJECT.PAUSED_BECAUSE, because)
                        .set(PROJECT.REVISION, PROJECT.REVISION.plus(1))
                        .where(PROJECT.ID.eq(read.id()), PROJECT.REVISION.eq(read.revision()))
                        .execute(),
                read.name());
    }

    /** Notes that something about a project's plan changed, and locks it until the transaction ends. */
    public void planChanged(ProjectId id) {
        db.update(PROJECT)
                .set(PROJECT.PLAN_REVISION, PROJECT.PLAN_REVISION.plus(1))
                .where(PROJECT.ID.eq(id))
                .execute();
    }

    /** The phases of some projects, in order. */
    public Map<ProjectId, List<Phase>> phases(Collection<ProjectId> projects) {
        return db.select(
                        PHASE.PROJECT_ID,
                        PHASE.ID,
                        PHASE.NAME,
                        PHASE.STARTS_ON,
                        PHASE.ENDS_ON,
                        PHASE.STAGE,
                        PHASE.WORDS,
                        PHASE.REVISION)
                .from(PHASE)
                .where(PHASE.PROJECT_ID.in(projects))
                .orderBy(PHASE.POSITION, PHASE.ID)
                .fetchGroups(
                        PHASE.PROJECT_ID,
                        row -> new Phase(
                                row.get(PHASE.ID),
                                row.get(PHASE.NAME),
                                row.get(PHASE.STARTS_ON),
                                row.get(PHASE.ENDS_ON),
                                Phase.Stage.valueOf(row.get(PHASE.STAGE)),
                                row.get(PHASE.WORDS),
                                row.get(PHASE.REVISION)));
    }

    /** The milestones of some projects, by day. */
    public Map<ProjectId, List<Milestone>> milestones(Collection<ProjectId> projects) {
        return db.select(ITEM.PROJECT_ID, ITEM.ID, ITEM.NAME, MILESTONE.FALLS_ON, MILESTONE.REACHED, MILESTONE.REVISION)
                .from(MILESTONE)
                .join(ITEM)
                .on(ITEM.ID.eq(MILESTONE.ITEM_ID))
                .where(ITEM.PROJECT_ID.in(projects), ITEM.KIND.eq(ContentKind.DATES), ITEM.DELETED_AT.isNull())
                .orderBy(MILESTONE.FALLS_ON, ITEM.NAME, ITEM.ID)
                .fetchGroups(
                        ITEM.PROJECT_ID,
                        row -> new Milestone(
                                row.get(ITEM.ID),
                                row.get(ITEM.NAME),
                                row.get(MILESTONE.FALLS_ON),
                                row.get(MILESTONE.REACHED),
                                row.get(MILESTONE.REVISION)));
    }

    /** The phases of a project, in order. */
    public List<Phase> phases(ProjectId project) {
        return db.select(PHASE.ID, PHASE.NAME, PHASE.STARTS_ON, PHASE.ENDS_ON, PHASE.STAGE, PHASE.WORDS, PHASE.REVISION)
                .from(PHASE)
                .where(PHASE.PROJECT_ID.eq(project))
                .orderBy(PHASE.POSITION, PHASE.ID)
                .fetch(row -> new Phase(
                        row.value1(),
                        row.value2(),
                        row.value3(),
                        row.value4(),
                        Phase.Stage.valueOf(row.value5()),
                        row.value6(),
                        row.value7()));
    }

    /** Adds a phase at the end. */
    public void addPhase(ProjectId project, Phase phase, int position) {
        db.insertInto(PHASE)
                .set(PHASE.ID, phase.id())
                .set(PHASE.PROJECT_ID, project)
                .set(PHASE.NAME, phase.name())
                .set(PHASE.POSITION, position)
                .set(PHASE.STARTS_ON, phase.startsOn())
                .set(PHASE.ENDS_ON, phase.endsOn())
                .set(PHASE.STAGE, phase.stage().name())
                .set(PHASE.WORDS, phase.words())
                .set(PHASE.REVISION, 1)
                .execute();
    }

    /** The phases of a project in which no task stands, deleted or not. */
    public Set<UUID> emptyPhases(ProjectId project) {
        return db.select(PHASE.ID)
                .from(PHASE)
                .where(PHASE.PROJECT_ID.eq(project))
                .andNotExists(DSL.selectOne().from(TASK).where(TASK.PHASE_ID.eq(PHASE.ID)))
                .fetchSet(PHASE.ID);
    }

    /** Deletes a phase in which no task stands. @throws Stale if it was changed since it was read */
    public void deletePhase(ProjectId project, Phase read) {
        Stale.unlessOne(
                db.deleteFrom(PHASE)
                        .where(PHASE.ID.eq(read.id()), PHASE.PROJECT_ID.eq(project), PHASE.REVISION.eq(read.revision()))
                        .execute(),
                read.name());
    }

    /**
     * Changes what a project is called, how it is reckoned and who manages it. @throws Stale if it was changed since it
     * was read
     */
    public void change(Project wanted) {
        Stale.unlessOne(
                db.update(PROJECT)
                        .set(PROJECT.CLIENT_ID, wanted.client())
                        .set(PROJECT.NAME, wanted.name())
                        .set(PROJECT.COVER, wanted.cover())
                        .set(PROJECT.CURRENCY, wanted.currency())
                        .set(PROJECT.TAX_PERCENT, wanted.taxPercent())
                        .set(PROJECT.PAYMENT_DAYS, wanted.paymentDays())
                        .set(PROJECT.MANAGER_ID, wanted.manager())
                        .set(PROJECT.REVISION, PROJECT.REVISION.plus(1))
                        .where(PROJECT.ID.eq(wanted.id()), PROJECT.REVISION.eq(wanted.revision()))
                        .execute(),
                wanted.name());
    }

    /** Changes a phase's name, days and stage. @throws Stale if it was changed since it was read */
    public void changePhase(ProjectId project, Phase wanted) {
        Stale.unlessOne(
                db.update(PHASE)
                        .set(PHASE.NAME, wanted.name())
                        .set(PHASE.STARTS_ON, wanted.startsOn())
                        .set(PHASE.ENDS_ON, wanted.endsOn())
                        .set(PHASE.STAGE, wanted.stage().name())
                        .set(PHASE.WORDS, wanted.words())
                        .set(PHASE.REVISION, PHASE.REVISION.plus(1))
                        .where(
                                PHASE.ID.eq(wanted.id()),
                                PHASE.PROJECT_ID.eq(project),
                                PHASE.REVISION.eq(wanted.revision()))
                        .execute(),
                wanted.name());
    }

    /** Puts the phases of a project in another order. @param ids all of them */
    public void orderPhases(ProjectId project, List<UUID> ids) {
        for (int position = 0; position < ids.size(); position++) {
            db.update(PHASE)
                    .set(PHASE.POSITION, position)
                    .where(PHASE.PROJECT_ID.eq(project), PHASE.ID.eq(ids.get(position)))
                    .execute();
        }
    }

    /** A phase of a project. */
    public Optional<Phase> phase(ProjectId project, UUID id) {
        return phases(project).stream().filter(phase -> phase.id().equals(id)).findFirst();
    }

    /** The milestones of a project, by day. */
    public List<Milestone> milestones(ProjectId project) {
        return db.select(ITEM.ID, ITEM.NAME, MILESTONE.FALLS_ON, MILESTONE.REACHED, MILESTONE.REVISION)
                .from(MILESTONE)
                .join(ITEM)
                .on(ITEM.ID.eq(MILESTONE.ITEM_ID))
                .where(ITEM.PROJECT_ID.eq(project), ITEM.DELETED_AT.isNull())
                .orderBy(MILESTONE.FALLS_ON, ITEM.NAME, ITEM.ID)
                .fetch(org.jooq.Records.mapping(Milestone::new));
    }

    /** Gives an item of kind Dates its day. */
    public void addMilestone(ItemId item, LocalDate fallsOn) {
        db.insertInto(MILESTONE)
                .set(MILESTONE.ITEM_ID, item)
                .set(MILESTONE.FALLS_ON, fallsOn)
                .set(MILESTONE.REACHED, false)
                .set(MILESTONE.REVISION, 1)
                .execute();
    }

    /**
     * Changes a milestone's name, its day and whether it is reached. @throws Stale if it was changed since it was read
     */
    public void changeMilestone(Milestone wanted, Instant now) {
        Stale.unlessOne(
                db.update(MILESTONE)
                        .set(MILESTONE.FALLS_ON, wanted.fallsOn())
                        .set(MILESTONE.REACHED, wanted.reached())
                        .set(MILESTONE.REVISION, MILESTONE.REVISION.plus(1))
                        .where(MILESTONE.ITEM_ID.eq(wanted.id()), MILESTONE.REVISION.eq(wanted.revision()))
                        .execute(),
                wanted.name());
        db.update(ITEM)
                .set(ITEM.NAME, wanted.name())
                .set(ITEM.CHANGED_AT, now)
                .where(ITEM.ID.eq(wanted.id()))
                .execute();
    }
}
