package app.clearpane.store.plan;

import static app.clearpane.store.schema.Tables.AGREEMENT;
import static app.clearpane.store.schema.Tables.DATES_ASKED;
import static app.clearpane.store.schema.Tables.HOLIDAY;
import static app.clearpane.store.schema.Tables.PLAN_DAY;
import static app.clearpane.store.schema.Tables.SLIP_ACCOUNT;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Records;

/** What was agreed with the client, and what the plan was at the end of each day on which it changed. */
public final class Agreements {
    private final DSLContext db;

    public Agreements(DSLContext db) {
        this.db = db;
    }

    /**
     * A finish both sides agreed on.
     *
     * @param setOn the day on which it was agreed
     * @param withClient whether the client said so, not only the team
     * @param plan the plan on the morning of that day, as text
     */
    public record Agreement(UUID id, LocalDate finish, LocalDate setOn, Actor setBy, boolean withClient, String plan) {}

    /** Keeps an agreement; it is the one that counts from now on. */
    public void add(ProjectId project, Agreement agreement, Instant now) {
        db.insertInto(AGREEMENT)
                .set(AGREEMENT.ID, agreement.id())
                .set(AGREEMENT.PROJECT_ID, project)
                .set(AGREEMENT.FINISH_ON, agreement.finish())
                .set(AGREEMENT.SET_ON, agreement.setOn())
                .set(AGREEMENT.SET_BY, agreement.setBy())
                .set(AGREEMENT.WITH_CLIENT, agreement.withClient())
                .set(AGREEMENT.PLAN, agreement.plan())
                .set(AGREEMENT.CREATED_AT, now)
                .execute();
    }

    /** All agreements of a project, the latest first. */
    public List<Agreement> ofProject(ProjectId project) {
        return db.select(
                        AGREEMENT.ID,
                        AGREEMENT.FINISH_ON,
                        AGREEMENT.SET_ON,
                        AGREEMENT.SET_BY,
                        AGREEMENT.WITH_CLIENT,
                        AGREEMENT.PLAN)
                .from(AGREEMENT)
                .where(AGREEMENT.PROJECT_ID.eq(project))
                .orderBy(AGREEMENT.SEQUENCE.desc())
                .fetch(Records.mapping(Agreement::new));
    }

    /** One agreement of a project. */
    public Optional<Agreement> find(ProjectId project, UUID id) {
        return ofProject(project).stream().filter(one -> one.id().equals(id)).findFirst();
    }

    /** When an agreement was made, and on which finish. */
    public record Made(UUID id, LocalDate finish, LocalDate setOn) {}

    /** When the agreements of a project were made, the latest first. */
    public List<Made> made(ProjectId project) {
        return db.select(AGREEMENT.ID, AGREEMENT.FINISH_ON, AGREEMENT.SET_ON)
                .from(AGREEMENT)
                .where(AGREEMENT.PROJECT_ID.eq(project))
                .orderBy(AGREEMENT.SEQUENCE.desc())
                .fetch(Records.mapping(Made::new));
    }

    /** The latest agreement of each of some projects. */
    public Map<ProjectId, Agreement> latest(Collection<ProjectId> projects) {
        return db
                .select(
                        AGREEMENT.PROJECT_ID,
                        AGREEMENT.ID,
                        AGREEMENT.FINISH_ON,
                        AGREEMENT.SET_ON,
                        AGREEMENT.SET_BY,
                        AGREEMENT.WITH_CLIENT,
                        AGREEMENT.PLAN)
                .from(AGREEMENT)
                .where(AGREEMENT.PROJECT_ID.in(projects))
                .orderBy(AGREEMENT.SEQUENCE)
                .stream()
                .collect(Collectors.toMap(
                        row -> row.get(AGREEMENT.PROJECT_ID),
                        row -> new Agreement(
                                row.get(AGREEMENT.ID),
                                row.get(AGREEMENT.FINISH_ON),
                                row.get(AGREEMENT.SET_ON),
                                row.get(AGREEMENT.SET_BY),
                                row.get(AGREEMENT.WITH_CLIENT),
                                row.get(AGREEMENT.PLAN)),
                        (earlier, later) -> later));
    }

