package app.clearpane.web.security;

import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.security.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.NullRequestCache;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * The doors: {@code /t} for the team, {@code /c} for clients, {@code /p} for links; everything else is open or not
 * there.
 */
@Configuration(proxyBeanMethods = false)
class SecuritySetup {
    static final String CODE_PAGE = "/sign-in/code";
    private static final String POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; media-src 'self'; "
                    + "font-src 'self'; "
                    + "connect-src 'self'; form-action 'self'; frame-src 'self'; frame-ancestors 'self'; "
                    + "base-uri 'none'";

    @Bean
    PasswordEncoder passwordEncoder() {
        return new OneCheckPerCore(Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8());
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    SecurityFilterChain doors(
            HttpSecurity http,
            AuthenticationProvider teamSignIn,
            SecurityContextRepository contexts,
            Limits limits,
            Door door,
            HouseSettings house)
            throws Exception {
        http.authorizeHttpRequests(requests -> requests.requestMatchers("/t", "/t/**")
                .hasRole("TEAM")
                .requestMatchers("/c", "/c/**")
                .hasRole("CLIENT")
                .requestMatchers("/signed-in", "/signed-in/**")
                .hasAnyRole("TEAM", "CLIENT")
                .anyRequest()
                .permitAll());
        http.csrf(csrf -> csrf.csrfTokenRepository(new FormTokens()));
        http.addFilterBefore(new NoUnaskedFiles(limits), CsrfFilter.class);
        http.authenticationProvider(teamSignIn);
        http.sessionManagement(sessions -> sessions.sessionFixation(fixation -> fixation.newSession()));
        http.securityContext(context -> context.securityContextRepository(contexts));
        http.requestCache(cache -> cache.requestCache(new NullRequestCache()));
        http.addFilterAfter(new SessionLimits(door), SecurityContextHolderFilter.class);
        http.formLogin(form -> form.loginPage("/sign-in")
                .usernameParameter("email")
                .successHandler((request, response, signedIn) -> {
                    if (signedIn.getPrincipal() instanceof HalfIn) {
                        response.sendRedirect(CODE_PAGE);
                        return;
                    }
                    new SessionLimits(door).begin(request, signedIn);
                    response.sendRedirect(signedIn.getPrincipal() instanceof Person.OfTeam ? "/t" : "/c");
                })
                .failureHandler((request, response, failure) -> response.sendRedirect(
                        failure instanceof LockedException ? "/sign-in?often" : "/sign-in?wrong")));
        http.logout(logout -> logout.logoutUrl("/sign-out")
                .logoutSuccessHandler((request, response, who) -> response.sendRedirect(
                        who != null && who.getPrincipal() instanceof Person.OfTeam ? "/sign-in?out" : "/come-in?out")));
        http.exceptionHandling(handling -> handling.authenticationEntryPoint(SecuritySetup::signInFirst)
                .accessDeniedHandler((request, response, failure) -> notTheirs(request, response, failure, house)));
        http.headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(POLICY))
                .frameOptions(frames -> frames.sameOrigin())
                .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)));
        return http.build();
    }

    private static void signInFirst(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException failure)
            throws IOException {
        boolean ofClients = request.getRequestURI().startsWith("/c");
        boolean looks = ofClients && "GET".equals(request.getMethod());
        String page = looks
                ? UriComponentsBuilder.fromPath("/come-in")
                        .queryParam("to", "{to}")
                        .build(request.getRequestURI())
                        .toString()
                : ofClients ? "/come-in" : "/sign-in";
        if (request.getHeader("HX-Request") != null) {
            response.setHeader("HX-Redirect", page);
            response.setStatus(HttpStatus.UNAUTHORIZED.value());
        } else {
            response.sendRedirect(page);
        }
    }

    /**
     * Whoever owes a code still is asked for it. What is not theirs does not exist for them; a form that waited too
     * long, or was too large to be read, is told so.
     */
    private static void notTheirs(
            HttpServletRequest request,
            HttpServletResponse response,
            AccessDeniedException failure,
            HouseSettings house)
            throws IOException {
        if (request.getUserPrincipal() instanceof Authentication someone && someone.getPrincipal() instanceof HalfIn) {
            response.sendRedirect(CODE_PAGE);
            return;
        }
        boolean unreadForm = failure instanceof org.springframework.security.web.csrf.CsrfException;
        boolean tooLarge =
                request.getContentLengthLong() > house.largestUpload().toBytes();
        response.sendError(
                (!unreadForm ? HttpStatus.NOT_FOUND : tooLarge ? HttpStatus.CONTENT_TOO_LARGE : HttpStatus.FORBIDDEN)
                        .value());
    }
}
