package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.RoundCount;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.RoundState;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.ReviewsFollow;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sends a draft for review: it gets its number, a round opens, and everybody concerned gets a mail with a link. */
@Component
public class SendVersion {
    private final Deliverables deliverables;
    private final Markups markups;
    private final Seats seats;
    private final Readers readers;
    private final ReviewsFollow reviewsFollow;
    private final PlanBook plans;
    private final Projects projects;
    private final AuditLog audit;
    private final TheAgency agency;
    private final Lasting lasting;
    private final WriteToContact toContact;

    SendVersion(
            Deliverables deliverables,
            Markups markups,
            Seats seats,
            Readers readers,
            ReviewsFollow reviewsFollow,
            PlanBook plans,
            Projects projects,
            AuditLog audit,
            TheAgency agency,
            Lasting lasting,
            WriteToContact toContact) {
        this.toContact = toContact;
        this.plans = plans;
        this.projects = projects;
        this.deliverables = deliverables;
        this.markups = markups;
        this.seats = seats;
        this.readers = readers;
        this.reviewsFollow = reviewsFollow;
        this.audit = audit;
        this.agency = agency;
        this.lasting = lasting;
    }

    /** What of the plan a decision may be due before. */
    public List<ProjectPlan.Named> begins(Project project) {
        return plans.planOf(project).begins(Optional.empty());
    }

    /**
     * Sends it, to be decided on within the working days that its reviews have. @throws Refused if something stands in
     * the way
     */
    @Transactional
    public Round send(VersionId id, Actor by) {
        return send(id, Due.NONE, by);
    }

    /**
     * Sends it. @param chosen by when it is to be decided on, where that is not as usual @throws Refused if something
     * stands in the way
     */
    @Transactional
    public Round send(VersionId id, Due chosen, Actor by) {
        Version draft = NotFound.unless(deliverables.version(id));
        Deliverable deliverable = NotFound.unless(deliverables.find(draft.deliverable()));
        deliverables.lock(deliverable.id());
        refuseUnlessNewest(draft);
        Readers.Audience audience = readers.audienceOf(deliverable, deliverables.rounds(deliverable.id()));
        if (!audience.obstacles().isEmpty()) {
            throw Refused.because(audience.obstacles());
        }
        Instant now = agency.now();
        List<Version> sent = deliverables.versions(deliverable.id()).stream()
                .filter(v -> !v.draft())
                .toList();
        closeWhatItReplaces(deliverable, sent.size() + 1, by, now);
        deliverables.numberAndSend(draft, sent.size() + 1, now);
        Round round = new Round(
                new RoundId(UUID.randomUUID()),
                id,
                roundNumber(sent, deliverables.rounds(deliverable.id()), markups.withoutThreads(deliverable.id())),
                now,
                dueAt(deliverable, chosen, now),
                deliverable.rule(),
                audience.signatories().stream()
                        .map(seat -> new Round.Signatory(seat.contact(), seat.name(), seat.leadVoice()))
                        .toList());
        deliverables.open(round);
        reviewsFollow.sent(
                deliverable.project(),
                deliverable.id(),
                chosen.equals(Due.NONE)
                        ? Optional.empty()
                        : Optional.of(LocalDate.ofInstant(
                                round.dueAt().minusMillis(1), agency.get().zone())),
                by);
        audit.append(
                deliverable.project(),
                deliverable.id().value(),
                new VersionActs.VersionSent(
                        by,
                        deliverable.name(),
                        sent.size() + 1,
                        draft.sha256(),
                        round.number(),
                        round.dueAt(),
                        round.signatories().stream().map(Round.Signatory::name).toList(),
                        audience.others().stream().map(SeatRow::name).toList()));
        Stream.concat(audience.signatories().stream(), audience.others().stream())
                .forEach(seat -> mail(seat, deliverable, sent.size() + 1, draft, round, now));
        return round;
    }

    /** When it is to be decided on: at the hour, or else when the day's work ends. */
    private Instant dueAt(Deliverable deliverable, Due chosen, Instant now) {
        if (chosen.equals(Due.NONE)) {
            return agency.calendar().due(now, deliverable.reviewDays());
        }
        ProjectPlan plan = plans.planOf(projects.find(deliverable.project()).orElseThrow());
        Due reckoned = chosen.before().isEmpty()
                ? chosen
                : chosen.before()
                        .filter(rule -> plan.hasDays(rule.activity()))
                        .map(rule -> chosen.reckoned(plan.firstDay(rule.activity()), agency.calendar()))
                        .orElseThrow(() -> Refused.because(
                                "What it is to be decided on before is not in this plan any more. Nothing "
                                        + "was sent; choose something else."));
        Instant due = reckoned.decidedBy(agency.calendar()).orElseThrow();
        if (!due.isAfter(now)) {
            throw Refused.because("They would have to decide by " + lasting.due(due)
                    + ", which is past. Nothing was sent; choose a later time.");
        }
        return due;
    }

