package app.clearpane.store.deliverable;

import static app.clearpane.store.schema.Tables.DELIVERABLE;
import static app.clearpane.store.schema.Tables.DELIVERABLE_SIGNATORY;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.RELEASE;
import static app.clearpane.store.schema.Tables.ROUND;
import static app.clearpane.store.schema.Tables.ROUND_SIGNATORY;
import static app.clearpane.store.schema.Tables.SIGN_OFF;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Allowance;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.ExtraRound;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.SigningTerms;
import app.clearpane.store.Stale;
import app.clearpane.store.project.WorkedOn;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record1;
import org.jspecify.annotations.Nullable;

/** Deliverables, their versions, rounds and sign-offs, as the team sees them. */
public final class Deliverables {
    private final DSLContext db;

    public Deliverables(DSLContext db) {
        this.db = db;
    }

    /** Makes an item of kind Deliverables one, decided on by a pane. */
    public void add(ItemId item, PaneId pane, String about, SigningTerms terms) {
        int position = db.fetchCount(DELIVERABLE, DELIVERABLE.PANE_ID.eq(pane));
        db.insertInto(DELIVERABLE)
                .set(DELIVERABLE.ITEM_ID, item)
                .set(DELIVERABLE.PANE_ID, pane)
                .set(DELIVERABLE.ABOUT, about)
                .set(DELIVERABLE.RULE, terms.rule().keptAs())
                .set(DELIVERABLE.RULE_LEAST, RuleColumns.least(terms.rule()))
                .set(DELIVERABLE.REVIEW_DAYS, terms.reviewDays())
                .set(DELIVERABLE.ROUNDS_INCLUDED, terms.allowance().rounds())
                .set(DELIVERABLE.EXTRA_FEE, terms.allowance().fee())
                .set(DELIVERABLE.POSITION, position)
                .set(DELIVERABLE.REVISION, 1)
                .execute();
    }

    /**
     * Changes the line about it and who signs it, by what rule, in which days and rounds. @throws Stale if it was
     * changed since it was read
     */
    public void change(Deliverable wanted) {
        Stale.unlessOne(
                db.update(DELIVERABLE)
                        .set(DELIVERABLE.ABOUT, wanted.about())
                        .set(DELIVERABLE.RULE, wanted.rule().keptAs())
                        .set(DELIVERABLE.RULE_LEAST, RuleColumns.least(wanted.rule()))
                        .set(DELIVERABLE.REVIEW_DAYS, wanted.reviewDays())
                        .set(DELIVERABLE.ROUNDS_INCLUDED, wanted.allowance().rounds())
                        .set(DELIVERABLE.EXTRA_FEE, wanted.allowance().fee())
                        .set(DELIVERABLE.REVISION, DELIVERABLE.REVISION.plus(1))
                        .where(DELIVERABLE.ITEM_ID.eq(wanted.id()), DELIVERABLE.REVISION.eq(wanted.revision()))
                        .execute(),
                wanted.name());
        db.deleteFrom(DELIVERABLE_SIGNATORY)
                .where(DELIVERABLE_SIGNATORY.DELIVERABLE_ID.eq(wanted.id()))
                .execute();
        for (int i = 0; i < wanted.signers().size(); i++) {
            db.insertInto(DELIVERABLE_SIGNATORY)
                    .set(DELIVERABLE_SIGNATORY.DELIVERABLE_ID, wanted.id())
                    .set(DELIVERABLE_SIGNATORY.CONTACT_ID, wanted.signers().get(i))
                    .set(DELIVERABLE_SIGNATORY.POSITION, i)
                    .execute();
        }
    }

    /** A deliverable that was not deleted. */
    public Optional<Deliverable> find(ItemId id) {
        return fetch(DELIVERABLE.ITEM_ID.eq(id)).stream().findFirst();
    }

