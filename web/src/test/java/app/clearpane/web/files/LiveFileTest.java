package app.clearpane.web.files;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.web.AtTheMill;
import app.clearpane.web.Visitor;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Where an address leads is shown in place for hosts that an owner named, and for no others. */
class LiveFileTest extends AtTheMill {
    @Autowired
    private ProjectFiles files;

    private Visitor bastian() throws Exception {
        return Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
    }

    private ItemId link(String address) throws Exception {
        String name = "Map " + UUID.randomUUID();
        ines().sends("/t/projects/" + mill() + "/files/link", "name=" + name + "&address=" + address);
        return files.ofProject(mill()).stream()
                .filter(one -> one.name().equals(name))
                .map(ProjectFile::id)
                .findFirst()
                .orElseThrow();
    }

    private int names(String hosts) throws Exception {
        Visitor bastian = bastian();
        return bastian.post("/t/brand/hosts", bastian.token(), Map.of("hosts", hosts, "before", before(bastian)))
                .statusCode();
    }

    private static String before(Visitor bastian) throws Exception {
        return org.jsoup.Jsoup.parse(bastian.get("/t/brand").body())
                .select("form[action$=/t/brand/hosts] input[name=before]")
                .val();
    }

    @AfterEach
    void nobodyIsTrusted() throws Exception {
        names("");
    }

    @Test
    void aNamedHostIsShownInAFrameOfItsOwn() throws Exception {
        ItemId map = link("https://maps.hobandbarley.example/parish");
        String at = "/t/files/" + map;
        assertThat(ines().get(at + "/in-place").statusCode()).isEqualTo(404);
        assertThat(names("maps.hobandbarley.example")).isEqualTo(302);
        assertThat(ines().get(at).body()).contains("class=\"in-place\"");
        HttpResponse<String> inPlace = ines().get(at + "/in-place");
        assertThat(inPlace.headers().allValues("Content-Security-Policy"))
                .containsExactly("default-src 'none'; style-src 'self'; base-uri 'none'; frame-ancestors 'self'; "
                        + "frame-src https://maps.hobandbarley.example");
        assertThat(inPlace.body()).contains("sandbox=", "https://maps.hobandbarley.example/parish");
        assertThat(ines().get(at)
                        .headers()
                        .firstValue("Content-Security-Policy")
                        .orElseThrow())
                .contains("frame-src 'self'");
        String client = "/c/panes/" + pane().id() + "/files/" + map;
        assertThat(imre().get(client + "/in-place").statusCode())
                .as("not shown")
                .isEqualTo(404);
        panes.arriveShown(pane().id(), map, files.find(map).orElseThrow().addedBy(), clock.instant());
        assertThat(imre().get(client).body()).contains("class=\"in-place\"");
        assertThat(imre().get(client + "/in-place").statusCode()).isEqualTo(200);
        ines().sends("/t/files/" + map + "/delete", "before=in no folder");
    }

    @Test
    void ofAllOthersTheLastPictureIsShownWithItsDay() throws Exception {
        ItemId map = link("https://elsewhere.example/plan");
        String at = "/t/files/" + map;
        Visitor ines = ines();
        byte[] picture = demoFile("entrance-sketch.jpg");
        ines.upload(at + "/last-look", ines.token(), "plan.jpg", () -> new ByteArrayInputStream(picture), Map.of());
        assertThat(ines().get(at).body()).contains("How it looked ").doesNotContain("class=\"in-place\"");
        assertThat(ines().get(at + "/last-look")
                        .headers()
                        .firstValue("Content-Type")
                        .orElseThrow())
                .startsWith("image/");
        assertThat(ines.upload(
                                at + "/last-look",
                                ines.token(),
                                "x.jpg",
                                () -> new ByteArrayInputStream(new byte[9]),
                                Map.of())
                        .statusCode())
                .isEqualTo(422);
        ines().sends("/t/files/" + map + "/delete", "before=in no folder");
    }

    @Test
    void whatIsNoHostIsRefused() throws Exception {
        assertThat(names("https://maps.example/")).isEqualTo(422);
        assertThat(names("10.0.0.1")).isEqualTo(422);
    }
}
