package app.clearpane.web.security;

import java.util.Objects;
import app.clearpane.store.agency.Sessions;
import app.clearpane.store.agency.SignIns;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** The team is signed out after so many hours without a page, and after so many days whatever happens (the owner sets both). */
final class SessionLimits extends OncePerRequestFilter {
  static final String UNTIL = "clearpane.signed-in-until";
  private static final int LONGEST_BROWSER = 200;
  private final SignIns signIns;
  private final Sessions sessions;
  private final Clock clock;

  SessionLimits(SignIns signIns, Sessions sessions, Clock clock) {
    this.signIns = signIns;
    this.sessions = sessions;
    this.clock = clock;
  }

  /** Says in a new session how long it lasts, and notes where it is. */
  void begin(HttpServletRequest request, Authentication signedIn) {
    HttpSession session = request.getSession();
    String browser = Objects.requireNonNullElse(request.getHeader("User-Agent"), "a program that does not say which");
    sessions.began(signedIn.getName(), session.getId(), browser.substring(0, Math.min(LONGEST_BROWSER, browser.length())), request.getRemoteAddr(), clock.instant());
    session.setAttribute(AskAgain.LAST, clock.instant());
    if (signedIn.getPrincipal() instanceof Person.OfTeam) {
      SignIns.Lasting lasting = signIns.lasting();
      session.setMaxInactiveInterval((int) Duration.ofHours(lasting.idleHours()).toSeconds());
      session.setAttribute(UNTIL, clock.instant().plus(Duration.ofDays(lasting.days())));
    }
  }

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain) throws ServletException, IOException {
    HttpSession session = request.getSession(false);
    if (session != null && session.getAttribute(UNTIL) instanceof Instant until && !clock.instant().isBefore(until)) {
      session.invalidate();
      SecurityContextHolder.clearContext();
    }
    chain.doFilter(request, response);
  }
}
