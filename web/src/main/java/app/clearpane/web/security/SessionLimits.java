package app.clearpane.web.security;

import app.clearpane.store.agency.SignIns;
import app.clearpane.usecases.security.Person;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * The team is signed out after so many hours without a page, and after so many days whatever happens; contacts after so
 * many days (the owner sets all three).
 */
public final class SessionLimits extends OncePerRequestFilter {
    static final String UNTIL = "clearpane.signed-in-until";
    /** Is there while the agency asks its team for a second step and this one has none. */
    public static final String OWES_SECOND_STEP = "clearpane.owes-second-step";

    private static final String SECOND_STEP_PAGE = "/t/second-step";
    private static final int LONGEST_BROWSER = 200;
    private final Door door;

    SessionLimits(Door door) {
        this.door = door;
    }

    /** Says in a new session how long it lasts, and notes where it is. */
    void begin(HttpServletRequest request, Authentication signedIn) {
        HttpSession session = request.getSession();
        String browser =
                Objects.requireNonNullElse(request.getHeader("User-Agent"), "a program that does not say which");
        Instant now = door.clock().instant();
        door.sessions()
                .began(
                        signedIn.getName(),
                        session.getId(),
                        browser.substring(0, Math.min(LONGEST_BROWSER, browser.length())),
                        request.getRemoteAddr(),
                        now);
        session.setAttribute(AskAgain.LAST, now);
        if (signedIn.getPrincipal() instanceof Person.OfClient) {
            Duration lasting = Duration.ofDays(door.signIns().contactDays());
            session.setMaxInactiveInterval((int) lasting.toSeconds());
            session.setAttribute(UNTIL, now.plus(lasting));
        }
        if (signedIn.getPrincipal() instanceof Person.OfTeam me) {
            SignIns.Lasting lasting = door.signIns().lasting();
            session.setMaxInactiveInterval(
                    (int) Duration.ofHours(lasting.idleHours()).toSeconds());
            session.setAttribute(UNTIL, now.plus(Duration.ofDays(lasting.days())));
            if (door.secondFactors().asked() && !door.secondFactors().holds(me.memberId())) {
                session.setAttribute(OWES_SECOND_STEP, true);
            }
        }
    }

    private static boolean mustWait(String page) {
        return (page.equals("/t") || page.startsWith("/t/"))
                && !page.startsWith(SECOND_STEP_PAGE)
                && !page.equals("/t/password");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        HttpSession session = request.getSession(false);
        if (session != null
                && session.getAttribute(UNTIL) instanceof Instant until
                && !door.clock().instant().isBefore(until)) {
            session.invalidate();
            SecurityContextHolder.clearContext();
        } else if (session != null
                && session.getAttribute(OWES_SECOND_STEP) != null
                && mustWait(request.getRequestURI())) {
            response.sendRedirect(SECOND_STEP_PAGE);
            return;
        }
        chain.doFilter(request, response);
    }
}
