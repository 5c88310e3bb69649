package app.clearpane.store.markup;

import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.LINK_OPENING;
import static app.clearpane.store.schema.Tables.MARKUP;
import static app.clearpane.store.schema.Tables.MARKUP_ANSWER;
import static app.clearpane.store.schema.Tables.MARKUP_ATTACHMENT;
import static app.clearpane.store.schema.Tables.MARKUP_EDIT;
import static app.clearpane.store.schema.Tables.MARKUP_REFERENCE;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.noCondition;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupLabel;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.Stale;
import app.clearpane.store.project.WorkedOn;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;
import org.jooq.TableField;
import org.jspecify.annotations.Nullable;

/** Marks and their threads, as the team sees them. Writing is the same for both sides. */
public final class Markups {
    private final DSLContext db;

    public Markups(DSLContext db) {
        this.db = db;
    }

    /** A mark. */
    public Optional<Mark> find(MarkupId id) {
        return MarkupRows.where(db, MARKUP.ID.eq(id), noCondition()).stream().findFirst();
    }

    /**
     * The marks on all versions of a deliverable, by version, those that clients see by their number and then those for
     * the team.
     */
    public List<Mark> marksOf(ItemId deliverable) {
        return MarkupRows.where(db, VERSION.DELIVERABLE_ID.eq(deliverable), noCondition());
    }

    /** The same without their threads. */
    public List<Mark> withoutThreads(ItemId deliverable) {
        return MarkupRows.alone(db, VERSION.DELIVERABLE_ID.eq(deliverable));
    }

    /** The marks on all deliverables of a project, without their threads. */
    public List<Mark> marksOf(ProjectId project) {
        return MarkupRows.alone(
                db,
                VERSION.DELIVERABLE_ID.in(
                        org.jooq.impl.DSL.select(ITEM.ID).from(ITEM).where(ITEM.PROJECT_ID.eq(project))));
    }

    /** The marks on all projects that are worked on, without their threads. */
    public List<Mark> ofActiveProjects() {
        return MarkupRows.alone(
                db,
                org.jooq.impl.DSL.exists(org.jooq
                        .impl
                        .DSL
                        .selectOne()
                        .from(ITEM)
                        .where(ITEM.ID.eq(VERSION.DELIVERABLE_ID), WorkedOn.is(ITEM.PROJECT_ID))));
    }

    /** What the next mark on a version is called at a pane; no other gets that until this is committed. */
    public MarkupLabel nextLabel(Version version, PaneId pane, boolean forTeam) {
        Optional<Integer> sent = Optional.ofNullable(version.number());
        return forTeam
                ? MarkupLabel.forTeam(sent, next(MARKUP.TEAM_NUMBER, version.id(), pane))
                : MarkupLabel.forClients(sent, next(MARKUP.NUMBER, version.id(), pane));
    }

    private int next(TableField<?, Integer> counter, VersionId version, PaneId pane) {
        db.select(VERSION.ID)
                .from(VERSION)
                .where(VERSION.ID.eq(version))
                .forUpdate()
                .fetch();
        return 1
                + db.select(coalesce(max(counter), 0))
                        .from(MARKUP)
                        .where(MARKUP.VERSION_ID.eq(version), MARKUP.PANE_ID.eq(pane))
                        .fetchSingle()
                        .value1();
    }

    /** Keeps a new mark. */
    public void add(Mark mark) {
        bring(mark, null);
    }

    /** Keeps a new mark that was made elsewhere. @param origin what it is known by there; null if it was made here */
    public void bring(Mark mark, @Nullable String origin) {
        db.insertInto(MARKUP)
                .set(MARKUP.ID, mark.id())
                .set(MARKUP.VERSION_ID, mark.version())
                .set(MARKUP.PANE_ID, mark.pane())
                .set(
                        mark.teamOnly() ? MARKUP.TEAM_NUMBER : MARKUP.NUMBER,
                        mark.label().number())
                .set(MarkupRows.columns(mark.place()))
                .set(MARKUP.INTENT, mark.intent())
                .set(MARKUP.PROGRESS, mark.progress())
                .set(MARKUP.NOTE, mark.note())
                .set(MARKUP.REPLACEMENT, mark.replacement().orElse(null))
                .set(MARKUP.ORIGIN, origin)
                .set(MARKUP.AUTHOR, mark.author().name())
                .set(MARKUP.AUTHOR_CONTACT, mark.author().contact().orElse(null))
                .set(MARKUP.AUTHOR_MEMBER, mark.author().member().orElse(null))
                .set(MARKUP.REVISION, 1)
                .set(MARKUP.CREATED_AT, mark.createdAt())
                .execute();
        keep(mark.id(), null, mark.beside().with());
    }

    /** What the marks of a deliverable that were made elsewhere are known by there. */
    public Set<String> origins(ItemId deliverable) {
        return db.select(MARKUP.ORIGIN)
                .from(MARKUP)
                .join(VERSION)
                .on(VERSION.ID.eq(MARKUP.VERSION_ID))
                .where(VERSION.DELIVERABLE_ID.eq(deliverable), MARKUP.ORIGIN.isNotNull())
                .fetchSet(MARKUP.ORIGIN);
    }

