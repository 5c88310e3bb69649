package app.clearpane.web.security;

import app.clearpane.usecases.security.Person;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Files from nobody, and from whoever may only look, are refused before a byte of them is kept anywhere. */
final class NoUnaskedFiles extends OncePerRequestFilter {
    /** Where anybody may ask whether a file was signed. */
    private static final String OPEN_TO_ALL = "/p/check";

    private final Limits limits;

    NoUnaskedFiles(Limits limits) {
        this.limits = limits;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = Optional.ofNullable(request.getContentType()).orElse("");
        if (type.regionMatches(true, 0, "multipart/", 0, 10)) {
            Optional<Object> who = Optional.ofNullable(
                            SecurityContextHolder.getContext().getAuthentication())
                    .map(Authentication::getPrincipal);
            boolean mayOnlyLook = who.filter(one ->
                            one instanceof Person.ByLink link && link.fullName().isEmpty())
                    .isPresent();
            boolean nobody = who.filter(Person.class::isInstance).isEmpty();
            if ((nobody || mayOnlyLook) && request.getRequestURI().equals(OPEN_TO_ALL)) {
                if (!limits.link(request.getRemoteAddr())) {
                    response.sendError(HttpStatus.TOO_MANY_REQUESTS.value());
                    return;
                }
            } else if (nobody || mayOnlyLook) {
                response.setHeader("Connection", "close");
                response.sendError(mayOnlyLook ? HttpStatus.NOT_FOUND.value() : HttpStatus.UNAUTHORIZED.value());
                return;
            }
        }
        chain.doFilter(request, response);
    }
}
