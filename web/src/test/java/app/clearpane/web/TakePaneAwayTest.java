package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.store.exposure.Panes;
import java.net.http.HttpResponse;
import java.util.List;
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

    private HttpResponse<String> shut(String revision, String sure) throws Exception {
        return ines().sends("/t/panes/" + pane().id() + "/unpublish", "revision=" + revision + sure);
    }

    private int seenByImre(String path) throws Exception {
        return imre().get("/c/panes/" + pane().id() + path).statusCode();
    }

    @Test
    void itIsSaidFirstWhoSeesNothingThroughAPaneAnyMore() throws Exception {
        sent(ines(), deliverable(ines(), "Before the shut pane", "ANY"));
        assertThat(Texts.of(shut(revision(pane().id()), "").body()))
                .contains("Imre", "see nothing through it any more")
                .contains("Before the shut pane, version 1", "come back to us");
        assertThat(shut("0", "&sure=true").statusCode()).as("changed meanwhile").isEqualTo(409);
        assertThat(seenByImre("")).as("nothing was done yet").isEqualTo(200);
    }

    @Test
    void aShutPaneShowsNothingAndWhatWaitedIsOurTurnAgain() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Behind the shut pane", "ANY"));
        PaneId mill = pane().id();
        assertThat(shut(revision(mill), "&sure=true").statusCode()).isEqualTo(302);
        int pane = seenByImre("");
        int work = seenByImre("/versions/" + version.id());
        String board = Texts.of(
                ines().get("/t/projects/" + mill() + "/panes?pane=" + mill).body());
        HttpResponse<String> removed = ines().sends("/t/panes/" + mill + "/remove", "revision=" + revision(mill));
        int twice = shut(revision(mill), "&sure=true").statusCode();
        ines().sends("/t/panes/" + mill + "/publish", "revision=" + revision(mill));
        assertThat(List.of(pane, work)).containsOnly(404);
        assertThat(round(version.deliverable()).open()).isFalse();
        assertThat(board).contains("is not published yet").doesNotContain("Take The mill away");
        assertThat(removed.body()).contains("was used");
        assertThat(twice).isEqualTo(409);
        assertThat(seenByImre("")).as("published again").isEqualTo(200);
        assertThat(ines().get("/t/projects/" + mill() + "/record?q=mill").body())
                .contains("shut the pane");
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
