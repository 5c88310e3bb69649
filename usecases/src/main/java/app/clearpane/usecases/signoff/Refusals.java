package app.clearpane.usecases.signoff;

import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.RoundState;
import app.clearpane.usecases.shell.Refused;
import java.util.List;

/** Why a decision does not stand, in sentences. */
final class Refusals {
    private Refusals() {}

    static Refused of(RoundState.Refusal why, String deliverable, Round round) {
        return switch (why) {
            case VERSION_REPLACED ->
                Refused.changedMeanwhile(
                        "A newer version of “" + deliverable
                                + "” was sent while you were looking, so nothing was decided on this one.",
                        "What you typed is still here. Look at the new version and decide there.");
            case ROUND_CLOSED ->
                Refused.changedMeanwhile(
                        "This round was closed meanwhile, so your decision was not added. What you typed is still "
                                + "here; tell us if it should be opened again.");
            case NOT_A_SIGNATORY -> Refused.because("You are not asked to sign this. " + names(round) + ".");
            case NOT_YOUR_PLACE -> Refused.because("It is not your turn to sign yet: you sign one after another.");
            case CHANGE_OPEN ->
                Refused.because(
                        "A change is still asked for, so this version cannot be signed. Send it back, or withdraw "
                                + "the change if it no longer matters.");
            case CLASH_OPEN ->
                Refused.because(
                        "Two people want different things here. That has to be settled before anybody can sign.");
            case NOTES_MISSING -> Refused.because("Write your notes first, or sign off without any.");
            case SAY_WHAT_TO_CHANGE ->
                Refused.because(
                        "Say what should change: leave a note marked “change” on the sheet, or write a sentence here.");
            case LEAD_VOICE_STAYS ->
                Refused.because(
                        "You speak for everybody here, so you cannot stand aside. Sign it off or send it back.");
        };
    }

    private static String names(Round round) {
        List<String> names =
                round.signatories().stream().map(Round.Signatory::name).toList();
        return String.join(" and ", names) + (names.size() == 1 ? " is" : " are");
    }
}
