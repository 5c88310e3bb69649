package app.clearpane.usecases.said;

import app.clearpane.core.people.Actor;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.stereotype.Component;

/**
 * Whoever is called by name again about the same thing within an hour gets one more mail at its end, not one for each.
 * And nobody calls more than so many in an hour.
 */
@Component
public class CallsOfTheHour {
    public static final int MOST_BY_ONE = 40;
    private static final Duration AN_HOUR = Duration.ofHours(1);
    private final Cache<UUID, Calls> calls = Caffeine.newBuilder()
            .maximumSize(50_000)
            .expireAfterWrite(Duration.ofHours(2))
            .build();
    private final Cache<String, Calls> callers = Caffeine.newBuilder()
            .maximumSize(50_000)
            .expireAfterWrite(Duration.ofHours(2))
            .build();
    private final Clock clock;

    public CallsOfTheHour(Clock clock) {
        this.clock = clock;
    }

    private record Calls(Instant until, AtomicInteger count) {}

    /** One of several. @param number from 1 for the first of the hour @param until when the hour ends */
    public record Call(int number, Instant until) {}

    /** Counts that somebody is called about something. */
    public Call call(UUID whomAndAbout) {
        return next(calls, whomAndAbout);
    }

    /** Whether somebody may call one more person. */
    public boolean mayCall(Actor by) {
        return next(callers, by.key()).number() <= MOST_BY_ONE;
    }

    private <K> Call next(Cache<K, Calls> cache, K key) {
        Instant now = clock.instant();
        Calls these = cache.asMap()
                .compute(
                        key,
                        (same, known) -> known == null || !now.isBefore(known.until())
                                ? new Calls(now.plus(AN_HOUR), new AtomicInteger())
                                : known);
        return new Call(these.count().incrementAndGet(), these.until());
    }
}
