package app.clearpane.usecases.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.ExtraRound;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.DecisionActs;
import app.clearpane.core.signoff.DrawnSignature;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.ExtraRounds;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.plan.ReviewsFollow;
import app.clearpane.usecases.record.AuditLog;
import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps a decision that may stand: confirms what it confirms, accepts what it costs, and closes the round when that is
 * due (R2, R3).
 */
@Component
class KeepDecision {
    private final Deliverables deliverables;
    private final ExtraRounds extraRounds;
    private final Markups markups;
    private final ReviewsFollow reviewsFollow;
    private final AskToSign ask;
    private final AuditLog audit;
    private final Clock clock;

    KeepDecision(
            Deliverables deliverables,
            ExtraRounds extraRounds,
            Markups markups,
            ReviewsFollow reviewsFollow,
            AskToSign ask,
            AuditLog audit,
            Clock clock) {
        this.deliverables = deliverables;
        this.extraRounds = extraRounds;
        this.markups = markups;
        this.reviewsFollow = reviewsFollow;
        this.ask = ask;
        this.audit = audit;
        this.clock = clock;
    }

    /** Who decides. @param silent whether they said nothing, and that counts */
    private record Decider(Actor.OfClient actor, boolean silent) {
        ContactId contact() {
            return actor.id();
        }

        String name() {
            return actor.name();
        }
    }

    /** Keeps it. @param batch what it is made together with; null if it is made alone @return when it was made */
    @Transactional(propagation = Propagation.MANDATORY)
    public Instant keep(Viewer viewer, WeighDecision.Ready ready, @Nullable UUID batch) {
        return keep(new Decider(new Actor.OfClient(viewer.contact(), viewer.name()), false), ready, batch);
    }

    /** Keeps the yes of somebody who said nothing. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void silence(WeighDecision.Ready ready) {
        keep(new Decider(new Actor.OfClient(ready.signer(), ready.signerName()), true), ready, null);
    }

    private Instant keep(Decider decider, WeighDecision.Ready ready, @Nullable UUID batch) {
        Instant now = clock.instant();
        Deliverable deliverable = ready.deliverable();
        Round round = ready.round();
        boolean standsIn = !ready.signer().equals(decider.contact());
        ready.accepts().forEach(number -> accept(decider, deliverable, number, now));
        Optional<String> drawn = ready.form().signature().map(DrawnSignature::text);
        deliverables.say(
                round.id(),
                new Round.Said(
                        ready.signer(),
                        ready.signerName(),
                        ready.form().decision(),
                        ready.sentence(),
                        ready.form().typedName(),
                        ready.version().sha256(),
                        now,
                        batch,
                        standsIn ? decider.contact() : null,
                        standsIn ? decider.name() : null,
                        decider.silent(),
                        drawn.orElse(null)));
        audit.append(
                deliverable.project(),
                deliverable.id().value(),
                new DecisionActs.SignoffMade(
                        decider.actor(),
                        deliverable.name(),
                        Objects.requireNonNull(ready.version().number()),
                        ready.version().sha256(),
                        ready.form().decision(),
                        ready.sentence(),
                        ready.form().typedName(),
                        round.number(),
                        ready.taken().outcome(),
                        ready.signer().toString(),
                        standsIn ? Optional.of(ready.signerName()) : Optional.empty(),
                        drawn.map(Sha256::ofText),
                        decider.silent() ? Optional.of(true) : Optional.empty(),
                        Optional.ofNullable(batch).map(UUID::toString)));
        if (ready.taken().closes()) {
            deliverables.close(round.id(), ready.taken().outcome(), decider.actor(), null, now);
            reviewsFollow.closed(
                    deliverable.project(),
                    deliverable.id(),
                    round.number(),
                    ready.taken().outcome().agreed(),
                    decider.actor());
            audit.append(
                    deliverable.project(),
                    deliverable.id().value(),
                    new DecisionActs.RoundClosed(
                            decider.actor(),
                            deliverable.name(),
                            round.number(),
                            Optional.of(ready.version().number()),
                            ready.taken().outcome(),
                            Optional.empty()));
        }
        if (ready.form().decision().signs()) {
            confirm(decider, ready, now);
        }
        deliverables
                .round(ready.version().id())
                .ifPresent(after -> ask.next(
                        new AskToSign.What(deliverable, ready.version(), after),
                        round,
                        DecideOnVersion.about(round.id(), decider.contact(), now),
                        now));
        return now;
    }

    private void accept(Decider decider, Deliverable deliverable, int number, Instant now) {
        if (extraRounds.accept(new ExtraRound(
                deliverable.id(), number, deliverable.allowance().fee(), decider.contact(), decider.actor(), now))) {
            audit.append(
                    deliverable.project(),
                    deliverable.id().value(),
                    new DecisionActs.ExtraAccepted(
                            decider.actor(),
                            deliverable.name(),
                            number,
                            deliverable.allowance().rounds(),
                            deliverable.allowance().fee().toPlainString()));
        }
    }

    /** Signing confirms the signer's own fixed marks; the sign-off that completes the rule confirms the rest (R2). */
    private void confirm(Decider decider, WeighDecision.Ready ready, Instant now) {
        Set<ContactId> both = new HashSet<>(List.of(decider.contact(), ready.signer()));
        ready.marks().stream()
                .filter(m -> m.told()
                        .confirmedBySigning(
                                m.isOf(both), ready.taken().outcome().agreed()))
                .forEach(mark -> {
                    markups.move(mark, MarkupProgress.CONFIRMED, mark.fix().map(Mark.Fix::version));
                    markups.answer(
                            mark.id(),
                            Mark.Answer.done(
                                    MarkupProgress.Act.CONFIRM,
                                    "",
                                    false,
                                    new Actor.OfClient(decider.contact(), decider.name()),
                                    now));
                });
    }
}
