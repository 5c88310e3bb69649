package app.clearpane.web.security;

import app.clearpane.core.files.Sha256;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.github.bucket4j.Bucket;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.stereotype.Component;

/**
 * How often the same thing may be tried: signing in, opening links, asking for one. Counted in memory, by network
 * address and by account, under keys of one length whatever was typed.
 */
@Component
public class Limits {
    private static final int MOST_COUNTED = 50_000;
    /**
     * So many more tries for one account from anywhere than from one place: they slow down whoever guesses from many
     * places, and lock nobody out of a place they know.
     */
    private static final int FROM_ANYWHERE = 6;
    /** Of a million codes three hold at a time; so many tries in ten minutes find one of them in years. */
    private static final int CODES = 10;

    private final LoadingCache<String, Bucket> places;
    private final LoadingCache<String, Bucket> accounts;
    private final LoadingCache<String, Bucket> passcodes;
    private final LoadingCache<String, Bucket> links;
    private final LoadingCache<String, Bucket> codes;
    private final LoadingCache<String, Bucket> mails;

    /**
     * Tries a minute.
     *
     * @param signIns for one account from one network address; twice as many for all accounts from there
     * @param links for one network address
     * @param mails asked for, for one network address
     */
    @ConfigurationProperties("clearpane.limits")
    public record PerMinute(
            @DefaultValue("10") int signIns,
            @DefaultValue("30") int links,
            @DefaultValue("5") int mails) {}

    Limits(PerMinute perMinute) {
        places = buckets(perMinute.signIns());
        accounts = buckets(perMinute.signIns() * FROM_ANYWHERE);
        passcodes = buckets(perMinute.signIns());
        links = buckets(perMinute.links());
        codes = Caffeine.newBuilder()
                .maximumSize(MOST_COUNTED)
                .expireAfterAccess(Duration.ofHours(1))
                .build(key -> Bucket.builder()
                        .addLimit(limit -> limit.capacity(CODES).refillGreedy(CODES, Duration.ofMinutes(10)))
                        .build());
        mails = buckets(perMinute.mails());
    }

    private static LoadingCache<String, Bucket> buckets(int perMinute) {
        return Caffeine.newBuilder()
                .maximumSize(MOST_COUNTED)
                .expireAfterAccess(Duration.ofMinutes(10))
                .build(key -> Bucket.builder()
                        .addLimit(limit -> limit.capacity(perMinute).refillGreedy(perMinute, Duration.ofMinutes(1)))
                        .build());
    }

    /** A key as long as any other, however much was typed. */
    private static String key(String... parts) {
        return Sha256.ofText(String.join("\n", parts)).hex().substring(0, 32);
    }

    /**
     * Whether an account may be tried once more.
     *
     * @param account as typed
     * @param from the network address
     * @param known whether its owner signed in from there before, so that others' tries do not count
     */
    boolean signIn(String account, String from, boolean known) {
        return places.get(key("all", from)).tryConsume(1)
                && places.get(key(account, from)).tryConsume(1)
                && (known || accounts.get(key(account)).tryConsume(1));
    }

    /**
     * Whether the passcode of this link may be tried once more from here; others who have the link are not shut out by
     * it.
     */
    boolean passcode(String link, String from) {
        return passcodes.get(key(link, from)).tryConsume(1);
    }

    /** Whether a code of this account may be tried once more: whoever tries knows its password. */
    public boolean code(String account) {
        return codes.get(key(account)).tryConsume(1);
    }

    /** Whether links may be tried once more from here. */
    public boolean link(String from) {
        return links.get(key(from)).tryConsume(1);
    }

    /** Whether a mail may be asked for once more from here. */
    public boolean mail(String from) {
        return mails.get(key(from)).tryConsume(1);
    }
}
