package app.clearpane.web.shell.access;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.project.WhoseProject;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TeamSight;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Keeps everybody of the team out of what belongs to a project that is not there for them, whatever in an address
 * stands for it; and makers from outside out of whatever does not say that it is for them. What they may not see
 * answers as what never was.
 */
@Configuration
class ProjectAccess implements WebMvcConfigurer, HandlerInterceptor {
    private final TeamSight sight;
    private final WhoseProject whoseProject;

    ProjectAccess(TeamSight sight, WhoseProject whoseProject) {
        this.sight = sight;
        this.whoseProject = whoseProject;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/t", "/t/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method && sight.isOutside() && !isForOutside(method)) {
            throw new NotFound();
        }
        Set<ProjectId> hidden = sight.hidden();
        if (!hidden.isEmpty()
                && request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> parts) {
            parts.forEach((word, value) -> id(value)
                    .flatMap(id -> whoseProject.projectOf(String.valueOf(word), id))
                    .filter(hidden::contains)
                    .ifPresent(project -> {
                        throw new NotFound();
                    }));
        }
        return true;
    }

    private static boolean isForOutside(HandlerMethod method) {
        return method.hasMethodAnnotation(ForOutsideMakers.class)
                || AnnotatedElementUtils.hasAnnotation(method.getBeanType(), ForOutsideMakers.class);
    }

    private static Optional<UUID> id(Object value) {
        try {
            return Optional.of(UUID.fromString(String.valueOf(value)));
        } catch (IllegalArgumentException notAnId) {
            return Optional.empty();
        }
    }
}
