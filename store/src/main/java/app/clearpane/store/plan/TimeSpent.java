package app.clearpane.store.plan;

import static app.clearpane.store.schema.Tables.CLIENT;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.TEAM_MEMBER;
import static app.clearpane.store.schema.Tables.TIME_SPENT;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Time that people of the team spent on tasks, and clocks that run. */
public final class TimeSpent {
    private final DSLContext db;

    public TimeSpent(DSLContext db) {
        this.db = db;
    }

    /**
     * One stretch of it.
     *
     * @param minutes null while the clock runs
     * @param since when it was written down, or the clock started
     */
    public record Entry(
            UUID id,
            ItemId task,
            TeamMemberId member,
            String name,
            @Nullable Integer minutes,
            LocalDate on,
            Instant since) {
        /** Whether its clock runs. */
        public boolean running() {
            return minutes == null;
        }
    }

    /** Writes a stretch down, or starts a clock. @param minutes more than 0; null for a clock */
    public void add(ItemId task, TeamMemberId member, @Nullable Integer minutes, LocalDate on, Instant now) {
        db.insertInto(TIME_SPENT)
                .set(TIME_SPENT.ID, UUID.randomUUID())
                .set(TIME_SPENT.ITEM_ID, task)
                .set(TIME_SPENT.MEMBER_ID, member)
                .set(TIME_SPENT.MINUTES, minutes)
                .set(TIME_SPENT.SPENT_ON, on)
                .set(TIME_SPENT.CREATED_AT, now)
                .execute();
    }

    /** What was spent on a task, the latest first. */
    public List<Entry> entriesOf(ItemId task) {
        return where(TIME_SPENT.ITEM_ID.eq(task));
    }

    /** The clock somebody has running. */
    public Optional<Entry> running(TeamMemberId member) {
        return where(TIME_SPENT.MEMBER_ID.eq(member).and(TIME_SPENT.MINUTES.isNull())).stream()
                .findFirst();
    }

    /** A stretch of somebody's day. @param minutes null while the clock runs */
    public record OnDay(
            UUID id,
            ItemId task,
            String taskName,
            String project,
            @Nullable Integer minutes) {
        /** How long it was; 0 while the clock runs. */
        public int spent() {
            return minutes == null ? 0 : minutes;
        }
    }

    /** What somebody wrote down for a day, in the order in which it was. */
    public List<OnDay> ofDay(TeamMemberId member, LocalDate day) {
        return db.select(
                        TIME_SPENT.ID,
                        TIME_SPENT.ITEM_ID,
                        ITEM.NAME,
                        CLIENT.NAME.concat(": ").concat(PROJECT.NAME),
                        TIME_SPENT.MINUTES)
                .from(TIME_SPENT)
                .join(ITEM)
                .on(ITEM.ID.eq(TIME_SPENT.ITEM_ID))
                .join(PROJECT)
                .on(PROJECT.ID.eq(ITEM.PROJECT_ID))
                .join(CLIENT)
                .on(CLIENT.ID.eq(PROJECT.CLIENT_ID))
                .where(TIME_SPENT.MEMBER_ID.eq(member), TIME_SPENT.SPENT_ON.eq(day))
                .orderBy(TIME_SPENT.CREATED_AT, TIME_SPENT.ID)
                .fetch(Records.mapping(OnDay::new));
    }

    /** How long somebody worked on a project. */
    public record Sum(ProjectId project, String projectName, TeamMemberId member, String name, int minutes) {}

    /**
     * What was written down from a day to another, both among them, by project and person; clocks that run are not in
     * it.
     */
    public List<Sum> between(LocalDate from, LocalDate to) {
        return db.select(
                        PROJECT.ID,
                        CLIENT.NAME.concat(": ").concat(PROJECT.NAME).as("full_name"),
                        TEAM_MEMBER.ID,
                        TEAM_MEMBER.NAME,
                        DSL.sum(TIME_SPENT.MINUTES).cast(Integer.class))
                .from(TIME_SPENT)
                .join(ITEM)
                .on(ITEM.ID.eq(TIME_SPENT.ITEM_ID))
                .join(PROJECT)
                .on(PROJECT.ID.eq(ITEM.PROJECT_ID))
                .join(CLIENT)
                .on(CLIENT.ID.eq(PROJECT.CLIENT_ID))
                .join(TEAM_MEMBER)
                .on(TEAM_MEMBER.ID.eq(TIME_SPENT.MEMBER_ID))
                .where(TIME_SPENT.SPENT_ON.between(from, to), TIME_SPENT.MINUTES.isNotNull())
                .groupBy(PROJECT.ID, CLIENT.NAME, PROJECT.NAME, TEAM_MEMBER.ID, TEAM_MEMBER.NAME)
                .orderBy(CLIENT.NAME, PROJECT.NAME, PROJECT.ID, TEAM_MEMBER.NAME, TEAM_MEMBER.ID)
                .fetch(Records.mapping(Sum::new));
    }

    /** A clock that runs. */
    public record Running(ItemId task, String taskName, Instant since) {}

    /** The clocks that run, by whose they are. */
    public Map<TeamMemberId, Running> clocks() {
        return db.select(TIME_SPENT.MEMBER_ID, TIME_SPENT.ITEM_ID, ITEM.NAME, TIME_SPENT.CREATED_AT)
                .from(TIME_SPENT)
                .join(ITEM)
                .on(ITEM.ID.eq(TIME_SPENT.ITEM_ID))
                .where(TIME_SPENT.MINUTES.isNull())
                .fetchMap(TIME_SPENT.MEMBER_ID, row -> new Running(row.value2(), row.value3(), row.value4()));
    }

    private List<Entry> where(Condition condition) {
        return db.select(
                        TIME_SPENT.ID,
                        TIME_SPENT.ITEM_ID,
                        TIME_SPENT.MEMBER_ID,
                        TEAM_MEMBER.NAME,
                        TIME_SPENT.MINUTES,
                        TIME_SPENT.SPENT_ON,
                        TIME_SPENT.CREATED_AT)
                .from(TIME_SPENT)
                .join(TEAM_MEMBER)
                .on(TEAM_MEMBER.ID.eq(TIME_SPENT.MEMBER_ID))
                .where(condition)
                .orderBy(TIME_SPENT.SPENT_ON.desc(), TIME_SPENT.CREATED_AT.desc(), TIME_SPENT.ID)
                .fetch(Records.mapping(Entry::new));
    }

    /** Stops a clock. @param minutes more than 0 */
    public void stop(UUID id, int minutes) {
        db.update(TIME_SPENT)
                .set(TIME_SPENT.MINUTES, minutes)
                .where(TIME_SPENT.ID.eq(id), TIME_SPENT.MINUTES.isNull())
                .execute();
    }

    /** Takes a stretch away again, if it is this member's. */
    public void remove(UUID id, TeamMemberId member) {
        db.deleteFrom(TIME_SPENT)
                .where(TIME_SPENT.ID.eq(id), TIME_SPENT.MEMBER_ID.eq(member))
                .execute();
    }
}
