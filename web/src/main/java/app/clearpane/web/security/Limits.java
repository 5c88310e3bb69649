package app.clearpane.web.security;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.github.bucket4j.Bucket;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.stereotype.Component;

/** How often the same thing may be tried: signing in, opening links, asking for one. Counted in memory, by address or account. */
@Component
public class Limits {
  private final LoadingCache<String, Bucket> signIns;
  private final LoadingCache<String, Bucket> links;
  private final LoadingCache<String, Bucket> mails;

  /**
   * Tries a minute.
   *
   * @param signIns for one account
   * @param links for one network address
   * @param mails asked for, for one network address
   */
  @ConfigurationProperties("clearpane.limits")
  public record PerMinute(@DefaultValue("10") int signIns, @DefaultValue("30") int links, @DefaultValue("5") int mails) {}

  Limits(PerMinute perMinute) {
    signIns = buckets(perMinute.signIns());
    links = buckets(perMinute.links());
    mails = buckets(perMinute.mails());
  }

  private static LoadingCache<String, Bucket> buckets(int perMinute) {
    return Caffeine.newBuilder().maximumSize(100_000).expireAfterAccess(Duration.ofMinutes(10))
        .build(key -> Bucket.builder().addLimit(limit -> limit.capacity(perMinute).refillGreedy(perMinute, Duration.ofMinutes(1))).build());
  }

  /** Whether this account may be tried once more. */
  boolean signIn(String account) {
    return signIns.get(account).tryConsume(1);
  }

  /** Whether the passcode of this link may be tried once more. */
  boolean passcode(String link) {
    return signIns.get("link:" + link).tryConsume(1);
  }

  /** Whether links may be tried once more from here. */
  public boolean link(String from) {
    return links.get(from).tryConsume(1);
  }

  /** Whether a mail may be asked for once more from here. */
  boolean mail(String from) {
    return mails.get(from).tryConsume(1);
  }
}
