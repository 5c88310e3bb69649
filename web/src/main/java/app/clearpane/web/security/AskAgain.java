package app.clearpane.web.security;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.NeedsPassword;
import app.clearpane.web.shell.forms.Typed;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.ModelAndViewDefiningException;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Asks for the password again before what matters, unless it was given within the last quarter of an hour; what was
 * sent is kept and sent again with it.
 */
@Component
class AskAgain implements HandlerInterceptor, WebMvcConfigurer {
    /** When the password was given last. */
    static final String LAST = "clearpane.password-given";
    /** The field that holds it. */
    static final String FIELD = Typed.PASSWORD_AGAIN;

    private static final Duration LONG_ENOUGH = Duration.ofMinutes(15);
    private final People people;
    private final PasswordEncoder passwords;
    private final Limits limits;
    private final Clock clock;

    AskAgain(People people, PasswordEncoder passwords, Limits limits, Clock clock) {
        this.people = people;
        this.passwords = passwords;
        this.limits = limits;
        this.clock = clock;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    /** A field that is sent again. */
    record Field(String name, String value) {}

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws ModelAndViewDefiningException {
        if (!(handler instanceof HandlerMethod method) || !method.hasMethodAnnotation(NeedsPassword.class)) {
            return true;
        }
        HttpSession session = request.getSession();
        Instant now = clock.instant();
        boolean lately = session.getAttribute(LAST) instanceof Instant last && now.isBefore(last.plus(LONG_ENOUGH));
        String given = request.getParameter(FIELD);
        if (lately || given != null && isTheirs(given, request.getRemoteAddr())) {
            if (given != null) {
                session.setAttribute(LAST, now);
            }
            return true;
        }
        List<Field> fields = request.getParameterMap().entrySet().stream()
                .filter(field ->
                        !field.getKey().equals("_csrf") && !field.getKey().equals(FIELD))
                .flatMap(field -> Arrays.stream(field.getValue()).map(value -> new Field(field.getKey(), value)))
                .toList();
        response.setHeader("HX-Retarget", "body");
        response.setHeader("HX-Reswap", "innerHTML");
        throw new ModelAndViewDefiningException(new ModelAndView(
                "security/again",
                Map.of("fields", fields, "action", request.getRequestURI(), "wrong", given != null),
                HttpStatus.FORBIDDEN));
    }

    private boolean isTheirs(String password, String from) {
        return Objects.requireNonNull(SecurityContextHolder.getContext().getAuthentication())
                                .getPrincipal()
                        instanceof Person.OfTeam me
                && limits.signIn("again " + me.id(), from, true)
                && people.member(me.memberId())
                        .flatMap(member -> people.credentials(new EmailAddress(member.email())))
                        .filter(known -> passwords.matches(password, known.passwordHash()))
                        .isPresent();
    }
}
