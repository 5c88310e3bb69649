package app.clearpane.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.web.DemoHouse;
import app.clearpane.web.Visitor;
import dev.samstevens.totp.code.DefaultCodeGenerator;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * Besides the password, a code: nobody is in before it, no code counts twice, and whoever lost their phone is not lost.
 */
class SecondStepTest extends DemoHouse {
    private static final String TEO = "teo@marram-finch.example";
    private static final String BASTIAN = "bastian@marram-finch.example";

    private String code(String secret, int steps) throws Exception {
        return new DefaultCodeGenerator()
                .generate(secret, Math.floorDiv(clock.instant().getEpochSecond(), 30) + steps);
    }

    private static String where(HttpResponse<String> response) {
        return response.headers().firstValue("Location").orElse("");
    }

    /** Sets it up. @return the secret, and the recovery codes */
    private Map.Entry<String, List<String>> setUp(Visitor somebody) throws Exception {
        somebody.post("/t/second-step/begin", somebody.token(), Map.of());
        String page = somebody.open("/t/second-step").body();
        String secret = page.replaceAll("(?s).*<p class=\"key\">([A-Z2-7 ]+)</p>.*", "$1")
                .replace(" ", "");
        assertThat(secret).as("160 bits").hasSize(32);
        assertThat(somebody.post("/t/second-step/confirm", somebody.token(), Map.of("code", "12 34"))
                        .statusCode())
                .isEqualTo(422);
        String codes = somebody.post("/t/second-step/confirm", somebody.token(), Map.of("code", code(secret, 0)))
                .body();
        List<String> recovery = Pattern.compile("<code>([a-z0-9-]+)</code>")
                .matcher(codes)
                .results()
                .map((MatchResult found) -> found.group(1))
                .toList();
        assertThat(recovery).hasSize(10).doesNotHaveDuplicates();
        assertThat(somebody.open("/t/second-step").body())
                .contains("You sign in by two steps", "10 recovery codes")
                .doesNotContain(secret.substring(0, 4) + " " + secret.substring(4, 8));
        return Map.entry(secret, recovery);
    }

    /** What is done while Teo signs in in two steps, with the secret and the recovery codes. */
    private interface WithTwoSteps {
        void with(String secret, List<String> recovery) throws Exception;
    }

    private void whileInTwoSteps(WithTwoSteps does) throws Exception {
        Visitor teo = Visitor.by(address(), linkOfTeam(TEO));
        Map.Entry<String, List<String>> mine = setUp(teo);
        try {
            does.with(mine.getKey(), mine.getValue());
        } finally {
            Visitor bastian = Visitor.by(address(), linkOfTeam(BASTIAN));
            String team = bastian.open("/t/team").body();
            String member = team.replaceAll("(?s).*/t/team/([0-9a-f-]{36})/second-step/end.*", "$1");
            assertThat(bastian.sends("/t/team/" + member + "/second-step/end", "")
                            .statusCode())
                    .isEqualTo(302);
        }
        assertThat(where(teo.get("/t"))).as("signed out everywhere").endsWith("/sign-in");
    }

    private Visitor teo() throws Exception {
        return Visitor.by(address(), linkOfTeam(TEO));
    }

    @Test
    void nobodyIsInBeforeTheCode() throws Exception {
        whileInTwoSteps((secret, recovery) -> {
            Visitor teo = teo();
            assertThat(where(teo.get("/t"))).as("by a mailed link too").endsWith("/sign-in/code");
            assertThat(where(teo.get("/signed-in"))).endsWith("/sign-in/code");
            assertThat(teo.get("/sign-in/code").body()).contains("six digits");
            assertThat(where(teo.sends("/sign-in/code", "code=" + code(secret, 1))))
                    .endsWith("/t");
            assertThat(teo.get("/t").statusCode()).isEqualTo(200);
            assertThat(Visitor.by(address(), linkOfTeam(BASTIAN))
                            .open("/t/team")
                            .body())
                    .contains("two steps", "Lost their phone");
        });
        assertThat(teo().get("/t").statusCode())
                .as("in by the first step alone again")
                .isEqualTo(200);
    }

    @Test
    void aCodeOfAnotherTimeOrTakenBeforeOpensNothing() throws Exception {
        whileInTwoSteps((secret, recovery) -> {
            Visitor teo = teo();
            assertThat(teo.sends("/sign-in/code", "code=" + code(secret, 0)).statusCode())
                    .as("it was taken when it was set up")
                    .isEqualTo(422);
            assertThat(teo.sends("/sign-in/code", "code=" + code(secret, 5)).statusCode())
                    .as("of another time")
                    .isEqualTo(422);
        });
    }

    @Test
    void aRecoveryCodeOpensOnce() throws Exception {
        whileInTwoSteps((secret, recovery) -> {
            Visitor lost = teo();
            String form = "code=" + recovery.get(3).toUpperCase(Locale.ROOT);
            assertThat(where(lost.sends("/sign-in/code", form))).endsWith("/t");
            assertThat(lost.open("/t/second-step").body()).contains("9 recovery codes");
            assertThat(lost.open("/t/record").body()).doesNotContain(recovery.get(3));
            assertThat(teo().sends("/sign-in/code", form).statusCode()).isEqualTo(422);
        });
    }

    @Test
    void theAgencyAsksEverybodyForItAndWhoeverHasNoneSetsItUpFirst() throws Exception {
        Visitor bastian = Visitor.by(address(), linkOfTeam(BASTIAN));
        assertThat(bastian.post("/t/team/second-step", bastian.token(), Map.of("asked", "true"))
                        .body())
                .contains("Set up your own second step first");
        Visitor teo = Visitor.by(address(), linkOfTeam(TEO));
        setUp(bastian);
        try {
            bastian.post("/t/team/second-step", bastian.token(), Map.of("asked", "true"));
            assertThat(where(teo.get("/t"))).as("signed out").endsWith("/sign-in");
            Visitor again = Visitor.by(address(), linkOfTeam(TEO));
            assertThat(where(again.get("/t"))).endsWith("/t/second-step");
            assertThat(where(again.post("/t/tasks/none/done", again.token(), Map.of())))
                    .endsWith("/t/second-step");
            assertThat(again.open("/t/second-step").body()).contains("asks everybody of the team");
            setUp(again);
            assertThat(again.get("/t").statusCode()).isEqualTo(200);
            assertThat(again.post("/t/second-step/end", again.token(), Map.of()).body())
                    .contains("asks everybody");
            clientsAreNotAsked();
        } finally {
            asksNobodyAnyMore(bastian);
        }
        assertThat(bastian.open("/t/second-step").body()).contains("Set it up");
    }

    private void clientsAreNotAsked() throws Exception {
        assertThat(Visitor.by(address(), linkOf("mirela@penwether.example"))
                        .open("/c")
                        .statusCode())
                .as("clients are not asked")
                .isEqualTo(200);
    }

    private void asksNobodyAnyMore(Visitor bastian) throws Exception {
        bastian.post("/t/team/second-step", bastian.token(), Map.of("asked", "false"));
        String member =
                bastian.open("/t/team").body().replaceAll("(?s).*/t/team/([0-9a-f-]{36})/second-step/end.*", "$1");
        bastian.post("/t/team/" + member + "/second-step/end", bastian.token(), Map.of());
        bastian.post("/t/second-step/end", bastian.token(), Map.of());
    }
}