    /** The deliverables of a project, in order. */
    public List<Deliverable> ofProject(ProjectId project) {
        return fetch(ITEM.PROJECT_ID.eq(project));
    }

    /** The deliverables of all projects that are worked on. */
    public List<Deliverable> ofActiveProjects() {
        return fetch(WorkedOn.is(ITEM.PROJECT_ID));
    }

    private List<Deliverable> fetch(Condition condition) {
        Field<List<ContactId>> signers = multiset(select(DELIVERABLE_SIGNATORY.CONTACT_ID)
                        .from(DELIVERABLE_SIGNATORY)
                        .where(DELIVERABLE_SIGNATORY.DELIVERABLE_ID.eq(DELIVERABLE.ITEM_ID))
                        .orderBy(DELIVERABLE_SIGNATORY.POSITION))
                .as("signers")
                .convertFrom(rows -> rows.map(Record1::value1));
        Field<List<ExtraRound>> extra = ExtraRounds.of(DELIVERABLE.ITEM_ID);
        return db.select(DELIVERABLE.fields())
                .select(ITEM.PROJECT_ID, PANE.NAME, ITEM.NAME, ITEM.CREATED_AT, signers, extra)
                .from(DELIVERABLE)
                .join(ITEM)
                .on(ITEM.ID.eq(DELIVERABLE.ITEM_ID))
                .join(PANE)
                .on(PANE.ID.eq(DELIVERABLE.PANE_ID))
                .where(condition.and(ITEM.KIND.eq(ContentKind.DELIVERABLES)).and(ITEM.DELETED_AT.isNull()))
                .orderBy(DELIVERABLE.POSITION, ITEM.CREATED_AT, ITEM.ID)
                .fetch(row -> new Deliverable(
                        row.get(DELIVERABLE.ITEM_ID),
                        row.get(ITEM.PROJECT_ID),
                        row.get(DELIVERABLE.PANE_ID),
                        row.get(PANE.NAME),
                        row.get(ITEM.NAME),
                        row.get(DELIVERABLE.ABOUT),
                        RuleColumns.rule(row.get(DELIVERABLE.RULE), row.get(DELIVERABLE.RULE_LEAST)),
                        row.get(signers),
                        row.get(DELIVERABLE.REVIEW_DAYS),
                        new Allowance(row.get(DELIVERABLE.ROUNDS_INCLUDED), row.get(DELIVERABLE.EXTRA_FEE)),
                        row.get(extra),
                        row.get(ITEM.CREATED_AT),
                        row.get(DELIVERABLE.REVISION)));
    }

    /** Adds a draft. */
    public void addVersion(Version version) {
        db.insertInto(VERSION)
                .set(VERSION.ID, version.id())
                .set(VERSION.DELIVERABLE_ID, version.deliverable())
                .set(VERSION.SHA256, version.sha256())
                .set(VERSION.FILE_NAME, version.fileName())
                .set(VERSION.MEDIA_TYPE, version.mediaType())
                .set(VERSION.SIZE_BYTES, version.size())
                .set(VERSION.WHAT_CHANGED, version.whatChanged())
                .set(VERSION.MADE_BY, version.madeBy())
                .set(VERSION.CREATED_AT, version.createdAt())
                .execute();
    }

    /** A version. */
    public Optional<Version> version(VersionId id) {
        return VersionRows.where(db, VERSION.ID.eq(id)).stream().findFirst();
    }

    /** The versions of a deliverable, oldest first. */
    public List<Version> versions(ItemId deliverable) {
        return VersionRows.where(db, VERSION.DELIVERABLE_ID.eq(deliverable));
    }

    /** The versions of the deliverable that a version belongs to, oldest first. */
    public List<Version> versionsBeside(VersionId version) {
        return VersionRows.where(
                db,
                VERSION.DELIVERABLE_ID.eq(
                        db.select(VERSION.DELIVERABLE_ID).from(VERSION).where(VERSION.ID.eq(version))));
    }

