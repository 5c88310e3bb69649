package app.clearpane.web.signoff;

import app.clearpane.core.people.Actor;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.record.Act;
import app.clearpane.core.signoff.DrawnSignature;
import app.clearpane.store.deliverable.Deliverable;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.ExtraRounds;
import app.clearpane.store.deliverable.Round;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.markup.MarkupRow;
import app.clearpane.store.markup.Markups;
import app.clearpane.web.plan.ReviewsFollow;
import app.clearpane.web.record.Tell;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps a decision that may stand: confirms what it confirms, accepts what it costs, and closes the round when that is due (R2, R3). */
@Component
class KeepDecision {
  private final Deliverables deliverables;
  private final ExtraRounds extraRounds;
  private final Markups markups;
  private final ReviewsFollow reviewsFollow;
  private final Tell tell;
  private final Clock clock;

  KeepDecision(Deliverables deliverables, ExtraRounds extraRounds, Markups markups, ReviewsFollow reviewsFollow, Tell tell, Clock clock) {
    this.deliverables = deliverables;
    this.extraRounds = extraRounds;
    this.markups = markups;
    this.reviewsFollow = reviewsFollow;
    this.tell = tell;
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
  public Instant of(Viewer viewer, WeighDecision.Ready ready, @Nullable UUID batch) {
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
    deliverables.say(round.id(), new Round.Said(ready.signer(), ready.signerName(), ready.form().decision(), ready.sentence(), ready.form().typedName(), ready.version().sha256(), now, batch,
        standsIn ? decider.contact() : null, standsIn ? decider.name() : null, decider.silent(), drawn.orElse(null)));
    Map<String, Object> payload = new HashMap<>(Map.of("version", ready.version().number(), "sha256", ready.version().sha256(), "decision", ready.form().decision(), "sentence", ready.sentence(),
        "typedName", ready.form().typedName(), "round", round.number(), "outcome", ready.taken().outcome()));
    payload.put("signatory", ready.signer().toString());
    if (standsIn) {
      payload.put("insteadOf", ready.signerName());
    }
    drawn.ifPresent(text -> payload.put("drawnSignature", Sha256.ofText(text)));
    if (decider.silent()) {
      payload.put("bySilence", true);
    }
    if (batch != null) {
      payload.put("batch", batch.toString());
    }
    tell.of(deliverable.project(), deliverable.id().value(), new Tell.Happening(Act.SIGNOFF_MADE, decider.actor(), deliverable.name(), payload));
    if (ready.taken().closes()) {
      deliverables.close(round.id(), ready.taken().outcome(), "the last decision", null, now);
      reviewsFollow.closed(deliverable.project(), deliverable.id(), round.number(), ready.taken().outcome().agreed(), decider.actor());
      tell.of(deliverable.project(), deliverable.id().value(), new Tell.Happening(Act.ROUND_CLOSED, decider.actor(), deliverable.name(),
          Map.of("round", round.number(), "version", ready.version().number(), "outcome", ready.taken().outcome())));
    }
    if (ready.form().decision().signs()) {
      confirm(decider, ready, now);
    }
    return now;
  }

  private void accept(Decider decider, Deliverable deliverable, int number, Instant now) {
    if (extraRounds.accept(new ExtraRounds.Accepted(deliverable.id(), number, deliverable.allowance().fee(), decider.contact(), decider.name(), now))) {
      tell.of(deliverable.project(), deliverable.id().value(), new Tell.Happening(Act.EXTRA_ACCEPTED, decider.actor(), deliverable.name(),
          Map.of("round", number, "included", deliverable.allowance().rounds(), "fee", deliverable.allowance().fee().toPlainString())));
    }
  }

  /** Signing confirms the signer's own fixed marks; the sign-off that completes the rule confirms the rest (R2). */
  private void confirm(Decider decider, WeighDecision.Ready ready, Instant now) {
    ready.marks().stream().filter(m -> m.told() == MarkupProgress.FIXED).filter(m -> ready.taken().outcome().agreed() || decider.contact().equals(m.author().contact()) || ready.signer().equals(m.author().contact())).forEach(mark -> {
      markups.move(mark, MarkupProgress.CONFIRMED, mark.fixedIn());
      markups.answer(mark.id(), new MarkupRow.Answer(MarkupProgress.Act.CONFIRM.name(), "", false, new MarkupRow.Author(decider.name(), decider.contact(), null), now));
    });
  }
}
