package app.clearpane.store.supply;

import static app.clearpane.store.schema.Tables.HOUSE_PICTURE;
import static app.clearpane.store.schema.Tables.REQUEST;
import static app.clearpane.store.schema.Tables.REQUEST_ASKED;
import static app.clearpane.store.schema.Tables.REQUEST_PART;
import static app.clearpane.store.schema.Tables.SUPPLIED;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Leaving;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Term;
import app.clearpane.store.Stale;
import app.clearpane.store.project.WorkedOn;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** The requests of projects, as the team sees them. */
public final class Requests {
    private static final String ARRIVED = "ARRIVED";
    private final DSLContext db;

    public Requests(DSLContext db) {
        this.db = db;
    }

    /** Those of a project, drafts first, then those sent last. */
    public List<Request> ofProject(ProjectId project) {
        return RequestRows.where(db, REQUEST.PROJECT_ID.eq(project));
    }

    /** Those of all projects that are worked on that were sent and not withdrawn. */
    public List<Request> underWay() {
        return RequestRows.where(
                db,
                REQUEST.SENT_AT.isNotNull().and(REQUEST.WITHDRAWN_AT.isNull()).and(WorkedOn.is(REQUEST.PROJECT_ID)));
    }

    /** One of them. */
    public Optional<Request> find(RequestId id) {
        return RequestRows.where(db, REQUEST.ID.eq(id)).stream().findFirst();
    }

    /** The one for which something was given. */
    public Optional<Request> ofSupplied(UUID given) {
        return RequestRows.where(
                        db,
                        REQUEST.ID.in(
                                DSL.select(SUPPLIED.REQUEST_ID).from(SUPPLIED).where(SUPPLIED.ID.eq(given))))
                .stream()
                .findFirst();
    }

    /** Locks a request for the rest of the transaction, so that what is given and settled happens one by one. */
    public void lock(RequestId id) {
        db.select(REQUEST.ID).from(REQUEST).where(REQUEST.ID.eq(id)).forUpdate().fetch();
    }

    /** Keeps a new draft; what it says to have been supplied is not looked at. */
    public void add(Request request, Instant now) {
        db.insertInto(REQUEST)
                .set(REQUEST.ID, request.id())
                .set(REQUEST.PROJECT_ID, request.project())
                .set(REQUEST.TITLE, request.title())
                .set(REQUEST.WHY, request.why())
                .set(REQUEST.GOES_TO_ID, request.goesTo().orElse(null))
                .set(REQUEST.TURN, request.turn())
                .set(REQUEST.HELD_AT, now)
                .set(REQUEST.ALLOWANCE_DAYS, request.term() instanceof Term.WithinDays within ? within.days() : null)
                .set(REQUEST.DUE_ON, request.term() instanceof Term.ByDay by ? by.day() : null)
                .set(
                        REQUEST.DUE_BEFORE_ID,
                        request.term() instanceof Term.BeforeStart before ? before.activity() : null)
                .set(REQUEST.DUE_BEFORE_DAYS, request.term() instanceof Term.BeforeStart before ? before.days() : null)
                .set(REQUEST.MADE_BY, request.madeBy())
                .set(REQUEST.CREATED_AT, now)
                .set(REQUEST.REVISION, 1)
                .execute();
        for (int i = 0; i < request.parts().size(); i++) {
            add(request.id(), request.parts().get(i), i);
        }
        for (int i = 0; i < request.asked().size(); i++) {
            db.insertInto(REQUEST_ASKED)
                    .set(REQUEST_ASKED.REQUEST_ID, request.id())
                    .set(REQUEST_ASKED.CONTACT_ID, request.asked().get(i).contact())
                    .set(REQUEST_ASKED.POSITION, i)
                    .execute();
        }
    }

    private void add(RequestId request, RequestPart part, int position) {
        db.insertInto(REQUEST_PART)
                .set(REQUEST_PART.ID, part.id())
                .set(REQUEST_PART.REQUEST_ID, request)
                .set(REQUEST_PART.POSITION, position)
                .set(REQUEST_PART.NAME, part.name())
                .set(REQUEST_PART.TAKES, part.takes())
                .set(REQUEST_PART.CHOICES, SupplyText.ofChoices(part.choices()))
                .set(REQUEST_PART.WANTED, part.wanted())
                .set(REQUEST_PART.CHECKS, SupplyText.ofChecks(part.checks()))
                .set(REQUEST_PART.GOOD, part.good())
                .set(REQUEST_PART.BAD, part.bad())
                .execute();
    }