    /** A guest who placed a mark. @param link by which they came */
    public record Guest(String name, String email, SeatId link) {}

    /** Notes by which opening of a link a guest came who placed a mark. */
    public void placedBy(MarkupId mark, UUID opening) {
        db.update(MARKUP)
                .set(MARKUP.GUEST_OPENING, opening)
                .where(MARKUP.ID.eq(mark))
                .execute();
    }

    /** The guest who placed a mark, if it was one who gave an address. */
    public Optional<Guest> guestOf(MarkupId mark) {
        return db.select(LINK_OPENING.GUEST_NAME, LINK_OPENING.GUEST_EMAIL, LINK_OPENING.LINK_SEAT_ID)
                .from(MARKUP)
                .join(LINK_OPENING)
                .on(LINK_OPENING.ID.eq(MARKUP.GUEST_OPENING))
                .where(MARKUP.ID.eq(mark), LINK_OPENING.GUEST_EMAIL.isNotNull())
                .fetchOptional(Records.mapping(Guest::new));
    }

    /** Adds to a thread. */
    public void answer(MarkupId mark, Mark.Answer answer) {
        UUID id = UUID.randomUUID();
        db.insertInto(MARKUP_ANSWER)
                .set(MARKUP_ANSWER.ID, id)
                .set(MARKUP_ANSWER.MARKUP_ID, mark)
                .set(MARKUP_ANSWER.ACT, answer.act().map(Enum::name).orElse(null))
                .set(MARKUP_ANSWER.SAID, answer.said())
                .set(MARKUP_ANSWER.TEAM_ONLY, answer.teamOnly())
                .set(MARKUP_ANSWER.AUTHOR, answer.author().name())
                .set(MARKUP_ANSWER.AUTHOR_CONTACT, answer.author().contact().orElse(null))
                .set(MARKUP_ANSWER.AUTHOR_MEMBER, answer.author().member().orElse(null))
                .set(MARKUP_ANSWER.CREATED_AT, answer.at())
                .execute();
        keep(mark, id, answer.with());
    }

    private void keep(MarkupId mark, @Nullable UUID answer, Mark.With with) {
        with.attachments().forEach(file -> db.insertInto(MARKUP_ATTACHMENT)
                .set(MARKUP_ATTACHMENT.ID, file.id())
                .set(MARKUP_ATTACHMENT.MARKUP_ID, mark)
                .set(MARKUP_ATTACHMENT.ANSWER_ID, answer)
                .set(MARKUP_ATTACHMENT.SHA256, file.sha256())
                .set(MARKUP_ATTACHMENT.NAME, file.name())
                .set(MARKUP_ATTACHMENT.MEDIA_TYPE, file.mediaType())
                .set(MARKUP_ATTACHMENT.SIZE_BYTES, file.size())
                .execute());
        with.references().forEach(reference -> db.insertInto(MARKUP_REFERENCE)
                .set(MARKUP_REFERENCE.MARKUP_ID, mark)
                .set(MARKUP_REFERENCE.ANSWER_ID, answer)
                .set(MARKUP_REFERENCE.WRITTEN, reference.written())
                .set(called(reference.called()))
                .execute());
    }

    private static Map<Field<?>, Object> called(Mark.Called called) {
        if (called instanceof Mark.Called.Thing thing) {
            return Map.of(MARKUP_REFERENCE.ITEM_ID, thing.id());
        }
        return called instanceof Mark.Called.Member member
                ? Map.of(MARKUP_REFERENCE.MEMBER_ID, member.id())
                : Map.of(MARKUP_REFERENCE.CONTACT_ID, ((Mark.Called.Contact) called).id());
    }

    /** A file that came with a note or an answer on a mark. */
    public Optional<Mark.Attachment> attachment(UUID id) {
        return MarkupRows.attachment(db, MARKUP_ATTACHMENT.ID.eq(id));
    }

    /**
     * Says who of the team sees to a mark. @param doer null for nobody in particular @throws Stale if it was changed
     * since it was read
     */
    public void give(Mark read, @Nullable TeamMemberId doer) {
        set(read, MARKUP.DOER_ID, doer);
    }

    /** Keeps which task was made of a mark. @throws Stale if it was changed since it was read */
    public void becomes(Mark read, ItemId task) {
        set(read, MARKUP.TASK_ID, task);
    }

    /**
     * Lets a mark go along with another that asks for the same. @param first null to let it stand alone again @throws
     * Stale if it was changed since it was read
     */
    public void join(Mark read, @Nullable MarkupId first) {
        set(read, MARKUP.JOINED_TO, first);
    }

