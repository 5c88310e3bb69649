package app.clearpane.web.security;

import app.clearpane.core.files.Sha256;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Knows a device on which a contact came in by a link, by the key of that link, which opens nothing any more. It lets
 * nobody in: it only says to whose mailbox a fresh link may go.
 */
@Component
class KnownDevice {
    private static final String NAME = "clearpane-device";
    private static final String PATH = "/come-in";
    private static final Duration LONG = Duration.ofDays(400);

    /** Remembers the link by which somebody came. */
    void remember(String key, HttpServletRequest request, HttpServletResponse response) {
        response.addCookie(cookie(key, (int) LONG.toSeconds(), request.isSecure()));
    }

    /** Forgets it: they signed out here. */
    void forget(HttpServletRequest request, HttpServletResponse response) {
        response.addCookie(cookie("", 0, request.isSecure()));
    }

    private static Cookie cookie(String value, int age, boolean secure) {
        Cookie cookie = new Cookie(NAME, value);
        cookie.setPath(PATH);
        cookie.setHttpOnly(true);
        cookie.setSecure(secure);
        cookie.setAttribute("SameSite", "Lax");
        cookie.setMaxAge(age);
        return cookie;
    }

    /** The digest of the key of the link by which somebody came in here; empty where nobody did. */
    Optional<Sha256> keyHash(HttpServletRequest request) {
        return request.getCookies() == null
                ? Optional.empty()
                : Arrays.stream(request.getCookies())
                        .filter(one ->
                                one.getName().equals(NAME) && !one.getValue().isBlank())
                        .findFirst()
                        .map(one -> Sha256.ofText(one.getValue()));
    }
}