    /** Says when a draft is to go out. @throws Stale if it was sent or withdrawn meanwhile */
    public void leaves(RequestId id, Optional<Leaving> leaving) {
        Optional<Leaving.When> when = leaving.map(Leaving::when);
        Optional<Leaving.WithPhase> with =
                when.filter(Leaving.WithPhase.class::isInstance).map(Leaving.WithPhase.class::cast);
        Optional<Leaving.OnDay> on =
                when.filter(Leaving.OnDay.class::isInstance).map(Leaving.OnDay.class::cast);
        Stale.unlessOne(
                db.update(REQUEST)
                        .set(REQUEST.LEAVES_ON, on.map(Leaving.OnDay::day).orElse(null))
                        .set(
                                REQUEST.LEAVES_WITH_ID,
                                with.map(Leaving.WithPhase::phase).orElse(null))
                        .set(
                                REQUEST.LEAVES_DAYS_BEFORE,
                                with.map(Leaving.WithPhase::daysBefore).orElse(null))
                        .set(
                                REQUEST.LEAVES_ALONE,
                                leaving.filter(Leaving::alone).isPresent())
                        .where(REQUEST.ID.eq(id), REQUEST.SENT_AT.isNull(), REQUEST.WITHDRAWN_AT.isNull())
                        .execute(),
                "The request");
    }

    /** The drafts of all projects that are worked on, of which it was said when they go out. */
    public List<Request> leaving() {
        return RequestRows.where(
                db,
                REQUEST.SENT_AT
                        .isNull()
                        .and(REQUEST.WITHDRAWN_AT.isNull())
                        .and(REQUEST.LEAVES_ON.isNotNull().or(REQUEST.LEAVES_WITH_ID.isNotNull()))
                        .and(WorkedOn.is(REQUEST.PROJECT_ID)));
    }

    /** Asks these of a draft, in this order. */
    public void askOnly(RequestId id, List<ContactId> contacts) {
        db.deleteFrom(REQUEST_ASKED).where(REQUEST_ASKED.REQUEST_ID.eq(id)).execute();
        contacts.forEach(contact -> ask(id, contact));
    }

    /** Keeps that an activity of the plan was made for it. */
    public void hasActivity(RequestId id, ItemId activity) {
        db.update(REQUEST)
                .set(REQUEST.OWN_ACTIVITY_ID, activity)
                .where(REQUEST.ID.eq(id))
                .execute();
    }

    /** The activity of the plan that was made for it. */
    public Optional<ItemId> ownActivity(RequestId id) {
        return db.select(REQUEST.OWN_ACTIVITY_ID)
                .from(REQUEST)
                .where(REQUEST.ID.eq(id), REQUEST.OWN_ACTIVITY_ID.isNotNull())
                .fetchOptional(REQUEST.OWN_ACTIVITY_ID);
    }

    /** Sends it. @throws Stale if it was sent or withdrawn meanwhile */
    public void send(RequestId id, Request.Sent sent) {
        Stale.unlessOne(
                db.update(REQUEST)
                        .set(REQUEST.SENT_AT, sent.at())
                        .set(REQUEST.DUE_AT, sent.due())
                        .set(REQUEST.REVISION, REQUEST.REVISION.plus(1))
                        .where(REQUEST.ID.eq(id), REQUEST.SENT_AT.isNull(), REQUEST.WITHDRAWN_AT.isNull())
                        .execute(),
                "The request");
    }

    /** Withdraws it. @throws Stale if it was withdrawn meanwhile */
    public void withdraw(RequestId id, String reason, Instant now) {
        Stale.unlessOne(
                db.update(REQUEST)
                        .set(REQUEST.WITHDRAWN_AT, now)
                        .set(REQUEST.WITHDRAW_REASON, reason)
                        .set(REQUEST.REVISION, REQUEST.REVISION.plus(1))
                        .where(REQUEST.ID.eq(id), REQUEST.WITHDRAWN_AT.isNull())
                        .execute(),
                "The request");
    }

