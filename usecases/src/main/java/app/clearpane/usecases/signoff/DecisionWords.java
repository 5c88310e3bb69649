package app.clearpane.usecases.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.Signatories;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.usecases.shell.Words;
import java.util.List;
import org.springframework.stereotype.Component;

/** What decisions are called on screens, in mails and on certificates. Templates call it {@code decisions}. */
@Component
public final class DecisionWords implements TemplateHelper {

    @Override
    public String name() {
        return "decisions";
    }

    /** After a name: "Jasper sent back". */
    public static String said(Decision decision) {
        return switch (decision) {
            case SIGN_OFF -> "signed off";
            case SIGN_OFF_WITH_NOTES -> "signed off, with notes,";
            case SEND_BACK -> "sent back";
            case STAND_ASIDE -> "stands aside on";
        };
    }

    /** On its own: "sent back". */
    public static String alone(Decision decision) {
        return switch (decision) {
            case SIGN_OFF -> "signed off";
            case SIGN_OFF_WITH_NOTES -> "signed off with notes";
            case SEND_BACK -> "sent back";
            case STAND_ASIDE -> "stands aside";
        };
    }

    /** To whoever decided: "You sent back". */
    public static String yours(Decision decision) {
        return "You " + (decision == Decision.STAND_ASIDE ? "stand aside" : alone(decision));
    }

    /** What a sign-off would do in a round, before it is made. @param signer whose it would be */
    public static String foretold(Round round, ContactId signer) {
        return effect(round, signer, "your");
    }

    /** What a sign-off did to a round, told to those who did not make it. @param round as it stood before */
    static String told(Round round, ContactId signer) {
        return effect(round, signer, "this");
    }

    private static String effect(Round round, ContactId signer, String whose) {
        Signatories.Effect effect = round.panel().with(signer, Decision.SIGN_OFF, round.decisions());
        List<String> others = round.panel().undecided(round.decisions()).stream()
                .filter(one -> !one.equals(signer))
                .map(round::nameOf)
                .toList();
        return switch (effect.outcome()) {
            case SIGNED, SIGNED_WITH_NOTES -> "With this it is signed off, and the round closes.";
            case PENDING ->
                others.isEmpty()
                        ? "Others have still to decide."
                        : Words.listed(others) + (others.size() == 1 ? " has" : " have") + " still to decide.";
            case BACK, NOBODY_LEFT, RECALLED ->
                Words.listed(round.whoDecided(Decision.SEND_BACK)) + " sent it back, so it goes back all the same"
                        + (effect.closes()
                                ? ": the round closes with " + whose + " signature, as sent back."
                                : " once " + Words.listed(others) + (others.size() == 1 ? " has" : " have")
                                        + " decided.");
        };
    }

    /** Whether a version goes back even if this signatory signs it. */
    public static boolean goesBackAnyway(Round round, ContactId signer) {
        return round.panel().with(signer, Decision.SIGN_OFF, round.decisions()).outcome() == Outcome.BACK;
    }

    static String subject(Decision decision) {
        return switch (decision) {
            case SIGN_OFF, SIGN_OFF_WITH_NOTES -> "Signed off";
            case SEND_BACK -> "Sent back";
            case STAND_ASIDE -> "Stands aside";
        };
    }

    /** What a round came to. */
    public static String outcome(Outcome outcome) {
        return switch (outcome) {
            case PENDING -> "pending";
            case BACK -> "came back";
            case SIGNED -> "signed off";
            case SIGNED_WITH_NOTES -> "signed off with notes";
            case NOBODY_LEFT -> "nobody left to sign";
            case RECALLED -> "recalled";
        };
    }
}
