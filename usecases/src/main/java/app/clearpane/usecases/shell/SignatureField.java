package app.clearpane.usecases.shell;

import app.clearpane.core.signoff.DrawnSignature;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The field in which somebody may draw a signature beside their typed name. */
public final class SignatureField {
    private SignatureField() {}

    /** What was drawn in it; empty if nothing was. @throws Refused if it is no signature */
    public static Optional<DrawnSignature> read(@Nullable String drawn) {
        try {
            return DrawnSignature.read(drawn);
        } catch (IllegalArgumentException unreadable) {
            throw Refused.because(
                    "The drawn signature cannot be read. Draw it again, or leave it out: your typed name is "
                            + "enough. Nothing was signed.");
        }
    }
}
