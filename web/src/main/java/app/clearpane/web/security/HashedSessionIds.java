package app.clearpane.web.security;

import app.clearpane.core.files.Sha256;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.session.SessionIdGenerator;
import org.springframework.session.web.http.CookieHttpSessionIdResolver;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.HttpSessionIdResolver;

/**
 * The key in the cookie is not what is kept: sessions are known by a digest of it, as links are, so that whoever reads
 * the database signs in as nobody. A key has 192 random bits; the digest is cut to 128 so that it has the form of a
 * UUID.
 */
final class HashedSessionIds implements SessionIdGenerator, HttpSessionIdResolver {
    private static final int KEY_BYTES = 24;
    private final SecureRandom random = new SecureRandom();
    private final CookieHttpSessionIdResolver cookies = new CookieHttpSessionIdResolver();
    /** The keys of sessions that were just made, until their cookie is written. */
    private final Cache<String, String> fresh = Caffeine.newBuilder()
            .expireAfterWrite(Duration.ofMinutes(5))
            .maximumSize(20_000)
            .build();

    HashedSessionIds(CookieSerializer serializer) {
        cookies.setCookieSerializer(serializer);
    }

    @Override
    public String generate() {
        byte[] bytes = new byte[KEY_BYTES];
        random.nextBytes(bytes);
        String key = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        String id = digest(key);
        fresh.put(id, key);
        return id;
    }

    static String digest(String key) {
        String hex = Sha256.ofText(key).hex();
        return new UUID(
                        Long.parseUnsignedLong(hex.substring(0, 16), 16),
                        Long.parseUnsignedLong(hex.substring(16, 32), 16))
                .toString();
    }

    @Override
    public List<String> resolveSessionIds(HttpServletRequest request) {
        return cookies.resolveSessionIds(request).stream()
                .map(HashedSessionIds::digest)
                .toList();
    }

    @Override
    public void setSessionId(HttpServletRequest request, HttpServletResponse response, String sessionId) {
        Optional.ofNullable(fresh.asMap().remove(sessionId))
                .ifPresent(key -> cookies.setSessionId(request, response, key));
    }

    @Override
    public void expireSession(HttpServletRequest request, HttpServletResponse response) {
        cookies.expireSession(request, response);
    }
}
