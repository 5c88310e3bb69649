package app.clearpane.usecases.shell;

import java.util.Optional;
import java.util.function.Supplier;

/** Something that is not there, or not for this person, which must look the same. */
public final class NotFound extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotFound() {
        super("not there", null, false, false);
    }

    /** The value, or nothing to be found. */
    public static <T> T unless(Optional<T> found) {
        return found.orElseThrow((Supplier<NotFound>) NotFound::new);
    }
}
