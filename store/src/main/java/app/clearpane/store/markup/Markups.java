package app.clearpane.store.markup;

import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.MARKUP;
import static app.clearpane.store.schema.Tables.MARKUP_ANSWER;
import static app.clearpane.store.schema.Tables.MARKUP_EDIT;
import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.noCondition;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.Stale;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.TableField;
import org.jspecify.annotations.Nullable;

/** Marks and their threads, as the team sees them. Writing is the same for both sides. */
public final class Markups {
  private final DSLContext db;

  public Markups(DSLContext db) {
    this.db = db;
  }

  /** A mark. */
  public Optional<MarkupRow> find(MarkupId id) {
    return MarkupRows.where(db, MARKUP.ID.eq(id), noCondition()).stream().findFirst();
  }

  /** The marks on all versions of a deliverable, by version and age. */
  public List<MarkupRow> of(ItemId deliverable) {
    return MarkupRows.where(db, VERSION.DELIVERABLE_ID.eq(deliverable), noCondition());
  }

  /** The same without their threads. */
  public List<MarkupRow> withoutThreads(ItemId deliverable) {
    return MarkupRows.alone(db, VERSION.DELIVERABLE_ID.eq(deliverable));
  }

  /** The marks on all deliverables of a project, without their threads. */
  public List<MarkupRow> of(ProjectId project) {
    return MarkupRows.alone(db, VERSION.DELIVERABLE_ID.in(org.jooq.impl.DSL.select(ITEM.ID).from(ITEM).where(ITEM.PROJECT_ID.eq(project))));
  }

  /** The marks on all projects that are worked on, without their threads. */
  public List<MarkupRow> ofActiveProjects() {
    return MarkupRows.alone(db, VERSION.DELIVERABLE_ID.in(org.jooq.impl.DSL.select(ITEM.ID).from(ITEM).join(PROJECT).on(PROJECT.ID.eq(ITEM.PROJECT_ID))
        .where(PROJECT.ARCHIVED_AT.isNull())));
  }

  /** The number the next mark on a version gets at a pane, from 1. The version must be locked. */
  public int nextNumber(VersionId version, PaneId pane) {
    return next(MARKUP.NUMBER, version, pane);
  }

  /** The place the next mark for the team gets on a version at a pane, from 1. The version must be locked. */
  public int nextTeamNumber(VersionId version, PaneId pane) {
    return next(MARKUP.TEAM_NUMBER, version, pane);
  }

  private int next(TableField<?, Integer> counter, VersionId version, PaneId pane) {
    db.select(VERSION.ID).from(VERSION).where(VERSION.ID.eq(version)).forUpdate().fetch();
    return 1 + db.select(coalesce(max(counter), 0)).from(MARKUP).where(MARKUP.VERSION_ID.eq(version), MARKUP.PANE_ID.eq(pane)).fetchSingle().value1();
  }

  /** Keeps a new mark. */
  public void add(MarkupRow mark) {
    bring(mark, null);
  }

  /** Keeps a new mark that was made elsewhere. @param origin what it is known by there; null if it was made here */
  public void bring(MarkupRow mark, @Nullable String origin) {
    db.insertInto(MARKUP).set(MARKUP.ID, mark.id()).set(MARKUP.VERSION_ID, mark.version()).set(MARKUP.PANE_ID, mark.pane())
        .set(MARKUP.NUMBER, mark.number()).set(MARKUP.TEAM_NUMBER, mark.teamNumber()).set(MarkupRows.columns(mark.place())).set(MARKUP.INTENT, mark.intent())
        .set(MARKUP.PROGRESS, mark.progress()).set(MARKUP.NOTE, mark.note()).set(MARKUP.REPLACEMENT, mark.replacement()).set(MARKUP.ORIGIN, origin).set(MARKUP.AUTHOR, mark.author().name())
        .set(MARKUP.AUTHOR_CONTACT, mark.author().contact()).set(MARKUP.AUTHOR_MEMBER, mark.author().member()).set(MARKUP.REVISION, 1)
        .set(MARKUP.CREATED_AT, mark.createdAt()).execute();
  }

  /** What the marks of a deliverable that were made elsewhere are known by there. */
  public Set<String> origins(ItemId deliverable) {
    return db.select(MARKUP.ORIGIN).from(MARKUP).join(VERSION).on(VERSION.ID.eq(MARKUP.VERSION_ID)).where(VERSION.DELIVERABLE_ID.eq(deliverable), MARKUP.ORIGIN.isNotNull()).fetchSet(MARKUP.ORIGIN);
  }

  /** Adds to a thread. */
  public void answer(MarkupId mark, MarkupRow.Answer answer) {
    db.insertInto(MARKUP_ANSWER).set(MARKUP_ANSWER.ID, UUID.randomUUID()).set(MARKUP_ANSWER.MARKUP_ID, mark).set(MARKUP_ANSWER.ACT, answer.act())
        .set(MARKUP_ANSWER.SAID, answer.said()).set(MARKUP_ANSWER.TEAM_ONLY, answer.teamOnly()).set(MARKUP_ANSWER.AUTHOR, answer.author().name())
        .set(MARKUP_ANSWER.AUTHOR_CONTACT, answer.author().contact()).set(MARKUP_ANSWER.AUTHOR_MEMBER, answer.author().member())
        .set(MARKUP_ANSWER.CREATED_AT, answer.at()).execute();
  }

  /**
   * Moves a mark on.
   *
   * @param fixedIn the version it is fixed in; null unless it is fixed
   * @throws Stale if it was changed since it was read
   */
  public void move(MarkupRow read, MarkupProgress to, @Nullable VersionId fixedIn) {
    Stale.unlessOne(db.update(MARKUP).set(MARKUP.PROGRESS, to).set(MARKUP.FIXED_IN, fixedIn).set(MARKUP.REVISION, MARKUP.REVISION.plus(1))
        .where(MARKUP.ID.eq(read.id()), MARKUP.REVISION.eq(read.revision())).execute(), "The mark");
  }

  /** What a mark is to say. @param replacement the wording asked for; null if none is given */
  public record Words(String note, Intent intent, @Nullable String replacement) {}

  /** Changes what a mark says, and keeps what it said before. @throws Stale if it was changed since it was read */
  public void edit(MarkupRow read, Words words, java.time.Instant now) {
    db.insertInto(MARKUP_EDIT).set(MARKUP_EDIT.MARKUP_ID, read.id()).set(MARKUP_EDIT.NOTE, read.note()).set(MARKUP_EDIT.INTENT, read.intent()).set(MARKUP_EDIT.REPLACEMENT, read.replacement())
        .set(MARKUP_EDIT.EDITED_AT, now).execute();
    Stale.unlessOne(db.update(MARKUP).set(MARKUP.NOTE, words.note()).set(MARKUP.INTENT, words.intent()).set(MARKUP.REPLACEMENT, words.replacement()).set(MARKUP.REVISION, MARKUP.REVISION.plus(1))
        .where(MARKUP.ID.eq(read.id()), MARKUP.REVISION.eq(read.revision())).execute(), "The mark");
  }

  /** Takes back that a mark was confirmed at a moment: it is fixed, as before. */
  public void unconfirm(MarkupRow mark, java.time.Instant at) {
    db.deleteFrom(MARKUP_ANSWER).where(MARKUP_ANSWER.MARKUP_ID.eq(mark.id()), MARKUP_ANSWER.ACT.eq(MarkupProgress.Act.CONFIRM.name()), MARKUP_ANSWER.CREATED_AT.eq(at)).execute();
    move(mark, MarkupProgress.FIXED, mark.fixedIn());
  }
}