    /**
     * What sending the next version costs beyond the rounds included, as a sentence; empty if it is within them. @param
     * state with its marks or without: they are read here
     */
    public Optional<String> costs(DeliverableState state) {
        Deliverable deliverable = state.deliverable();
        int next = roundNumber(
                state.versions().stream().filter(v -> !v.draft()).toList(),
                state.rounds(),
                markups.withoutThreads(deliverable.id()));
        if (next <= deliverable.allowance().rounds()) {
            return Optional.empty();
        }
        boolean costs = deliverable.allowance().costs(next);
        return Optional.of(
                "This is round " + next + " of " + deliverable.allowance().rounds()
                        + (costs ? ": " + deliverable.allowance().fee().toPlainString() + " more." : ".")
                        + (!costs
                                ? ""
                                : deliverable.toAccept(next).isEmpty()
                                        ? " It was accepted."
                                        : " It is accepted with the next decision; until then nothing is released."));
    }

    private void refuseUnlessNewest(Version draft) {
        List<Version> all = deliverables.versions(draft.deliverable());
        Version fresh =
                all.stream().filter(v -> v.id().equals(draft.id())).findFirst().orElseThrow();
        if (!fresh.draft()) {
            throw Refused.changedMeanwhile(fresh.called() + " was sent already" + ". Nothing was sent twice.");
        }
        boolean newerSent = all.stream()
                .anyMatch(v -> !v.draft() && Objects.requireNonNull(v.sentAt()).isAfter(fresh.createdAt()));
        if (newerSent) {
            throw Refused.because(
                    "A later version was sent already, so this draft would be a step back. Upload it again if it "
                            + "is wanted after all.");
        }
    }

    private void closeWhatItReplaces(Deliverable deliverable, int number, Actor by, Instant now) {
        deliverables.rounds(deliverable.id()).stream().filter(Round::open).forEach(open -> {
            Outcome outcome = new RoundState(
                            deliverables.version(open.version()).orElseThrow().sha256(),
                            false,
                            open.panel(),
                            open.decisions(),
                            0,
                            0,
                            0)
                    .closedByHand();
            deliverables.close(
                    open.id(), outcome.agreed() ? outcome : Outcome.BACK, by, "replaced by version " + number, now);
            reviewsFollow.closed(deliverable.project(), deliverable.id(), open.number(), outcome.agreed(), by);
        });
    }

    private static int roundNumber(List<Version> sent, List<Round> rounds, List<Mark> marks) {
        List<Boolean> asked = new ArrayList<>(sent.stream()
                .map(version -> askedForMore(version, rounds, marks))
                .toList());
        asked.add(false);
        return RoundCount.used(asked);
    }

    private static boolean askedForMore(Version version, List<Round> rounds, List<Mark> marks) {
        boolean change = marks.stream()
                .anyMatch(m -> m.version().equals(version.id())
                        && m.intent() == Intent.CHANGE
                        && m.author().contact() != null
                        && m.progress() != MarkupProgress.WITHDRAWN);
        return change
                || rounds.stream()
                        .anyMatch(r -> r.version().equals(version.id())
                                && r.decisions().containsValue(Decision.SEND_BACK));
    }

    private void mail(SeatRow seat, Deliverable deliverable, int number, Version version, Round round, Instant sentAt) {
        boolean signs = seat.role().maySign();
        String what = deliverable.name() + ", version " + number;
        List<String> paragraphs = new ArrayList<>();
        boolean now = round.askedNow().contains(seat.contact());
        paragraphs.add(
                now
                        ? what + " is ready for you to look at. You can leave notes on it, send it back or sign it off."
                        : signs
                                ? what
                                        + " is ready for you to look at, and you can leave notes on it. You sign "
                                        + "one after another, "
                                        + round.nameOf(round.askedNow().get(0))
                                        + " first; a mail comes when it is your turn."
                                : seat.role().mayMarkUp()
                                        ? what + " is ready for you to look at. You can leave notes on it."
                                        : what + " is ready for you to look at.");
        if (!version.whatChanged().isEmpty()) {
            paragraphs.add("What changed: " + version.whatChanged());
        }
        List<String> putRight = markups.withoutThreads(deliverable.id()).stream()
                .filter(mark -> version.id().equals(mark.fixedIn())
                        && seat.contact().equals(mark.author().contact()))
                .map(mark -> mark.label().toString())
                .toList();
        if (!putRight.isEmpty()) {
            paragraphs.add("What you asked for in " + Words.listed(putRight)
                    + " is put right in it. Please look whether it is as you meant.");
        }
        paragraphs.add((now ? "Please decide by " : "The review ends ") + lasting.zoned(round.dueAt()) + ".");
        seats.invited(seat.id(), sentAt);
        toContact.write(
                seat.contact(),
                new WriteToContact.Note(
                        now ? "Sign off: " + what : "To look at: " + what,
                        paragraphs,
                        "Look at " + deliverable.name(),
                        "/c/panes/" + deliverable.pane() + "/versions/" + version.id()));
    }
}
