package app.clearpane.core.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.files.Sha256;
import java.util.Map;

/**
 * A round at one moment, with all that a new decision depends on.
 *
 * @param current the digest of the version this round is about, or of the one that replaced it
 * @param closed whether the round is closed
 * @param signatories who decides
 * @param decisions the latest decision of each
 * @param unsettledChanges Change marks that are open or taken on
 * @param ownChanges Change marks of the one who decides now, not withdrawn
 * @param openClashes clashes without a ruling
 */
public record RoundState(
        Sha256 current,
        boolean closed,
        Signatories signatories,
        Map<ContactId, Decision> decisions,
        int unsettledChanges,
        int ownChanges,
        int openClashes) {

    public RoundState {
        decisions = Map.copyOf(decisions);
    }

    /** Whether this attempt may stand, and if not, why (R2). */
    public Answer answer(Attempt attempt) {
        if (!attempt.named().equals(current)) {
            return new Answer.Refused(Refusal.VERSION_REPLACED);
        }
        if (closed) {
            return new Answer.Refused(Refusal.ROUND_CLOSED);
        }
        if (!signatories.inOrder().contains(attempt.by())) {
            return new Answer.Refused(Refusal.NOT_A_SIGNATORY);
        }
        if (!signatories.isPlaceOf(attempt.by(), decisions)) {
            return new Answer.Refused(Refusal.NOT_YOUR_PLACE);
        }
        return switch (attempt.decision()) {
            case SIGN_OFF, SIGN_OFF_WITH_NOTES -> signing(attempt);
            case SEND_BACK ->
                attempt.sentence().isBlank() && ownChanges == 0
                        ? new Answer.Refused(Refusal.SAY_WHAT_TO_CHANGE)
                        : taken(attempt);
            case STAND_ASIDE ->
                signatories.leadVoice().filter(attempt.by()::equals).isPresent()
                        ? new Answer.Refused(Refusal.LEAD_VOICE_STAYS)
                        : taken(attempt);
        };
    }

    private Answer signing(Attempt attempt) {
        if (unsettledChanges > 0) {
            return new Answer.Refused(Refusal.CHANGE_OPEN);
        }
        if (openClashes > 0) {
            return new Answer.Refused(Refusal.CLASH_OPEN);
        }
        if (attempt.decision() == Decision.SIGN_OFF_WITH_NOTES
                && attempt.sentence().isBlank()) {
            return new Answer.Refused(Refusal.NOTES_MISSING);
        }
        return taken(attempt);
    }

    private Answer taken(Attempt attempt) {
        Signatories.Effect effect = signatories.with(attempt.by(), attempt.decision(), decisions);
        return new Answer.Taken(effect.outcome(), effect.closes());
    }

    /** What the round comes to when it is closed by hand: pending counts as back. */
    public Outcome closedByHand() {
        Outcome outcome = signatories.outcome(decisions);
        return outcome == Outcome.PENDING ? Outcome.BACK : outcome;
    }

    /** What becomes of an attempt. */
    public sealed interface Answer {
        /**
         * The decision stands.
         *
         * @param outcome what the decisions come to with it
         * @param closes whether the round closes with it
         */
        record Taken(Outcome outcome, boolean closes) implements Answer {}

        /** The decision does not stand, and nothing changed. */
        record Refused(Refusal why) implements Answer {}
    }

    /** Why a decision is refused. */
    public enum Refusal {
        VERSION_REPLACED,
        ROUND_CLOSED,
        NOT_A_SIGNATORY,
        NOT_YOUR_PLACE,
        CHANGE_OPEN,
        CLASH_OPEN,
        NOTES_MISSING,
        SAY_WHAT_TO_CHANGE,
        LEAD_VOICE_STAYS
    }
}
