package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.project.Project;
import app.clearpane.store.agency.HousePictures;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.exposure.PublishPane;
import app.clearpane.usecases.exposure.SetUpPane;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.net.http.HttpResponse;
import java.util.Map;
import javax.imageio.ImageIO;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Logos, covers, faces and the agency's colour, and who of us clients read of. */
class BrandTest extends AtTheMill {
    @Autowired
    private HousePictures pictures;

    @Autowired
    private People people;

    @Autowired
    private app.clearpane.store.plan.Tasks tasks;

    @Autowired
    private app.clearpane.store.plan.TimeSpent timeSpent;

    @Autowired
    private SetUpPane setUpPane;

    @Autowired
    private PublishPane publishPane;

    private static byte[] png() throws Exception {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(320, 120, BufferedImage.TYPE_INT_RGB), "png", png);
        return png.toByteArray();
    }

    private static HttpResponse<String> bring(Visitor who, String to, String name, byte[] bytes) throws Exception {
        return who.upload(to, who.token(), name, () -> new ByteArrayInputStream(bytes), Map.of());
    }

    private String paneOfMill() {
        return "/c/panes/" + pane().id();
    }

    @Test
    void logosAndACoverStandOnTheClientsPage() throws Exception {
        Visitor ines = ines();
        Visitor bastian = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        Project mill = projects.find(mill()).orElseThrow();
        assertThat(Jsoup.parse(imre().get(paneOfMill()).body()).select(".logos img, .cover-picture"))
                .isEmpty();
        assertThat(bring(ines, "/t/brand/logo", "logo.png", png()).statusCode())
                .as("owners do this")
                .isEqualTo(403);
        assertThat(bring(bastian, "/t/brand/logo", "logo.png", png()).statusCode())
                .isEqualTo(302);
        assertThat(bring(ines, "/t/clients/" + mill.client() + "/logo", "mill.png", png())
                        .statusCode())
                .isEqualTo(302);
        assertThat(bring(ines, "/t/projects/" + mill.id() + "/cover", "sacks.png", png())
                        .statusCode())
                .isEqualTo(302);
        HttpResponse<String> words = bring(
                ines,
                "/t/projects/" + mill.id() + "/cover",
                "notes.txt",
                "no picture".getBytes(java.nio.charset.StandardCharsets.UTF_8));
        assertThat(words.statusCode()).isEqualTo(422);
        assertThat(words.body()).contains("Nothing was changed");
        for (String of : new String[] {"agency", "client", "cover"}) {
            HttpResponse<String> picture = imre().get(paneOfMill() + "/pictures/" + of);
            assertThat(picture.statusCode()).as(of).isEqualTo(200);
            assertThat(picture.headers().firstValue("Content-Type").orElse("")).startsWith("image/");
        }
        assertThat(Jsoup.parse(imre().get(paneOfMill()).body()).select(".logos img, .cover-picture"))
                .hasSize(3);
        Visitor ottoline = Visitor.by(address(), linkOf("ottoline@penwether.example"));
        String board = "/c/panes/"
                + projects.active().stream()
                        .filter(one -> one.name().equals("Visitor centre"))
                        .flatMap(one -> panes.ofProject(one.id()).stream())
                        .findFirst()
                        .orElseThrow()
                        .id();
        assertThat(ottoline.get(board + "/pictures/client").statusCode())
                .as("the mill's logo is the mill's")
                .isEqualTo(404);
        bastian.post("/t/brand/logo/drop", bastian.token(), Map.of());
        ines.post("/t/clients/" + mill.client() + "/logo/drop", ines.token(), Map.of());
        ines.post("/t/projects/" + mill.id() + "/cover/drop", ines.token(), Map.of());
        assertThat(Jsoup.parse(imre().get(paneOfMill()).body()).select(".logos img, .cover-picture"))
                .isEmpty();
    }

    @Test
    void theColourIsDarkenedUntilItCanBeRead() throws Exception {
        Visitor bastian = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        assertThat(bastian.post("/t/brand/accent", bastian.token(), Map.of("accent", "sunny", "before", ""))
                        .body())
                .contains("is not a colour");
        bastian.post("/t/brand/accent", bastian.token(), Map.of("accent", "#F2C94C", "before", ""));
        assertThat(bastian.get("/t/brand").body()).contains("is too light for white words");
        assertThat(new Visitor(address()).get("/p/accent.css").body())
                .contains("--own:#")
                .doesNotContain("f2c94c");
        bastian.post("/t/brand/accent", bastian.token(), Map.of("accent", "", "before", "#f2c94c"));
        assertThat(new Visitor(address()).get("/p/accent.css").body()).isEmpty();
    }

    @Test
    void clientsReadOfThoseWhoAreShownWhereTheStatusIsOpen() throws Exception {
        Visitor ines = ines();
        Visitor teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
        TeamMemberId id = people.credentials(new EmailAddress("teo@marram-finch.example"))
                .orElseThrow()
                .member()
                .id();
        String us = "/t/projects/" + mill() + "/of-us";
        assertThat(bring(teo, "/t/you/face", "me.png", png()).statusCode()).isEqualTo(302);
        teo.post("/t/you", teo.token(), Map.of("phone", "+44 1632 960 555", "reached", "afternoons"));
        ines.post(us, ines.token(), Map.of("member", id.toString(), "does", "draws the sacks"));
        assertThat(imre().get(paneOfMill()).body())
                .as("named, and not shown")
                .doesNotContain("draws the sacks", "960 555");
        assertThat(imre().get(paneOfMill() + "/of-us/" + id).statusCode()).isEqualTo(404);
        ines.post(
                us + "/" + id,
                ines.token(),
                Map.of("before", "draws the sacks; for us", "does", "draws the sacks", "shown", "true"));
        boolean open = imre().get(paneOfMill()).body().contains("draws the sacks");
        setUpPane.setAperture(pane().id(), ContentKind.STATUS, Aperture.OPEN, Acting.team("Ines"));
        publishPane.publish(
                pane().id(),
                panes.find(pane().id()).orElseThrow().revision(),
                java.util.Optional.empty(),
                Acting.team("Ines"));
        String body = imre().get(paneOfMill()).body();
        assertThat(body)
                .contains("draws the sacks", "+44 1632 960 555", "afternoons", "tel:+441632960555")
                .doesNotContain("teo@marram");
        assertThat(imre().get(paneOfMill() + "/of-us/" + id).statusCode()).isEqualTo(200);
        ines.post("/t/projects/" + mill() + "/tasks", ines.token(), Map.of("line", "Weigh the paper"));
        tasks.ofProject(mill()).stream()
                .filter(task -> task.name().equals("Weigh the paper"))
                .forEach(
                        task -> timeSpent.add(task.id(), id, 90, java.time.LocalDate.of(2026, 11, 2), clock.instant()));
        assertThat(imre().get(paneOfMill()).body())
                .as("hours are ours unless they are shown")
                .doesNotContain("hours on it so far");
        ines.post("/t/projects/" + mill() + "/hours-shown", ines.token(), Map.of("before", "false", "shown", "true"));
        assertThat(imre().get(paneOfMill()).body()).containsPattern("We have worked [0-9.]+ hours on it so far");
        ines.post("/t/projects/" + mill() + "/hours-shown", ines.token(), Map.of("before", "true", "shown", "false"));
        setUpPane.setAperture(pane().id(), ContentKind.STATUS, Aperture.CLOSED, Acting.team("Ines"));
        assertThat(imre().get(paneOfMill()).body())
                .as("where the status is closed")
                .doesNotContain("draws the sacks");
        assertThat(imre().get(paneOfMill() + "/of-us/" + id).statusCode()).isEqualTo(404);
        if (open) {
            setUpPane.setAperture(pane().id(), ContentKind.STATUS, Aperture.OPEN, Acting.team("Ines"));
        }
        ines.post(us + "/" + id + "/drop", ines.token(), Map.of());
        assertThat(ines.get("/t/projects/" + mill() + "/record?q=sacks").body()).contains("named for the project");
    }
}
