package app.clearpane.usecases.signoff;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.DrawnSignature;
import app.clearpane.usecases.shell.SignatureField;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A decision as it comes from a page.
 *
 * @param sha256 the digest of the version the page showed
 * @param typedName the signer's name as they typed it; needed to sign
 * @param drawn a signature drawn beside the name, as text; missing or empty if none was
 * @param sure whether another name than the signer's own is meant; missing if it is not
 * @param acceptExtra whether a round beyond those included is accepted; missing if it is not
 */
public record DecisionForm(
        Decision decision,
        Sha256 sha256,
        String sentence,
        String typedName,
        @Nullable Boolean acceptExtra,
        @Nullable String drawn,
        @Nullable Boolean sure) {
    /** What was typed beside a sign-off are its notes. */
    public DecisionForm {
        decision = decision.saidWith(sentence);
    }

    /** Without a drawn signature. */
    public DecisionForm(
            Decision decision, Sha256 sha256, String sentence, String typedName, @Nullable Boolean acceptExtra) {
        this(decision, sha256, sentence, typedName, acceptExtra, null, null);
    }

    /**
     * The signature that was drawn beside the name; empty if none was, or nothing is signed. @throws
     * app.clearpane.usecases.shell.Refused if it is none
     */
    Optional<DrawnSignature> signature() {
        return decision.signs() ? SignatureField.read(drawn) : Optional.empty();
    }

    /** Whether the name is meant as it was typed. */
    boolean isSure() {
        return Boolean.TRUE.equals(sure);
    }

    /** Whether it accepts what it costs. */
    boolean accepts() {
        return Boolean.TRUE.equals(acceptExtra);
    }
}