    /** The deliverables that have a version with this content. */
    public List<ItemId> withContent(Sha256 content) {
        return db.selectDistinct(VERSION.DELIVERABLE_ID)
                .from(VERSION)
                .where(VERSION.SHA256.eq(content))
                .orderBy(VERSION.DELIVERABLE_ID)
                .fetch(VERSION.DELIVERABLE_ID);
    }

    /** The sent versions with this content, newest first. */
    public List<Version> versionsWith(Sha256 content) {
        return VersionRows.where(db, VERSION.SHA256.eq(content).and(VERSION.SENT_AT.isNotNull())).stream()
                .sorted(java.util.Comparator.comparing(Version::sentAt).reversed())
                .toList();
    }

    /** The versions of all deliverables of a project, oldest first. */
    public List<Version> versionsOf(ProjectId project) {
        return VersionRows.where(db, ITEM.PROJECT_ID.eq(project));
    }

    /** The versions of all projects that are worked on, oldest first. */
    public List<Version> versionsOfActiveProjects() {
        return VersionRows.where(db, WorkedOn.is(ITEM.PROJECT_ID));
    }

    /** Locks a deliverable for the rest of the transaction, so that what is decided on it happens one after another. */
    public void lock(ItemId deliverable) {
        db.select(DELIVERABLE.ITEM_ID)
                .from(DELIVERABLE)
                .where(DELIVERABLE.ITEM_ID.eq(deliverable))
                .forUpdate()
                .fetch();
    }

    /** Gives a draft its number. @throws Stale if it was sent meanwhile */
    public void numberAndSend(Version draft, int number, Instant now) {
        Stale.unlessOne(
                db.update(VERSION)
                        .set(VERSION.NUMBER, number)
                        .set(VERSION.SENT_AT, now)
                        .where(VERSION.ID.eq(draft.id()), VERSION.NUMBER.isNull())
                        .execute(),
                draft.fileName());
    }

    /** Opens a round. */
    public void open(Round round) {
        db.insertInto(ROUND)
                .set(ROUND.ID, round.id())
                .set(ROUND.VERSION_ID, round.version())
                .set(ROUND.NUMBER, round.number())
                .set(ROUND.SENT_AT, round.sentAt())
                .set(ROUND.DUE_AT, round.dueAt())
                .set(ROUND.RULE, round.rule().keptAs())
                .set(ROUND.RULE_LEAST, RuleColumns.least(round.rule()))
                .set(ROUND.REVISION, 1)
                .execute();
        addSignatories(round.id(), round.signatories());
    }

    private void addSignatories(RoundId round, List<Round.Signatory> signatories) {
        int position = 0;
        for (Round.Signatory signatory : signatories) {
            db.insertInto(ROUND_SIGNATORY)
                    .set(ROUND_SIGNATORY.ROUND_ID, round)
                    .set(ROUND_SIGNATORY.CONTACT_ID, signatory.contact())
                    .set(ROUND_SIGNATORY.POSITION, position++)
                    .set(ROUND_SIGNATORY.LEAD_VOICE, signatory.leadVoice())
                    .execute();
        }
    }

    /** Changes who signs a round and by what rule. @throws Stale if it was closed meanwhile */
    public void changePanel(RoundId round, Rule rule, List<Round.Signatory> signatories) {
        Stale.unlessOne(
                db.update(ROUND)
                        .set(ROUND.RULE, rule.keptAs())
                        .set(ROUND.RULE_LEAST, RuleColumns.least(rule))
                        .set(ROUND.REVISION, ROUND.REVISION.plus(1))
                        .where(ROUND.ID.eq(round), ROUND.CLOSED_AT.isNull())
                        .execute(),
                "The round");
        db.deleteFrom(ROUND_SIGNATORY).where(ROUND_SIGNATORY.ROUND_ID.eq(round)).execute();
        addSignatories(round, signatories);
    }

