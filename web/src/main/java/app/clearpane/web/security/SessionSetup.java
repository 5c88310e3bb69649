package app.clearpane.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.regex.Pattern;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.web.http.DefaultCookieSerializer;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.web.filter.OncePerRequestFilter;

/** How sessions are kept: written seldom, and not touched at all for style sheets, scripts, fonts and art. */
@Configuration(proxyBeanMethods = false)
class SessionSetup {
    private static final Pattern SAME_FOR_ALL = Pattern.compile("/(css|js|fonts|vendor|art|webjars)/.*|/favicon\\..*");

    /** The cookie holds a key, and what is kept of it is a digest. */
    @Bean
    HashedSessionIds hashedSessionIds() {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieName("clearpane");
        cookie.setUseHttpOnlyCookie(true);
        cookie.setSameSite("Lax");
        cookie.setCookieMaxAge((int) Duration.ofDays(400).toSeconds());
        return new HashedSessionIds(cookie);
    }

    @Bean
    static BeanPostProcessor quietSessions() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof SessionRepository<?> sessions ? quiet(sessions) : bean;
            }
        };
    }

    private static <S extends Session> QuietSessions<S> quiet(SessionRepository<S> sessions) {
        return new QuietSessions<>(sessions);
    }

    /** Tells the filter of sessions to leave a request alone, before it comes by. */
    @Bean
    FilterRegistrationBean<OncePerRequestFilter> noSessionForStaticFiles() {
        var filter = new FilterRegistrationBean<OncePerRequestFilter>(new OncePerRequestFilter() {
            @Override
            protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                    throws ServletException, IOException {
                if (SAME_FOR_ALL.matcher(request.getRequestURI()).matches()) {
                    request.setAttribute(SessionRepositoryFilter.class.getName().concat(".FILTERED"), Boolean.TRUE);
                }
                chain.doFilter(request, response);
            }
        });
        filter.setOrder(Ordered.HIGHEST_PRECEDENCE);
        return filter;
    }
}
