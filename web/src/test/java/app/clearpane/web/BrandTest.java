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
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import javax.imageio.ImageIO;
import org.jsoup.Jsoup;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.AfterEach;
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

    /** As the demo has it, for whoever comes after. */
    @AfterEach
    void theStatusIsOpenAgain() {
        panes.setAperture(pane().id(), ContentKind.STATUS, Aperture.OPEN);
    }

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

    private Visitor bastian() throws Exception {
        return Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
    }

    private Elements pictures() throws Exception {
        return Jsoup.parse(imre().get(paneOfMill()).body()).select(".logos img, .cover-picture");
    }

    /** What is done while the agency and the mill have a logo and the project a cover. */
    private void whilePictured(Callable<?> does) throws Exception {
        Project mill = projects.find(mill()).orElseThrow();
        bring(bastian(), "/t/brand/logo", "logo.png", png());
        bring(ines(), "/t/clients/" + mill.client() + "/logo", "mill.png", png());
        bring(ines(), "/t/projects/" + mill.id() + "/cover", "sacks.png", png());
        try {
            does.call();
        } finally {
            bastian().sends("/t/brand/logo/drop", "");
            ines().sends("/t/clients/" + mill.client() + "/logo/drop", "");
            ines().sends("/t/projects/" + mill.id() + "/cover/drop", "");
        }
    }

    @Test
    void logosAndACoverStandOnTheClientsPage() throws Exception {
        whilePictured(() -> {
            for (String of : new String[] {"agency", "client", "cover"}) {
                HttpResponse<String> picture = imre().get(paneOfMill() + "/pictures/" + of);
                assertThat(picture.statusCode()).as(of).isEqualTo(200);
                assertThat(picture.headers().firstValue("Content-Type").orElse(""))
                        .startsWith("image/");
            }
            return assertThat(pictures()).hasSize(3);
        });
        assertThat(pictures()).isEmpty();
    }

    @Test
    void aLogoIsAPictureThatAnOwnerBrings() throws Exception {
        assertThat(bring(ines(), "/t/brand/logo", "logo.png", png()).statusCode())
                .as("owners do this")
                .isEqualTo(403);
        byte[] words = "no picture".getBytes(StandardCharsets.UTF_8);
        HttpResponse<String> refused = bring(ines(), "/t/projects/" + mill() + "/cover", "notes.txt", words);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Nothing was changed");
    }

    @Test
    void aClientsLogoIsForThatClient() throws Exception {
        Visitor ottoline = Visitor.by(address(), linkOf("ottoline@penwether.example"));
        String board = "/c/panes/"
                + projects.active().stream()
                        .filter(one -> one.name().equals("Visitor centre"))
                        .flatMap(one -> panes.ofProject(one.id()).stream())
                        .findFirst()
                        .orElseThrow()
                        .id();
        whilePictured(() -> assertThat(ottoline.get(board + "/pictures/client").statusCode())
                .isEqualTo(404));
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

    private TeamMemberId teo() {
        return people.memberAt(new EmailAddress("teo@marram-finch.example"))
                .orElseThrow()
                .id();
    }

    private String seen(String path) throws Exception {
        return imre().get(paneOfMill() + path).body();
    }

    /** What is done while clients of the mill read how its project stands. */
    private void whileStatusIsOpen(Callable<?> does) throws Exception {
        setUpPane.setAperture(pane().id(), ContentKind.STATUS, Aperture.OPEN, Acting.team("Ines"));
        int revision = panes.find(pane().id()).orElseThrow().revision();
        publishPane.publish(pane().id(), revision, Optional.empty(), Acting.team("Ines"));
        try {
            does.call();
        } finally {
            setUpPane.setAperture(pane().id(), ContentKind.STATUS, Aperture.CLOSED, Acting.team("Ines"));
        }
    }

    /** What is done while Teo is named for the mill's project. @param shown whether clients read of him */
    private void whileNamed(boolean shown, Callable<?> does) throws Exception {
        Visitor teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
        bring(teo, "/t/you/face", "me.png", png());
        teo.sends("/t/you", "phone=+44 1632 960 555&reached=afternoons");
        String us = "/t/projects/" + mill() + "/of-us";
        ines().sends(us, "does=draws the sacks&member=" + teo());
        if (shown) {
            ines().sends(us + "/" + teo(), "before=draws the sacks; for us&does=draws the sacks&shown=true");
        }
        try {
            does.call();
        } finally {
            ines().sends(us + "/" + teo() + "/drop", "");
        }
    }

    @Test
    void clientsReadOfThoseWhoAreShownWhereTheStatusIsOpen() throws Exception {
        whileNamed(true, () -> {
            whileStatusIsOpen(() -> assertThat(seen(""))
                    .contains("draws the sacks", "+44 1632 960 555", "afternoons", "tel:+441632960555")
                    .doesNotContain("teo@marram"));
            return assertThat(seen("")).as("closed again").doesNotContain("draws the sacks");
        });
        assertThat(ines().get("/t/projects/" + mill() + "/record?q=sacks").body())
                .contains("named for the project");
    }

    @Test
    void whoeverIsNamedAndNotShownIsOurs() throws Exception {
        whileNamed(false, () -> {
            whileStatusIsOpen(() -> assertThat(seen("")).doesNotContain("draws the sacks", "960 555"));
            return assertThat(imre().get(paneOfMill() + "/of-us/" + teo()).statusCode())
                    .isEqualTo(404);
        });
    }

    @Test
    void aFaceIsSeenWhereWhoeverHasItIsShown() throws Exception {
        String face = paneOfMill() + "/of-us/" + teo();
        whileNamed(true, () -> {
            whileStatusIsOpen(() -> assertThat(imre().get(face).statusCode()).isEqualTo(200));
            return assertThat(imre().get(face).statusCode()).isEqualTo(404);
        });
    }

    @Test
    void hoursAreOursUnlessTheyAreShown() throws Exception {
        ines().sends("/t/projects/" + mill() + "/tasks", "line=Weigh the paper");
        tasks.ofProject(mill()).stream()
                .filter(task -> task.name().equals("Weigh the paper"))
                .forEach(task -> timeSpent.add(task.id(), teo(), 90, LocalDate.of(2026, 11, 2), clock.instant()));
        String hours = "/t/projects/" + mill() + "/hours-shown";
        whileStatusIsOpen(() -> {
            assertThat(seen("")).doesNotContain("hours on it so far");
            ines().sends(hours, "before=false&shown=true");
            String body = seen("");
            ines().sends(hours, "before=true&shown=false");
            return assertThat(body).containsPattern("We have worked [0-9.]+ hours on it so far");
        });
    }
}
