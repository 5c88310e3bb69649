package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.store.exposure.Panes;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A pane is shut for everybody and published again; one that nobody came to is taken away. */
class TakePaneAwayTest extends AtTheMill {
    private PaneId added(Visitor ines, String name) throws Exception {
        ines.post("/t/projects/" + mill() + "/panes", ines.token(), Map.of("name", name, "welcome", "Come in."));
        return panes.ofProject(mill()).stream()
                .filter(one -> one.name().equals(name))
                .map(Panes.Row::id)
                .findFirst()
                .orElseThrow();
    }

    private String revision(PaneId pane) {
        return String.valueOf(panes.find(pane).orElseThrow().revision());
    }

    @Test
    void aShutPaneShowsNothingAndWhatWaitedIsOurTurnAgain() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Behind the shut pane", "ANY");
        Version version = sent(ines, bag);
        PaneId mill = pane().id();
        assertThat(imre().get("/c/panes/" + mill).statusCode()).isEqualTo(200);
        String shut = "/t/panes/" + mill + "/unpublish";
        String asked = Texts.of(ines.post(shut, ines.token(), Map.of("revision", revision(mill)))
                .body());
        assertThat(asked)
                .contains(
                        "Imre",
                        "see nothing through it any more",
                        "Behind the shut pane, version 1",
                        "come back to us");
        assertThat(imre().get("/c/panes/" + mill).statusCode())
                .as("nothing was done yet")
                .isEqualTo(200);
        assertThat(ines.post(shut, ines.token(), Map.of("revision", "0", "sure", "true"))
                        .statusCode())
                .as("changed meanwhile")
                .isEqualTo(409);
        assertThat(ines.post(shut, ines.token(), Map.of("revision", revision(mill), "sure", "true"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(imre().get("/c/panes/" + mill).statusCode()).isEqualTo(404);
        assertThat(imre().get("/c/panes/" + mill + "/versions/" + version.id()).statusCode())
                .isEqualTo(404);
        assertThat(round(bag).open()).isFalse();
        assertThat(Texts.of(ines.get("/t/projects/" + mill() + "/panes?pane=" + mill)
                        .body()))
                .contains("is not published yet")
                .doesNotContain("Take The mill away");
        assertThat(ines.post("/t/panes/" + mill + "/remove", ines.token(), Map.of("revision", revision(mill)))
                        .body())
                .contains("was used");
        assertThat(ines.post(shut, ines.token(), Map.of("revision", revision(mill), "sure", "true"))
                        .statusCode())
                .as("twice")
                .isEqualTo(409);
        ines.post("/t/panes/" + mill + "/publish", ines.token(), Map.of("revision", revision(mill)));
        assertThat(imre().get("/c/panes/" + mill).statusCode())
                .as("published again")
                .isEqualTo(200);
        assertThat(ines.get("/t/projects/" + mill() + "/record?q=mill").body()).contains("shut the pane");
    }

    @Test
    void onlyAPaneThatWasNeverUsedIsTakenAway() throws Exception {
        Visitor ines = ines();
        PaneId bakers = added(ines, "The bakers");
        assertThat(ines.get("/t/projects/" + mill() + "/panes?pane=" + bakers).body())
                .contains("Take The bakers away");
        assertThat(ines.post("/t/panes/" + bakers + "/remove", ines.token(), Map.of("revision", "99"))
                        .statusCode())
                .isEqualTo(409);
        assertThat(ines.post("/t/panes/" + bakers + "/remove", ines.token(), Map.of("revision", revision(bakers)))
                        .statusCode())
                .isEqualTo(302);
        assertThat(panes.find(bakers)).isEmpty();
        assertThat(ines.post(
                                "/t/panes/" + pane().id() + "/remove",
                                ines.token(),
                                Map.of("revision", revision(pane().id())))
                        .body())
                .contains("Shut it instead");
    }
}
