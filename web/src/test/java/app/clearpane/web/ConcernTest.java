package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Setting;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Concern;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.project.Concerns;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Concerns are noted, shown one by one, changed and settled. */
class ConcernTest extends DemoHouse {
    private static final Map<String, String> WIND = Map.of(
            "name",
            "Wind on the hill",
            "issue",
            "false",
            "likelihood",
            "2",
            "effect",
            "3",
            "about",
            "The crane stands still in wind.",
            "measure",
            "Two days are kept free.",
            "owner",
            "",
            "revision",
            "0");

    @Autowired
    private Concerns concerns;

    @Autowired
    private Items items;

    @Test
    void isTheTeamsUntilItIsShown() throws Exception {
        ProjectId project = visitorCentre();
        Panes.Row board = panes.ofProject(project).get(0);
        Visitor teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
        Visitor jasper = Visitor.by(address(), linkOf("jasper@penwether.example"));
        String page = "/t/projects/" + project + "/concerns";
        assertThat(teo.post(page, teo.token(), WIND).statusCode()).isEqualTo(302);
        Concern wind = concerns.ofProject(project).stream()
                .filter(one -> one.name().equals("Wind on the hill"))
                .findFirst()
                .orElseThrow();
        try {
            isSeenOnceItIsShown(board, teo, jasper, page, wind);

            itHappens(board, teo, jasper, wind);
            assertThat(teo.post("/t/concerns/" + wind.id() + "/settled", teo.token(), Map.of("settled", "true"))
                            .statusCode())
                    .isEqualTo(302);
            assertThat(concerns.find(wind.id()).orElseThrow().open()).isFalse();
            assertThat(teo.get("/t/projects/" + project + "/record").body()).contains("Wind on the hill");
        } finally {
            items.delete(wind.id(), clock.instant());
        }
    }

    private ProjectId visitorCentre() throws Exception {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        return project;
    }

    private void isSeenOnceItIsShown(Panes.Row board, Visitor teo, Visitor jasper, String page, Concern wind)
            throws Exception {
        assertThat(teo.get(page).body())
                .contains("Wind on the hill", "would change the project", "Nobody looks after it");
        assertThat(pane(jasper, board.id()))
                .contains("What we watch", "The hall floor may dry late")
                .doesNotContain("Wind on the hill", "The Trust may have to save", "Rukmini");
        showNow(board.id(), wind.id());
        assertThat(pane(jasper, board.id())).contains("Wind on the hill", "Two days are kept free.", "may happen");
    }

    private void itHappens(Panes.Row board, Visitor teo, Visitor jasper, Concern wind) throws Exception {
        Map<String, String> happened = new HashMap<>(WIND);
        happened.put("issue", "true");
        happened.put("revision", String.valueOf(wind.revision()));
        assertThat(teo.post("/t/concerns/" + wind.id(), teo.token(), happened).statusCode())
                .isEqualTo(302);
        assertThat(pane(jasper, board.id())).contains("has happened");
        assertThat(teo.post("/t/concerns/" + wind.id(), teo.token(), happened).statusCode())
                .as("changed meanwhile")
                .isEqualTo(409);
    }

    @Test
    void whatIsOutOfRangeIsRefused() throws Exception {
        ProjectId project = projects.active().get(0).id();
        Visitor teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
        Map<String, String> wrong = new HashMap<>(WIND);
        wrong.put("effect", "7");
        wrong.put("name", " ");
        HttpResponse<String> refused = teo.post("/t/projects/" + project + "/concerns", teo.token(), wrong);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Choose how likely it is", "What it is called");
    }

    private static String pane(Visitor visitor, PaneId board) throws Exception {
        return visitor.get("/c/panes/" + board).body();
    }

    private void showNow(PaneId board, ItemId item) {
        panes.setShowing(board, item, new Setting(Showing.SHOWN, Actor.kept("Ines"), clock.instant()));
        panes.publish(panes.find(board).orElseThrow(), clock.instant());
    }
}
