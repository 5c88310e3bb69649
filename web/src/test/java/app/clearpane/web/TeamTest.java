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

    @Test
    void somebodyJoinsManagesAndLeaves() throws Exception {
        Visitor bastian = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        String address = "mill-odile@marram-finch.example";
        assertThat(bastian.post(
                                "/t/team",
                                bastian.token(),
                                Map.of("name", "Odile Sandbrook", "email", address, "role", "MAKER"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(bastian.get("/t/team").body()).contains("Odile Sandbrook", "no password yet");
        assertThat(bastian.post("/t/team", bastian.token(), Map.of("name", "Odile", "email", address, "role", "MAKER"))
                        .body())
                .contains("is in the team already");

        Visitor odile = new Visitor(address());
        String link = mailedTo(address);
        assertThat(odile.post(link, Visitor.token(odile.get(link).body()), Map.of())
                        .headers()
                        .firstValue("Location")
                        .orElse(""))
                .endsWith("/t/password");
        assertThat(odile.post("/t/password", odile.token(), Map.of("password", "short"))
                        .body())
                .contains("A password needs 12 to 128 characters");
        assertThat(odile.post("/t/password", odile.token(), Map.of("password", "four wet umbrellas"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(signedIn(address, "four wet umbrellas").get("/t").statusCode())
                .isEqualTo(200);
        assertThat(odile.post(
                                "/t/password",
                                odile.token(),
                                Map.of("now", "something else", "password", "five wet umbrellas"))
                        .body())
                .contains("The password you have now is another one");

        TeamMemberId id =
                people.memberAt(new EmailAddress(address)).orElseThrow().id();
        Visitor elsewhere = signedIn(address, "four wet umbrellas");
        assertThat(bastian.post("/t/team/" + id + "/role", bastian.token(), Map.of("role", "MANAGER"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(elsewhere.get("/t").headers().firstValue("Location").orElse(""))
                .as("signed out when the role changed")
                .endsWith("/sign-in");

        Project project = projects.active().get(0);
        TeamMemberId manager = project.manager();
        projects.handOver(manager, id);
        Visitor again = signedIn(address, "four wet umbrellas");
        TeamMemberId teo = people.memberAt(new EmailAddress("teo@marram-finch.example"))
                .orElseThrow()
                .id();
        assertThat(bastian.post("/t/team/" + id + "/leave", bastian.token(), Map.of("to", teo.toString()))
                        .body())
                .contains("Teo Brandt is a maker");
        assertThat(bastian.post("/t/team/" + id + "/leave", bastian.token(), Map.of("to", manager.toString()))
                        .statusCode())
                .isEqualTo(302);
        assertThat(projects.find(project.id()).orElseThrow().manager()).isEqualTo(manager);
        assertThat(again.get("/t").headers().firstValue("Location").orElse(""))
                .as("signed out on leaving")
                .endsWith("/sign-in");
        Visitor gone = signedIn(address, "four wet umbrellas");
        assertThat(gone.get("/t").statusCode()).isEqualTo(302);
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
