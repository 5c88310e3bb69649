package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.RoundNumber;
import app.clearpane.core.signoff.RoundState;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.plan.ReviewsFollow;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Opens the round in which a version is decided on. */
@Component
class OpenRound {
    private final Deliverables deliverables;
    private final Markups markups;
    private final ReviewsFollow reviewsFollow;
    private final DecideBy decideBy;
    private final TheAgency agency;

    OpenRound(
            Deliverables deliverables,
            Markups markups,
            ReviewsFollow reviewsFollow,
            DecideBy decideBy,
            TheAgency agency) {
        this.deliverables = deliverables;
        this.markups = markups;
        this.reviewsFollow = reviewsFollow;
        this.decideBy = decideBy;
        this.agency = agency;
    }

    /**
     * Sends a draft and opens its round; what it replaces is closed.
     *
     * @param sent the versions sent until now, oldest first
     */
    Round open(Version draft, List<Version> sent, List<SeatRow> signatories, Due chosen, Actor by) {
        Deliverable deliverable = deliverables.find(draft.deliverable()).orElseThrow();
        int number = sent.size() + 1;
        Instant now = agency.now();
        closeWhatItReplaces(deliverable, number, by, now);
        deliverables.numberAndSend(draft, number, now);
        Round round = new Round(
                new RoundId(UUID.randomUUID()),
                draft.id(),
                RoundNumber.next(sent, deliverables.rounds(deliverable.id()), markups.withoutThreads(deliverable.id())),
                now,
                decideBy.dueAt(deliverable, chosen, now),
                deliverable.rule(),
                signatories.stream()
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
        return round;
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
}
