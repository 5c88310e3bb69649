package app.clearpane.core.signoff;

import app.clearpane.core.agency.ContactId;
import java.util.Collection;
import java.util.List;

/** Who cannot give up a seat yet: whoever speaks for others at its pane, and whoever is asked to sign. */
public final class Leaving {
    private Leaving() {}

    /** The open rounds that somebody is asked to sign, in the order given. */
    public static List<Round> toSign(ContactId contact, Collection<Round> rounds) {
        return rounds.stream()
                .filter(round -> round.open()
                        && round.signatories().stream()
                                .anyMatch(signatory -> signatory.contact().equals(contact)))
                .toList();
    }

    /**
     * Whether a seat can be ended.
     *
     * @param leadVoice whether its holder speaks for the client at that pane
     * @param others how many others have a seat at that pane
     * @param rounds of which those that are open count
     */
    public static boolean mayLeave(ContactId contact, boolean leadVoice, int others, Collection<Round> rounds) {
        return !(leadVoice && others > 0) && toSign(contact, rounds).isEmpty();
    }
}
