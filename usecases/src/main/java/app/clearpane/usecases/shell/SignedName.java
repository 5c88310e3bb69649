package app.clearpane.usecases.shell;

import app.clearpane.core.agency.Name;
import java.util.List;

/** The name that somebody types to sign. */
public final class SignedName {
    private SignedName() {}

    /**
     * Checks it.
     *
     * @param own the signer's own name
     * @param sure whether they said that another name is meant
     * @throws Refused if it is missing or too long
     * @throws NeedsConfirmation if it is not theirs, as far as can be told
     */
    public static void check(String typed, String own, boolean sure) {
        Input input = new Input();
        input.require(!typed.isBlank(), "Type your name, " + own + ", to sign.");
        input.require(typed.length() <= Name.LONGEST, "Your name may have " + Name.LONGEST + " characters.");
        input.allGood();
        if (!sure && !new Name(own).isMeantBy(typed)) {
            throw new NeedsConfirmation(
                    List.of(
                            "You typed “" + typed.strip() + "”, but this is the page of " + own
                                    + ". Nothing was signed yet.",
                            "If you are somebody else, ask for a page of your own: what is signed here counts as " + own
                                    + "’s."),
                    "Sign as “" + typed.strip() + "” all the same");
        }
    }
}
