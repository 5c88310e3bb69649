package app.clearpane.web.exposure.client;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.usecases.exposure.LookedThrough;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.core.Ordered;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Makes the {@link Viewer} of a request, anew as soon as anything was written to the house, so that what was taken away
 * is gone with the next byte: of {@code /c/panes/{pane}} the contact who is signed in, of
 * {@code /t/look/{seat}/{sight}} the holder of the seat one of the team looks through.
 */
@Configuration(proxyBeanMethods = false)
class ViewerArgument implements HandlerMethodArgumentResolver, HandlerInterceptor, WebMvcConfigurer {
    private static final String VIEWER = Viewer.class.getName();
    private final Viewers viewers;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final KeptViewers kept;

    ViewerArgument(Viewers viewers, KeptViewers kept, ApplicationEventPublisher events, Clock clock) {
        this.kept = kept;
        this.events = events;
        this.viewers = viewers;
        this.clock = clock;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).order(Ordered.HIGHEST_PRECEDENCE);
    }

    /**
     * Before anything else is looked at: whoever is not a viewer here learns nothing, not even what is missing from
     * their form.
     */
    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method
                && Arrays.stream(method.getMethodParameters()).anyMatch(this::supportsParameter)) {
            @SuppressWarnings("unchecked")
            Map<String, String> path =
                    (Map<String, String>) request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
            Viewer viewer = NotFound.unless(viewer(path == null ? Map.of() : path));
            request.setAttribute(VIEWER, viewer);
            if (viewer.rest().isPresent()
                    && !request.getMethod().equals("GET")
                    && !request.getMethod().equals("HEAD")) {
                throw Refused.because("This project " + viewer.rest().get().words()
                        + ", so nothing can be added to it. What you typed is below; write to us if it cannot wait.");
            }
            if (viewer.looking() && person() instanceof Person.OfTeam member) {
                events.publishEvent(new LookedThrough(member, viewer));
            }
        }
        return true;
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Viewer.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer container,
            NativeWebRequest request,
            @Nullable WebDataBinderFactory binders) {
        return java.util.Objects.requireNonNull(request.getAttribute(VIEWER, NativeWebRequest.SCOPE_REQUEST));
    }

    private static @Nullable Object person() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who == null ? null : who.getPrincipal();
    }

    private Optional<Viewer> viewer(Map<String, String> path) {
        Object person = person();
        try {
            if (path.containsKey("seat") && person instanceof Person.OfTeam) {
                return viewers.lookingThrough(
                        SeatId.of(path.get("seat")), sight(Objects.requireNonNull(path.get("sight"))), clock.instant());
            }
            if (person instanceof Person.ByLink guest && path.containsKey("pane")) {
                return viewers.byLink(
                        PaneId.of(path.get("pane")),
                        guest.key(),
                        Optional.of(guest.fullName()).filter(name -> !name.isEmpty()),
                        clock.instant());
            }
            return person instanceof Person.OfClient client && path.containsKey("pane")
                    ? kept.viewerAt(PaneId.of(path.get("pane")), client.contactId())
                    : Optional.empty();
        } catch (IllegalArgumentException notAnIdentifier) {
            return Optional.empty();
        }
    }

    private static Viewer.Sight sight(String inAddress) {
        return inAddress.equals("after-publishing") ? Viewer.Sight.AFTER_PUBLISHING : Viewer.Sight.NOW;
    }
}
