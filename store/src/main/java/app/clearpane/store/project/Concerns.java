package app.clearpane.store.project;

import static app.clearpane.store.schema.Tables.CONCERN;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.TEAM_MEMBER;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.Concern;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.Stale;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;

/** The concerns of projects. */
public final class Concerns {
    private static final Comparator<Concern> HEAVIEST_FIRST = Comparator.comparing(Concern::open)
            .thenComparing(Concern::weight)
            .reversed()
            .thenComparing(Concern::name)
            .thenComparing(one -> one.id().toString());
    private final DSLContext db;

    public Concerns(DSLContext db) {
        this.db = db;
    }

    /** Those that meet a condition on {@code item}: what stands first, the heaviest before the others. */
    public static List<Concern> where(DSLContext db, Condition condition) {
        return db
                .select(
                        ITEM.ID,
                        ITEM.PROJECT_ID,
                        ITEM.NAME,
                        CONCERN.ISSUE,
                        CONCERN.LIKELIHOOD,
                        CONCERN.EFFECT,
                        CONCERN.ABOUT,
                        CONCERN.MEASURE,
                        CONCERN.MEMBER_ID,
                        TEAM_MEMBER.NAME,
                        CONCERN.CLOSED_AT,
                        CONCERN.REVISION)
                .from(CONCERN)
                .join(ITEM)
                .on(ITEM.ID.eq(CONCERN.ITEM_ID))
                .leftJoin(TEAM_MEMBER)
                .on(TEAM_MEMBER.ID.eq(CONCERN.MEMBER_ID))
                .where(condition)
                .stream()
                .map(row -> new Concern(
                        row.value1(),
                        row.value2(),
                        row.value3(),
                        row.value4(),
                        row.value5(),
                        row.value6(),
                        row.value7(),
                        row.value8(),
                        row.value9(),
                        row.value10() == null ? "" : row.value10(),
                        row.value11(),
                        row.value12()))
                .sorted(HEAVIEST_FIRST)
                .toList();
    }

    /** Those of a project. */
    public List<Concern> ofProject(ProjectId project) {
        return where(db, ITEM.PROJECT_ID.eq(project).and(ITEM.DELETED_AT.isNull()));
    }

    /** One. */
    public Optional<Concern> find(ItemId id) {
        return where(db, ITEM.ID.eq(id).and(ITEM.DELETED_AT.isNull())).stream().findFirst();
    }

    /** Makes one of an item of kind Concerns; its name is the item's. */
    public void add(Concern concern) {
        db.insertInto(CONCERN)
                .set(CONCERN.ITEM_ID, concern.id())
                .set(CONCERN.ISSUE, concern.issue())
                .set(CONCERN.LIKELIHOOD, concern.likelihood())
                .set(CONCERN.EFFECT, concern.effect())
                .set(CONCERN.ABOUT, concern.about())
                .set(CONCERN.MEASURE, concern.measure())
                .set(CONCERN.MEMBER_ID, concern.owner())
                .set(CONCERN.REVISION, 1)
                .execute();
    }

    /** Changes one. @throws Stale if it was changed since it was read */
    public void change(Concern wanted, Instant now) {
        Stale.unlessOne(
                db.update(CONCERN)
                        .set(CONCERN.ISSUE, wanted.issue())
                        .set(CONCERN.LIKELIHOOD, wanted.likelihood())
                        .set(CONCERN.EFFECT, wanted.effect())
                        .set(CONCERN.ABOUT, wanted.about())
                        .set(CONCERN.MEASURE, wanted.measure())
                        .set(CONCERN.MEMBER_ID, wanted.owner())
                        .set(CONCERN.REVISION, CONCERN.REVISION.plus(1))
                        .where(CONCERN.ITEM_ID.eq(wanted.id()), CONCERN.REVISION.eq(wanted.revision()))
                        .execute(),
                wanted.name());
        db.update(ITEM)
                .set(ITEM.NAME, wanted.name())
                .set(ITEM.CHANGED_AT, now)
                .where(ITEM.ID.eq(wanted.id()))
                .execute();
    }

    /**
     * Settles one, or lets it stand again. @param at null to let it stand @throws Stale if it was changed since it was
     * read
     */
    public void close(Concern read, @Nullable Instant at, Instant now) {
        Stale.unlessOne(
                db.update(CONCERN)
                        .set(CONCERN.CLOSED_AT, at)
                        .set(CONCERN.REVISION, CONCERN.REVISION.plus(1))
                        .where(CONCERN.ITEM_ID.eq(read.id()), CONCERN.REVISION.eq(read.revision()))
                        .execute(),
                read.name());
        db.update(ITEM).set(ITEM.CHANGED_AT, now).where(ITEM.ID.eq(read.id())).execute();
    }

    /** Gives what somebody looks after to somebody else. */
    public void handOver(TeamMemberId from, TeamMemberId to) {
        db.update(CONCERN)
                .set(CONCERN.MEMBER_ID, to)
                .set(CONCERN.REVISION, CONCERN.REVISION.plus(1))
                .where(CONCERN.MEMBER_ID.eq(from), CONCERN.CLOSED_AT.isNull())
                .execute();
    }
}
