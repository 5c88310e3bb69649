package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.usecases.exposure.MakeLink;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Who gets in, what is kept of it, and what is refused before it is read. */
class DoorsTest extends AtTheMill {
    private static final Pattern KEY = Pattern.compile("/sign-in/new-password/([\\w-]+)");

    @Autowired
    private DSLContext db;

    @Autowired
    private MakeLink makeLink;

    /** The sessions of nobody by name, each with what is kept in it. */
    private List<String> sessionsOfNobody() {
        return db.fetch("select s.session_id || ' ' || coalesce(a.attribute_name, 'empty') from spring_session s "
                        + "left join spring_session_attributes a on a.session_primary_id = s.primary_id"
                        + " where s.principal_name is null order by 1")
                .getValues(0, String.class);
    }

    @Test
    void lookingAtTheFrontDoorKeepsNothing() throws Exception {
        List<String> before = sessionsOfNobody();
        Visitor nobody = new Visitor(address());
        for (String page :
                new String[] {"/", "/sign-in", "/come-in", "/sign-in/forgotten", "/p/no-such-key", "/t", "/c"}) {
            nobody.open(page);
            assertThat(nobody.cookies()).as(page).doesNotContain("clearpane");
        }
        assertThat(nobody.post("/come-in", nobody.token(), Map.of("email", "nobody@nowhere.example"))
                        .statusCode())
                .isEqualTo(200);
        assertThat(nobody.cookies()).doesNotContain("clearpane");
        assertThat(sessionsOfNobody()).isEqualTo(before);
    }

    @Test
    void whatIsKeptOfASessionSignsNobodyIn() throws Exception {
        Visitor grete = grete();
        String kept = db.fetchSingle("select session_id from spring_session order by creation_time desc limit 1")
                .get(0, String.class);
        Visitor thief = new Visitor(address());
        String cookie = java.util.Base64.getEncoder().encodeToString(kept.getBytes(StandardCharsets.UTF_8));
        assertThat(thief.get("/c", Map.of("Cookie", "clearpane=" + cookie))
                        .headers()
                        .firstValue("Location")
                        .orElse(""))
                .contains("/come-in");
        assertThat(grete.open("/c").statusCode()).isEqualTo(200);
    }

    @Test
    void aForgottenPasswordIsChosenAnewOnceAndEverySessionEnds() throws Exception {
        Visitor wanda = Visitor.by(address(), linkOfTeam("wanda@marram-finch.example"));
        assertThat(wanda.get("/t").statusCode()).isEqualTo(200);
        Visitor outside = new Visitor(address());
        outside.post("/sign-in/forgotten", outside.token(), Map.of("email", "wanda@marram-finch.example"));
        await().until(() -> mailsAbout("wanda@marram-finch.example", "Choose a new password") > 0);
        String page = "/sign-in/new-password/" + keyIn("wanda@marram-finch.example", "Choose a new password");
        assertThat(outside.get(page).body()).contains("Keep it");
        assertThat(outside.post(page, outside.token(), Map.of("password", "short"))
                        .body())
                .contains("12 to 128 characters");
        assertThat(outside.post(page, outside.token(), Map.of("password", "heather lamp twelve"))
                        .headers()
                        .firstValue("Location"))
                .get()
                .asString()
                .endsWith("/sign-in?changed");
        holdsOnceAndEverywhere(wanda, outside, page);
        await().until(() -> mailsAbout("wanda@marram-finch.example", "was changed") > 0);
        HttpResponse<String> in = outside.post(
                "/sign-in",
                outside.token(),
                Map.of("email", "wanda@marram-finch.example", "password", "heather lamp twelve"));
        assertThat(in.headers().firstValue("Location").orElse("")).endsWith("/t");
        noStrangerIsWrittenTo(outside);
    }

    private void holdsOnceAndEverywhere(Visitor wanda, Visitor outside, String page) throws Exception {
        assertThat(wanda.get("/t").headers().firstValue("Location").orElse(""))
                .as("signed out everywhere")
                .endsWith("/sign-in");
        assertThat(outside.post(page, outside.token(), Map.of("password", "another lamp twelve"))
                        .body())
                .contains("used already");
        assertThat(outside.get(page).statusCode()).isEqualTo(404);
    }

    private void noStrangerIsWrittenTo(Visitor outside) throws Exception {
        outside.post("/sign-in/forgotten", new Visitor(address()).token(), Map.of("email", "nobody@nowhere.example"));
        assertThat(mailsAbout("nobody@nowhere.example", "Choose")).isZero();
    }

    private String keyIn(String address, String subject) throws Exception {
        for (MimeMessage mail : world.getReceivedMessages()) {
            if (mail.getAllRecipients()[0].toString().contains(address)
                    && mail.getSubject().contains(subject)) {
                String raw =
                        new String(mail.getInputStream().readAllBytes(), StandardCharsets.UTF_8).replace("=\r\n", "");
                Matcher key = KEY.matcher(raw);
                if (key.find()) {
                    return key.group(1);
                }
            }
        }
        throw new AssertionError("no key was mailed to " + address);
    }

    @Test
    void filesFromNobodyAndFromWhoeverMayOnlyLookAreNotRead() throws Exception {
        Supplier<java.io.InputStream> file = () -> new ByteArrayInputStream(new byte[1_000]);
        Visitor nobody = new Visitor(address());
        assertThat(nobody.upload("/t/projects/" + mill() + "/files", nobody.token(), "x.pdf", file, Map.of())
                        .statusCode())
                .isEqualTo(401);
        assertThat(nobody.upload("/p/check", nobody.token(), "x.pdf", file, Map.of())
                        .statusCode())
                .isEqualTo(200);
        Visitor looking = Visitor.by(
                address(),
                makeLink.make(pane().id(), new MakeLink.Form("Only looks", false, "", ""), Acting.team("Ines"))
                        .address());
        assertThat(looking.upload(
                                "/c/panes/" + pane().id() + "/tasks/" + java.util.UUID.randomUUID() + "/files",
                                looking.token(),
                                "x.pdf",
                                file,
                                Map.of())
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void somebodyElsesLinkIsOpenedOnlyByPressing() throws Exception {
        Visitor grete = grete();
        String link = linkOf("imre@hobandbarley.example").substring(address().length());
        String page = grete.get(link).body();
        assertThat(Texts.of(page))
                .contains("You are signed in as Grete Lindholm", "Sign out and open it", "Stay as I am");
        assertThat(page).doesNotContain("data-come-in");
        assertThat(Arrays.asList(grete.open("/c").statusCode())).containsExactly(200);
    }
}
