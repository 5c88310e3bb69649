package app.clearpane.web.shell.setup;

import app.clearpane.core.agency.TeamRole;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.ForOwners;
import app.clearpane.web.shell.access.RoleMissing;
import app.clearpane.web.shell.forms.StaleForms;
import app.clearpane.web.shell.rendering.StaticDigests;
import app.clearpane.web.shell.rendering.TightTemplates;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.ApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.springframework.web.servlet.resource.ResourceUrlProvider;
import org.thymeleaf.templatemode.TemplateMode;

/** Keeps what only managers or owners do to them, and lets a form in only with all its fields. */
@Configuration(proxyBeanMethods = false)
class WebConfiguration implements WebMvcConfigurer {
    private final ObjectProvider<StaleForms> changedMeanwhile;

    WebConfiguration(ObjectProvider<StaleForms> changedMeanwhile) {
        this.changedMeanwhile = changedMeanwhile;
    }

    @Bean
    FilterRegistrationBean<ResourceUrlEncodingFilter> staticAddresses(ObjectProvider<ResourceUrlProvider> resources) {
        FilterRegistrationBean<ResourceUrlEncodingFilter> registration =
                new FilterRegistrationBean<>(new StaticDigests(resources));
        registration.setDispatcherTypes(DispatcherType.REQUEST, DispatcherType.ERROR);
        return registration;
    }

    /** In place of the one that would be there without it. */
    @Bean
    TightTemplates defaultTemplateResolver(ApplicationContext context) {
        TightTemplates resolver = new TightTemplates();
        resolver.setApplicationContext(context);
        resolver.setPrefix("classpath:/templates/");
        resolver.setSuffix(".html");
        resolver.setTemplateMode(TemplateMode.HTML);
        resolver.setCharacterEncoding("UTF-8");
        resolver.setCacheable(true);
        return resolver;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new RolesOnly());
        registry.addInterceptor(new WholeForms());
        registry.addInterceptor(new HandlerInterceptor() {
            @Override
            public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
                return changedMeanwhile.getObject().preHandle(request, response, handler);
            }

            @Override
            public void afterCompletion(
                    HttpServletRequest request,
                    HttpServletResponse response,
                    Object handler,
                    @Nullable Exception failure) {
                changedMeanwhile.getObject().afterCompletion(request, response, handler, failure);
            }
        });
    }

    /**
     * A form is a record whose name ends in Form; only fields that say so may be missing, and boxes that were not
     * ticked.
     */
    private static final class WholeForms implements HandlerInterceptor {
        @Override
        public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
            if (handler instanceof HandlerMethod method) {
                for (MethodParameter parameter : method.getMethodParameters()) {
                    Class<?> type = parameter.getParameterType();
                    if (type.isRecord()
                            && type.getSimpleName().endsWith("Form")
                            && Arrays.stream(type.getRecordComponents()).anyMatch(field -> isMissing(field, request))) {
                        throw Refused.because(
                                "Something is missing from what was sent. Nothing was changed; go back and fill in "
                                        + "the whole form.");
                    }
                }
            }
            return true;
        }

        private static boolean isMissing(RecordComponent field, HttpServletRequest request) {
            if (field.getType() == boolean.class || field.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                return false;
            }
            String value = request.getParameter(field.getName());
            return value == null || value.isBlank() && isOneOfOurs(field.getType());
        }

        /** An identifier, a digest or one of several choices: nothing is none of them. */
        private static boolean isOneOfOurs(Class<?> type) {
            return type.getName().startsWith("app.clearpane.");
        }
    }

    private static final class RolesOnly implements HandlerInterceptor {
        @Override
        public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
            if (handler instanceof HandlerMethod method) {
                if (method.hasMethodAnnotation(ForManagers.class) && !isOfTeam(TeamRole::mayPublish)) {
                    throw new RoleMissing("a manager or an owner");
                }
                if (method.hasMethodAnnotation(ForOwners.class) && !isOfTeam(role -> role == TeamRole.OWNER)) {
                    throw new RoleMissing("an owner");
                }
            }
            return true;
        }

        private static boolean isOfTeam(Predicate<TeamRole> role) {
            Authentication who = SecurityContextHolder.getContext().getAuthentication();
            return who != null && who.getPrincipal() instanceof Person.OfTeam member && role.test(member.role());
        }
    }
}