    /** The round of a version. */
    public Optional<Round> round(VersionId version) {
        return RoundRows.where(db, VERSION.ID.eq(version)).stream().findFirst();
    }

    /** The rounds of a deliverable, oldest first. */
    public List<Round> rounds(ItemId deliverable) {
        return RoundRows.where(db, VERSION.DELIVERABLE_ID.eq(deliverable));
    }

    /** The rounds of all deliverables of a project, oldest first. */
    public List<Round> roundsOf(ProjectId project) {
        return RoundRows.where(db, ITEM.PROJECT_ID.eq(project));
    }

    /** The rounds of all projects that are worked on, oldest first. */
    public List<Round> roundsOfActiveProjects() {
        return RoundRows.where(db, WorkedOn.is(ITEM.PROJECT_ID));
    }

    /** Whether a version was ever released, recalled or not. */
    public boolean isReleased(VersionId version) {
        return db.fetchExists(RELEASE, RELEASE.VERSION_ID.eq(version));
    }

    /** Adds a decision. */
    public void say(RoundId round, Round.Said said) {
        db.insertInto(SIGN_OFF)
                .set(SIGN_OFF.ID, UUID.randomUUID())
                .set(SIGN_OFF.ROUND_ID, round)
                .set(SIGN_OFF.CONTACT_ID, said.contact())
                .set(SIGN_OFF.DECISION, said.decision())
                .set(SIGN_OFF.SENTENCE, said.sentence())
                .set(SIGN_OFF.TYPED_NAME, said.typedName())
                .set(SIGN_OFF.SHA256, said.sha256())
                .set(SIGN_OFF.MADE_AT, said.at())
                .set(SIGN_OFF.BATCH_ID, said.batch())
                .set(SIGN_OFF.STAND_IN_CONTACT, said.standIn())
                .set(SIGN_OFF.STAND_IN_NAME, said.standInName())
                .set(SIGN_OFF.BY_SILENCE, said.bySilence())
                .set(SIGN_OFF.DRAWN, said.drawn())
                .execute();
    }

    /** Takes back the latest that somebody said in a round. */
    public void takeBack(RoundId round, Round.Said said, Instant now) {
        Stale.unlessOne(
                db.update(SIGN_OFF)
                        .set(SIGN_OFF.TAKEN_BACK_AT, now)
                        .where(
                                SIGN_OFF.ROUND_ID.eq(round),
                                SIGN_OFF.CONTACT_ID.eq(said.contact()),
                                SIGN_OFF.MADE_AT.eq(said.at()),
                                SIGN_OFF.TAKEN_BACK_AT.isNull())
                        .execute(),
                "The decision");
    }

    /** Opens a round again that one decision closed. @throws Stale if it is open */
    public void reopen(RoundId round) {
        Stale.unlessOne(
                db.update(ROUND)
                        .setNull(ROUND.CLOSED_AT)
                        .setNull(ROUND.CLOSED_BY)
                        .setNull(ROUND.CLOSE_REASON)
                        .setNull(ROUND.OUTCOME)
                        .set(ROUND.REVISION, ROUND.REVISION.plus(1))
                        .where(ROUND.ID.eq(round), ROUND.CLOSED_AT.isNotNull())
                        .execute(),
                "The round");
    }

    /** Closes a round. @throws Stale if it was closed meanwhile */
    public void close(RoundId round, Outcome outcome, Actor by, @Nullable String reason, Instant now) {
        Stale.unlessOne(
                db.update(ROUND)
                        .set(ROUND.CLOSED_AT, now)
                        .set(ROUND.CLOSED_BY, by)
                        .set(ROUND.CLOSE_REASON, reason)
                        .set(ROUND.OUTCOME, outcome)
                        .set(ROUND.REVISION, ROUND.REVISION.plus(1))
                        .where(ROUND.ID.eq(round), ROUND.CLOSED_AT.isNull())
                        .execute(),
                "The round");
    }
}
