package app.clearpane.usecases.signoff;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.DecisionActs;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.RoundState;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.usecases.plan.ReviewsFollow;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Closes a round before everybody has decided: by the manager, with a reason, or by the lead voice. Pending counts as
 * back (R3).
 */
@Component
public class CloseRound {
    private static final int LONGEST_REASON = 400;
    private final VisibleDeliverables visible;
    private final Deliverables deliverables;
    private final WriteToTeam tellManager;
    private final ReviewsFollow reviewsFollow;
    private final AuditLog audit;
    private final Clock clock;

    CloseRound(
            VisibleDeliverables visible,
            Deliverables deliverables,
            WriteToTeam tellManager,
            ReviewsFollow reviewsFollow,
            AuditLog audit,
            Clock clock) {
        this.visible = visible;
        this.deliverables = deliverables;
        this.tellManager = tellManager;
        this.reviewsFollow = reviewsFollow;
        this.audit = audit;
        this.clock = clock;
    }

    /** By one of the team. */
    @Transactional
    public void byTeam(VersionId id, String reason, Actor by) {
        Input input = new Input();
        String why = input.text("The reason", reason, LONGEST_REASON);
        input.require(
                !why.isEmpty(), "Say why the round is closed before everybody has decided; it stands in the Record.");
        input.allGood();
        close(NotFound.unless(deliverables.version(id)), why, by);
    }

    /** By the lead voice, once they have decided. */
    @Transactional
    public void byLeadVoice(Viewer viewer, VersionId id) {
        Version version = NotFound.unless(visible.version(viewer, id));
        Round round = NotFound.unless(visible.round(viewer, id));
        if (!viewer.leadVoice() || round.saidBy(viewer.contact()).isEmpty()) {
            throw Refused.because(
                    "Only the one who speaks for everybody can close the round, after deciding. Nothing was changed.");
        }
        Outcome outcome = close(version, "closed by the lead voice", viewer.actor());
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        tellManager.tell(
                viewer.project(),
                "Round closed: " + deliverable.name() + ", version " + version.number(),
                List.of(viewer.name() + " closed the round without waiting for the others. It "
                        + DecisionWords.outcome(outcome) + "."),
                new WriteToTeam.Leads("See " + deliverable.name(), "/t/deliverables/" + deliverable.id()));
    }

    private Outcome close(Version version, String reason, Actor by) {
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        deliverables.lock(deliverable.id());
        Round round = NotFound.unless(deliverables.round(version.id()));
        if (!round.open()) {
            throw Refused.changedMeanwhile("This round is closed already. Nothing was changed.");
        }
        Outcome outcome =
                new RoundState(version.sha256(), false, round.panel(), round.decisions(), 0, 0, 0).closedByHand();
        deliverables.close(round.id(), outcome, by, reason, clock.instant());
        reviewsFollow.closed(deliverable.project(), deliverable.id(), round.number(), outcome.agreed(), by);
        audit.append(
                deliverable.project(),
                deliverable.id().value(),
                new DecisionActs.RoundClosed(
                        by,
                        deliverable.name(),
                        round.number(),
                        Optional.of(Objects.requireNonNull(version.number())),
                        outcome,
                        Optional.of(reason)));
        return outcome;
    }
}