    private <T> void set(Mark read, TableField<?, T> field, @Nullable T value) {
        Stale.unlessOne(
                db.update(MARKUP)
                        .set(field, value)
                        .set(MARKUP.REVISION, MARKUP.REVISION.plus(1))
                        .where(MARKUP.ID.eq(read.id()), MARKUP.REVISION.eq(read.revision()))
                        .execute(),
                "The mark");
    }

    /** The mark that a task was made of. */
    public Optional<Mark> ofTask(ItemId task) {
        return MarkupRows.alone(db, MARKUP.TASK_ID.eq(task)).stream().findFirst();
    }

    /** Where a task comes from. @param mark it was made of; null if it was made of none */
    public record Origin(ProjectId project, @Nullable MadeOf mark) {}

    /** A mark that a task was made of, as far as its page names it. */
    public record MadeOf(MarkupId id, VersionId version, int page, String label, String author) {}

    /** Where a task comes from; empty if there is no such item. */
    public Optional<Origin> origin(ItemId task) {
        return db.select(
                        ITEM.PROJECT_ID,
                        MARKUP.ID,
                        MARKUP.VERSION_ID,
                        MARKUP.PAGE,
                        VERSION.NUMBER,
                        MARKUP.NUMBER,
                        MARKUP.TEAM_NUMBER,
                        MARKUP.AUTHOR)
                .from(ITEM)
                .leftJoin(MARKUP)
                .on(MARKUP.TASK_ID.eq(ITEM.ID))
                .leftJoin(VERSION)
                .on(VERSION.ID.eq(MARKUP.VERSION_ID))
                .where(ITEM.ID.eq(task))
                .limit(1)
                .fetchOptional(row -> new Origin(
                        row.value1(),
                        row.value2() == null
                                ? null
                                : new MadeOf(
                                        row.value2(),
                                        row.value3(),
                                        row.value4(),
                                        MarkupRows.label(row.value5(), row.value6(), row.value7())
                                                .toString(),
                                        row.value8())));
    }

    /**
     * The marks that were joined with a mark because they ask for the same, itself among them, the one that goes ahead
     * first; without their threads.
     */
    public List<Mark> group(Mark mark) {
        MarkupId ahead = mark.ahead();
        return MarkupRows.alone(db, MARKUP.JOINED_TO.eq(ahead).or(MARKUP.ID.eq(ahead)));
    }

    /**
     * Moves a mark on.
     *
     * @param fixedIn the version it is fixed in; empty unless it is fixed
     * @throws Stale if it was changed since it was read
     */
    public void move(Mark read, MarkupProgress to, Optional<VersionId> fixedIn) {
        Stale.unlessOne(
                db.update(MARKUP)
                        .set(MARKUP.PROGRESS, to)
                        .set(MARKUP.FIXED_IN, fixedIn.orElse(null))
                        .set(MARKUP.REVISION, MARKUP.REVISION.plus(1))
                        .where(MARKUP.ID.eq(read.id()), MARKUP.REVISION.eq(read.revision()))
                        .execute(),
                "The mark");
    }

    /**
     * Changes what a mark says, and keeps what it said before; files that came with it stay. @param references whom and
     * what it calls by name now @throws Stale if it was changed since it was read
     */
    public void edit(Mark read, Mark.Wish words, List<Mark.Reference> references, java.time.Instant now) {
        db.insertInto(MARKUP_EDIT)
                .set(MARKUP_EDIT.MARKUP_ID, read.id())
                .set(MARKUP_EDIT.NOTE, read.note())
                .set(MARKUP_EDIT.INTENT, read.intent())
                .set(MARKUP_EDIT.REPLACEMENT, read.replacement().orElse(null))
                .set(MARKUP_EDIT.EDITED_AT, now)
                .execute();
        Stale.unlessOne(
                db.update(MARKUP)
                        .set(MARKUP.NOTE, words.note())
                        .set(MARKUP.INTENT, words.intent())
                        .set(MARKUP.REPLACEMENT, words.replacement().orElse(null))
                        .set(MARKUP.REVISION, MARKUP.REVISION.plus(1))
                        .where(MARKUP.ID.eq(read.id()), MARKUP.REVISION.eq(read.revision()))
                        .execute(),
                "The mark");
        db.deleteFrom(MARKUP_REFERENCE)
                .where(MARKUP_REFERENCE.MARKUP_ID.eq(read.id()), MARKUP_REFERENCE.ANSWER_ID.isNull())
                .execute();
        keep(read.id(), null, new Mark.With(List.of(), references));
    }

    /** Takes back that a mark was confirmed at a moment: it is fixed, as before. */
    public void unconfirm(Mark mark, java.time.Instant at) {
        db.deleteFrom(MARKUP_ANSWER)
                .where(
                        MARKUP_ANSWER.MARKUP_ID.eq(mark.id()),
                        MARKUP_ANSWER.ACT.eq(MarkupProgress.Act.CONFIRM.name()),
                        MARKUP_ANSWER.CREATED_AT.eq(at))
                .execute();
        move(mark, MarkupProgress.FIXED, mark.fix().map(Mark.Fix::version));
    }
}
