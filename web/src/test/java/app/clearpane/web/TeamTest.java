package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.project.Project;
import app.clearpane.store.agency.People;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** People come into the team, get other roles, and leave again. */
class TeamTest extends DemoHouse {
    private static final Pattern LINK = Pattern.compile("http://localhost:\\d+(/p/[\\w-]+)");

    @Autowired
    private People people;

    private static final String PASSWORD = "four wet umbrellas";

    private Visitor bastian() throws Exception {
        return Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
    }

    private String joins(String name, String address) throws Exception {
        return bastian()
                .sends("/t/team", "name=" + name + "&email=" + address + "&role=MAKER")
                .body();
    }

    private TeamMemberId idOf(String address) {
        return people.memberAt(new EmailAddress(address)).orElseThrow().id();
    }

    /** Somebody who joined, and chose a password by the link that was mailed. */
    private Visitor joined(String name, String address) throws Exception {
        joins(name, address);
        Visitor visitor = new Visitor(address());
        String link = mailedTo(address);
        assertThat(visitor.post(link, Visitor.token(visitor.get(link).body()), Map.of())
                        .headers()
                        .firstValue("Location")
                        .orElse(""))
                .endsWith("/t/password");
        assertThat(visitor.sends("/t/password", "password=" + PASSWORD).statusCode())
                .isEqualTo(302);
        return visitor;
    }

    private static String leadsTo(Visitor visitor) throws Exception {
        return visitor.get("/t").headers().firstValue("Location").orElse("");
    }

    @Test
    void somebodyJoinsOnceAndHasNoPasswordYet() throws Exception {
        joins("Oda Sandbrook", "mill-oda@marram-finch.example");
        assertThat(bastian().get("/t/team").body()).contains("Oda Sandbrook", "no password yet");
        assertThat(joins("Oda", "mill-oda@marram-finch.example")).contains("is in the team already");
    }

    @Test
    void aPasswordIsLongEnoughAndChangedByWhoeverKnowsIt() throws Exception {
        String address = "mill-olga@marram-finch.example";
        Visitor olga = joined("Olga Sandbrook", address);
        assertThat(signedIn(address, PASSWORD).get("/t").statusCode()).isEqualTo(200);
        assertThat(olga.sends("/t/password", "now=" + PASSWORD + "&password=short")
                        .body())
                .contains("A password needs 12 to 128 characters");
        assertThat(olga.sends("/t/password", "now=something else&password=five wet umbrellas")
                        .body())
                .contains("The password you have now is another one");
    }

    @Test
    void whoeverGetsAnotherRoleIsSignedOutEverywhere() throws Exception {
        String address = "mill-orla@marram-finch.example";
        joined("Orla Sandbrook", address);
        Visitor elsewhere = signedIn(address, PASSWORD);
        assertThat(bastian()
                        .sends("/t/team/" + idOf(address) + "/role", "role=MANAGER")
                        .statusCode())
                .isEqualTo(302);
        assertThat(leadsTo(elsewhere)).endsWith("/sign-in");
    }

    @Test
    void whoeverLeavesHandsOnToAManagerAndIsSignedOut() throws Exception {
        String address = "mill-odile@marram-finch.example";
        joined("Odile Sandbrook", address);
        TeamMemberId id = idOf(address);
        bastian().sends("/t/team/" + id + "/role", "role=MANAGER");
        Project project = projects.active().get(0);
        TeamMemberId manager = project.manager();
        projects.handOver(manager, id);
        Visitor odile = signedIn(address, PASSWORD);
        String leave = "/t/team/" + id + "/leave";
        assertThat(bastian()
                        .sends(leave, "to=" + idOf("teo@marram-finch.example"))
                        .body())
                .contains("Teo Brandt is a maker");
        assertThat(bastian().sends(leave, "to=" + manager).statusCode()).isEqualTo(302);
        assertThat(projects.find(project.id()).orElseThrow().manager()).isEqualTo(manager);
        assertThat(leadsTo(odile)).endsWith("/sign-in");
        assertThat(signedIn(address, PASSWORD).get("/t").statusCode()).isEqualTo(302);
    }

    @Test
    void theLastOwnerStays() throws Exception {
        Visitor bastian = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        TeamMemberId owner = people.memberAt(new EmailAddress("bastian@marram-finch.example"))
                .orElseThrow()
                .id();
        TeamMemberId ines = people.memberAt(new EmailAddress("ines@marram-finch.example"))
                .orElseThrow()
                .id();
        for (HttpResponse<String> refused : List.of(
                bastian.post("/t/team/" + owner + "/role", bastian.token(), Map.of("role", "MANAGER")),
                bastian.post("/t/team/" + owner + "/leave", bastian.token(), Map.of("to", ines.toString())))) {
            assertThat(refused.statusCode()).isEqualTo(422);
            assertThat(refused.body()).contains("is the only owner");
        }
    }

    private Visitor signedIn(String address, String password) throws Exception {
        Visitor visitor = new Visitor(address());
        visitor.post(
                "/sign-in",
                Visitor.token(visitor.get("/sign-in").body()),
                Map.of("email", address, "password", password));
        return visitor;
    }

    private String mailedTo(String address) {
        return await().until(
                        () -> Arrays.stream(world.getReceivedMessagesForDomain(address))
                                .map(mail -> {
                                    try {
                                        Matcher link = LINK.matcher(
                                                com.icegreen.greenmail.util.GreenMailUtil.getWholeMessage(mail)
                                                        .replace("=\r\n", "")
                                                        .replace("=3D", "="));
                                        return link.find() ? link.group(1) : "";
                                    } catch (RuntimeException unread) {
                                        return "";
                                    }
                                })
                                .filter(found -> !found.isEmpty())
                                .findFirst()
                                .orElse(""),
                        found -> !found.isEmpty());
    }
}
