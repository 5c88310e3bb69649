package app.clearpane.usecases.signoff;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.record.event.DecisionActs;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.ExtraRounds;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.plan.ReviewsFollow;
import app.clearpane.usecases.record.AuditLog;
import java.time.Clock;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** Undoes what a decision did: what it said, the marks it confirmed, the round it closed. */
@Component
class UndoDecision {
    private final Deliverables deliverables;
    private final ExtraRounds extraRounds;
    private final Markups markups;
    private final ReviewsFollow reviewsFollow;
    private final AuditLog audit;
    private final Clock clock;

    UndoDecision(
            Deliverables deliverables,
            ExtraRounds extraRounds,
            Markups markups,
            ReviewsFollow reviewsFollow,
            AuditLog audit,
            Clock clock) {
        this.deliverables = deliverables;
        this.extraRounds = extraRounds;
        this.markups = markups;
        this.reviewsFollow = reviewsFollow;
        this.audit = audit;
        this.clock = clock;
    }

    void undo(Viewer viewer, Deliverable deliverable, Version version, Round round, Round.Said said) {
        deliverables.takeBack(round.id(), said, clock.instant());
        extraRounds.takeBack(deliverable.id(), viewer.contact(), said.at());
        markups.marksOf(deliverable.id()).stream()
                .filter(mark -> mark.isConfirmedBy(viewer.contact(), said.at()))
                .forEach(mark -> markups.unconfirm(mark, said.at()));
        if (!round.open()) {
            deliverables.reopen(round.id());
            reviewsFollow.reopened(viewer.project(), deliverable.id(), viewer.actor());
        }
        audit.append(
                viewer.project(),
                deliverable.id().value(),
                new DecisionActs.SignoffTakenBack(
                        viewer.actor(),
                        deliverable.name(),
                        Objects.requireNonNull(version.number()),
                        said.decision(),
                        round.number(),
                        said.at()));
    }
}
