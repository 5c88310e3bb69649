package app.clearpane.web.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.SecondFactors;
import app.clearpane.store.agency.Sessions;
import app.clearpane.store.agency.SignIns;
import app.clearpane.web.DemoHouse;
import app.clearpane.web.Visitor;
import app.clearpane.web.shell.access.NeedsPassword;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockHttpSession;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.ModelAndViewDefiningException;

/** Sessions end, are seen and ended by their owners, and what matters asks again. */
class AskAgainTest extends DemoHouse {
    @Autowired
    private DSLContext db;

    @Autowired
    private SignIns signIns;

    @Autowired
    private Sessions sessions;

    @Autowired
    private SecondFactors secondFactors;

    @Autowired
    private People people;

    @Test
    void everybodySeesWhereTheyAreSignedInAndEndsIt() throws Exception {
        Visitor here = Visitor.by(address(), linkOf("mirela@penwether.example"));
        Visitor elsewhere = Visitor.by(address(), linkOf("mirela@penwether.example"));
        String page = here.get("/signed-in").body();
        assertThat(page).contains("Where you are signed in", "Mirela Stancu", "End it");
        String other = page.replaceAll("(?s).*/signed-in/([0-9a-f-]{36})/end.*", "$1");
        assertThat(Visitor.by(address(), linkOf("per@penwether.example"))
                        .post("/signed-in/" + other + "/end", Visitor.token(page), Map.of())
                        .statusCode())
                .as("not theirs")
                .isIn(403, 404);
        here.post("/signed-in/elsewhere/end", here.token(), Map.of());
        assertThat(elsewhere.get("/c").headers().firstValue("Location").orElse(""))
                .contains("/come-in");
        assertThat(here.open("/c").statusCode()).isEqualTo(200);
        here.post("/sign-out", here.token(), Map.of());
        assertThat(here.get("/c").headers().firstValue("Location").orElse("")).contains("/come-in");
    }

    @Test
    void theTeamIsSignedOutAfterSoManyDaysWhateverHappens() throws Exception {
        SessionLimits limits = new SessionLimits(new Door(
                signIns, sessions, secondFactors, Clock.fixed(Instant.parse("2027-03-24T09:30:00Z"), ZoneOffset.UTC)));
        for (boolean over : new boolean[] {true, false}) {
            MockHttpServletRequest request = new MockHttpServletRequest("GET", "/t");
            MockHttpSession session = new MockHttpSession();
            session.setAttribute(
                    SessionLimits.UNTIL, Instant.parse("2027-03-24T09:30:00Z").plusSeconds(over ? 0 : 1));
            request.setSession(session);
            limits.doFilter(request, new MockHttpServletResponse(), new MockFilterChain());
            assertThat(session.isInvalid()).isEqualTo(over);
        }
    }

    @Test
    void theOwnerSetsHowLongAndItHoldsForTheNextToComeIn() throws Exception {
        Visitor bastian = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        assertThat(bastian.post("/t/team/sessions", bastian.token(), Map.of("idleHours", "0", "days", "99"))
                        .body())
                .contains("The hours", "The days");
        bastian.post("/t/team/sessions", bastian.token(), Map.of("idleHours", "3", "days", "2"));
        try {
            Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
            assertThat(db.fetchSingle("select max_inactive_interval from spring_session where principal_name like "
                                    + "'team:%' order by creation_time desc limit 1")
                            .get(0, Integer.class))
                    .isEqualTo(3 * 3_600);
        } finally {
            bastian.post("/t/team/sessions", bastian.token(), Map.of("idleHours", "12", "days", "7"));
        }
    }

    /** Something that matters. */
    static class Matters {
        @NeedsPassword
        public void release() {
            // only its annotation is asked for
        }

        public void look() {
            // asks for nothing
        }
    }

    @Test
    void whatMattersAsksForThePasswordAfterAQuarterOfAnHour() throws Exception {
        PasswordEncoder passwords = mock(PasswordEncoder.class);
        when(passwords.matches(eq("right"), any())).thenReturn(true);
        TeamMember ines =
                people.memberAt(new EmailAddress("ines@marram-finch.example")).orElseThrow();
        Instant given = clock.instant();
        AskAgain later = askingAt(passwords, given.plusSeconds(901));
        AskAgain sooner = askingAt(passwords, given.plusSeconds(899));
        HandlerMethod release = new HandlerMethod(new Matters(), "release");
        MockHttpServletRequest request = aRelease(given);
        SecurityContextHolder.getContext().setAuthentication(SignedIn.as(TeamSignIn.person(ines)));
        try {
            assertThat(sooner.preHandle(request, new MockHttpServletResponse(), release))
                    .isTrue();
            assertThat(later.preHandle(
                            request, new MockHttpServletResponse(), new HandlerMethod(new Matters(), "look")))
                    .isTrue();
            keepsWhatWasTyped(later, release, request);
            asksUntilItIsRight(later, release, request);
        } finally {
            SecurityContextHolder.clearContext();
        }
    }

    private AskAgain askingAt(PasswordEncoder passwords, Instant now) {
        return new AskAgain(
                people, passwords, new Limits(new Limits.PerMinute(50, 50, 50)), Clock.fixed(now, ZoneOffset.UTC));
    }

    private MockHttpServletRequest aRelease(Instant given) throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", "/t/deliverables/1/release");
        request.setSession(new MockHttpSession());
        request.getSession().setAttribute(AskAgain.LAST, given);
        request.setParameter("words", "kept");
        return request;
    }

    private void keepsWhatWasTyped(AskAgain later, HandlerMethod release, MockHttpServletRequest request)
            throws Exception {
        assertThatThrownBy(() -> later.preHandle(request, new MockHttpServletResponse(), release))
                .isInstanceOfSatisfying(ModelAndViewDefiningException.class, asked -> {
                    assertThat(asked.getModelAndView().getViewName()).isEqualTo("security/again");
                    assertThat(asked.getModelAndView().getModel())
                            .containsEntry("fields", List.of(new AskAgain.Field("words", "kept")))
                            .containsEntry("wrong", false);
                });
    }

    private void asksUntilItIsRight(AskAgain later, HandlerMethod release, MockHttpServletRequest request)
            throws Exception {
        request.setParameter(AskAgain.FIELD, "wrong");
        assertThatThrownBy(() -> later.preHandle(request, new MockHttpServletResponse(), release))
                .isInstanceOf(ModelAndViewDefiningException.class);
        request.setParameter(AskAgain.FIELD, "right");
        assertThat(later.preHandle(request, new MockHttpServletResponse(), release))
                .isTrue();
        request.removeParameter(AskAgain.FIELD);
        assertThat(later.preHandle(request, new MockHttpServletResponse(), release))
                .as("given just now")
                .isTrue();
    }
}