    /**
     * A finish that the client was asked to agree on.
     *
     * @param plan the plan that was put before them, as text
     */
    public record Asked(LocalDate finish, String plan) {}

    /** Keeps what a paper asks to agree on. */
    public void ask(PaperId paper, Asked asked) {
        db.insertInto(DATES_ASKED)
                .set(DATES_ASKED.PAPER_ID, paper)
                .set(DATES_ASKED.FINISH_ON, asked.finish())
                .set(DATES_ASKED.PLAN, asked.plan())
                .execute();
    }

    /** What a paper asks to agree on; empty if it does not ask for dates. */
    public Optional<Asked> asked(PaperId paper) {
        return db.select(DATES_ASKED.FINISH_ON, DATES_ASKED.PLAN)
                .from(DATES_ASKED)
                .where(DATES_ASKED.PAPER_ID.eq(paper))
                .fetchOptional(Records.mapping(Asked::new));
    }

    /** Keeps what the plan is as this day ends, so far. */
    public void endOfDay(ProjectId project, LocalDate day, String plan) {
        if (db.update(PLAN_DAY)
                        .set(PLAN_DAY.PLAN, plan)
                        .where(PLAN_DAY.PROJECT_ID.eq(project), PLAN_DAY.ENDS_ON.eq(day))
                        .execute()
                == 0) {
            db.insertInto(PLAN_DAY)
                    .set(PLAN_DAY.PROJECT_ID, project)
                    .set(PLAN_DAY.ENDS_ON, day)
                    .set(PLAN_DAY.PLAN, plan)
                    .execute();
        }
    }

    /** The plan at the end of each day on which it changed, from a day on. */
    public TreeMap<LocalDate, String> days(ProjectId project, LocalDate from) {
        return new TreeMap<>(db.select(PLAN_DAY.ENDS_ON, PLAN_DAY.PLAN)
                .from(PLAN_DAY)
                .where(PLAN_DAY.PROJECT_ID.eq(project), PLAN_DAY.ENDS_ON.ge(from))
                .fetchMap(PLAN_DAY.ENDS_ON, PLAN_DAY.PLAN));
    }

    /**
     * The thing by which the account of a project's days is shown to panes or held back; empty before anything was
     * agreed on.
     */
    public Optional<ItemId> account(ProjectId project) {
        return db.select(SLIP_ACCOUNT.ITEM_ID)
                .from(SLIP_ACCOUNT)
                .where(SLIP_ACCOUNT.PROJECT_ID.eq(project))
                .fetchOptional(SLIP_ACCOUNT.ITEM_ID);
    }

    /** Makes an item of kind Dates the account of a project's days. */
    public void addAccount(ProjectId project, ItemId item) {
        db.insertInto(SLIP_ACCOUNT)
                .set(SLIP_ACCOUNT.ITEM_ID, item)
                .set(SLIP_ACCOUNT.PROJECT_ID, project)
                .execute();
    }

    /** The days on which nobody works, with their names. */
    public Map<LocalDate, String> freeDays() {
        return new TreeMap<>(
                db.select(HOLIDAY.FALLS_ON, HOLIDAY.NAME).from(HOLIDAY).fetchMap(HOLIDAY.FALLS_ON, HOLIDAY.NAME));
    }

    /** Makes a day free, or gives it another name. */
    public void setFree(LocalDate day, String name) {
        if (db.update(HOLIDAY)
                        .set(HOLIDAY.NAME, name)
                        .where(HOLIDAY.FALLS_ON.eq(day))
                        .execute()
                == 0) {
            db.insertInto(HOLIDAY)
                    .set(HOLIDAY.FALLS_ON, day)
                    .set(HOLIDAY.NAME, name)
                    .execute();
        }
    }

    /** Makes a day a working day again, where its day of the week is one. */
    public void setWorking(LocalDate day) {
        db.deleteFrom(HOLIDAY).where(HOLIDAY.FALLS_ON.eq(day)).execute();
    }
}