    /** Takes away a draft with all of it. @throws Stale if it was sent or taken away meanwhile */
    public void discard(RequestId id) {
        new Questionnaires(db).discard(id);
        db.deleteFrom(REQUEST_ASKED).where(REQUEST_ASKED.REQUEST_ID.eq(id)).execute();
        db.deleteFrom(HOUSE_PICTURE)
                .where(HOUSE_PICTURE.SUBJECT_ID.in(
                        DSL.select(REQUEST_PART.ID).from(REQUEST_PART).where(REQUEST_PART.REQUEST_ID.eq(id))))
                .execute();
        db.deleteFrom(REQUEST_PART).where(REQUEST_PART.REQUEST_ID.eq(id)).execute();
        Stale.unlessOne(
                db.deleteFrom(REQUEST)
                        .where(REQUEST.ID.eq(id), REQUEST.SENT_AT.isNull())
                        .execute(),
                "The request");
    }

    /** Asks one more for it; nothing happens to whoever is asked already. */
    public void ask(RequestId id, ContactId contact) {
        db.insertInto(REQUEST_ASKED)
                .set(REQUEST_ASKED.REQUEST_ID, id)
                .set(REQUEST_ASKED.CONTACT_ID, contact)
                .set(
                        REQUEST_ASKED.POSITION,
                        DSL.field(DSL.select(DSL.count()).from(REQUEST_ASKED).where(REQUEST_ASKED.REQUEST_ID.eq(id))))
                .onConflictDoNothing()
                .execute();
    }

    /** Writes down who holds it by what is kept now, and since when if that moved. */
    public void followTurn(RequestId id, Instant now) {
        find(id).ifPresent(request -> db.update(REQUEST)
                .set(REQUEST.TURN, request.turn())
                .set(REQUEST.HELD_AT, now)
                .where(REQUEST.ID.eq(id), REQUEST.TURN.ne(request.turn()))
                .execute());
    }

    /** Keeps what was given for a part of a request. */
    public void supply(RequestId request, Supplied given) {
        db.insertInto(SUPPLIED)
                .set(SUPPLIED.ID, given.id())
                .set(SUPPLIED.REQUEST_ID, request)
                .set(SUPPLIED.PART_ID, given.part())
                .set(SUPPLIED.SHA256, given.sha256())
                .set(SUPPLIED.NAME, given.name())
                .set(SUPPLIED.FACTS, SupplyText.ofFacts(given.facts()))
                .set(SUPPLIED.FINDINGS, SupplyText.ofFindings(given.findings()))
                .set(SUPPLIED.TYPED, given.typed().orElse(null))
                .set(SUPPLIED.GIVEN_BY, given.came().by())
                .set(SUPPLIED.GIVEN_AT, given.came().at())
                .set(SUPPLIED.DOOR, given.came().door())
                .set(SUPPLIED.ALL_THE_SAME, given.allTheSame().orElse(null))
                .set(SUPPLIED.STANDING, ARRIVED)
                .execute();
    }

    /** Keeps why something is to be looked at in spite of what failed. @throws Stale if it was settled meanwhile */
    public void allTheSame(UUID given, String why) {
        Stale.unlessOne(
                db.update(SUPPLIED)
                        .set(SUPPLIED.ALL_THE_SAME, why)
                        .where(SUPPLIED.ID.eq(given), SUPPLIED.STANDING.eq(ARRIVED))
                        .execute(),
                "What was given");
    }

    /** Takes it. @throws Stale if it was settled meanwhile */
    public void accept(UUID given, Supplied.Accepted how) {
        settle(given, "ACCEPTED", how.at(), how.reason(), Optional.of(how.by()));
    }

    /** Asks for another in its place. @throws Stale if it was settled meanwhile */
    public void askAgain(UUID given, Supplied.AskedAgain how) {
        settle(given, "ASKED_AGAIN", how.at(), how.why(), Optional.of(how.by()));
    }

    /** Takes back what was given. @throws Stale if it was settled meanwhile */
    public void takeBack(UUID given, Instant now) {
        settle(given, StillThere.TAKEN_BACK, now, "", Optional.empty());
    }

    private void settle(UUID given, String standing, Instant now, String words, Optional<Actor> by) {
        Stale.unlessOne(
                db.update(SUPPLIED)
                        .set(SUPPLIED.STANDING, standing)
                        .set(SUPPLIED.SETTLED_BY, by.orElse(null))
                        .set(SUPPLIED.SETTLED_AT, now)
                        .set(SUPPLIED.SETTLED_WORDS, words)
                        .where(SUPPLIED.ID.eq(given), SUPPLIED.STANDING.eq(ARRIVED))
                        .execute(),
                "What was given");
    }
}
