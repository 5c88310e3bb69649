package app.clearpane.web.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;

/**
 * Tokens of forms: in the session of whoever has one, in a cookie of their own for everybody else, so that looking at
 * the front door keeps nothing.
 */
final class FormTokens implements CsrfTokenRepository {
    private static final String HEADER = "X-CSRF-TOKEN";
    private final HttpSessionCsrfTokenRepository inSession = new HttpSessionCsrfTokenRepository();
    private final CookieCsrfTokenRepository inCookie = new CookieCsrfTokenRepository();

    FormTokens() {
        inSession.setHeaderName(HEADER);
        inCookie.setHeaderName(HEADER);
        inCookie.setCookieName("clearpane-form");
        inCookie.setCookieCustomizer(cookie -> cookie.httpOnly(true).sameSite("Lax"));
    }

    private CsrfTokenRepository repositoryFor(HttpServletRequest request) {
        return request.getSession(false) == null ? inCookie : inSession;
    }

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        return repositoryFor(request).generateToken(request);
    }

    @Override
    public void saveToken(@Nullable CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        repositoryFor(request).saveToken(token, request, response);
    }

    @Override
    public @Nullable CsrfToken loadToken(HttpServletRequest request) {
        return repositoryFor(request).loadToken(request);
    }
}
