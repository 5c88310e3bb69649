package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.signoff.RoundNumber;
import app.clearpane.store.markup.Markups;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What a further round costs. */
@Component
public class CostOfRound {
    private final Markups markups;

    CostOfRound(Markups markups) {
        this.markups = markups;
    }

    /**
     * What sending the next version costs beyond the rounds included, as a sentence; empty if it is within them. @param
     * state with its marks or without: they are read here
     */
    public Optional<String> describe(DeliverableState state) {
        Deliverable deliverable = state.deliverable();
        int next = RoundNumber.next(
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
}
