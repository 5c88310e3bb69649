package app.clearpane.web.security;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Checks as many passwords at a time as there are processors, since each takes memory and time on purpose; whoever
 * waits too long is told to try again.
 */
final class OneCheckPerCore implements PasswordEncoder {
    /** A password longer than this is nobody's. */
    private static final int LONGEST = 1_000;

    private static final int SECONDS_TO_WAIT = 10;
    private final Semaphore cores = new Semaphore(Runtime.getRuntime().availableProcessors(), true);
    private final PasswordEncoder encoder;

    OneCheckPerCore(PasswordEncoder encoder) {
        this.encoder = encoder;
    }

    @Override
    public @Nullable String encode(@Nullable CharSequence password) {
        return alone(() -> encoder.encode(password));
    }

    @Override
    public boolean matches(@Nullable CharSequence password, @Nullable String hash) {
        return password != null
                && password.length() <= LONGEST
                && Boolean.TRUE.equals(alone(() -> encoder.matches(password, hash)));
    }

    private <T> @Nullable T alone(Supplier<@Nullable T> check) {
        try {
            if (!cores.tryAcquire(SECONDS_TO_WAIT, TimeUnit.SECONDS)) {
                throw new Busy();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Busy();
        }
        try {
            return check.get();
        } finally {
            cores.release();
        }
    }

    /** Too many others are having their passwords checked. */
    static final class Busy extends org.springframework.security.authentication.LockedException {
        private static final long serialVersionUID = 1L;

        Busy() {
            super("too many passwords are being checked");
        }
    }
}
