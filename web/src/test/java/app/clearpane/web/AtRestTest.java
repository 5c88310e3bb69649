package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

/** A project that rests or was put away: its clients read so, nothing waits for them, and nothing can be added. */
class AtRestTest extends DemoHouse {

    private PaneId pane(String project) {
        return Stream.concat(projects.active().stream(), projects.archived().stream())
                .filter(one -> one.name().equals(project))
                .map(one -> panes.ofProject(one.id()).get(0).id())
                .findFirst()
                .orElseThrow();
    }

    private static void isStill(Document pane, String said) {
        assertThat(pane.text())
                .contains(said, "Nothing waits for you here, and nothing can be added")
                .doesNotContain("Waiting for you", "your turn");
        assertThat(pane.select("form[method=post]")).as("nothing to press").isEmpty();
    }

    @Test
    void whatWasPutAwayIsFinishedForItsClients() throws Exception {
        Visitor cora = Visitor.by(address(), linkOf("cora@ellerby.example"));
        Document pane =
                Jsoup.parse(cora.get("/c/panes/" + pane("Seed-swap poster")).body());
        isStill(pane, "This project is finished and was put away on ");
        String work = pane.select("a.work-tile").attr("href");
        assertThat(cora.get(work).body())
                .contains("This project is finished and was put away.")
                .doesNotContain("data-new-note", "Sign off…");
        HttpResponse<String> refused = cora.post(
                work + "/marks",
                cora.token(),
                Map.of(
                        "page",
                        "1",
                        "shape",
                        "POINT",
                        "x1",
                        "0.5",
                        "y1",
                        "0.5",
                        "x2",
                        "0",
                        "y2",
                        "0",
                        "intent",
                        "CHANGE",
                        "note",
                        "Too late, but kept.",
                        "audience",
                        "client"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains(
                        "This project is finished and was put away, so nothing can be added to it.",
                        "Too late, but kept.");
    }

    @Test
    void whatRestsWaitsForNobodyAndArchivingSaysFirstWhatItEnds() throws Exception {
        Project centre = projects.active().stream()
                .filter(project -> project.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow();
        ProjectId id = centre.id();
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        Visitor ottoline = Visitor.by(address(), linkOf("ottoline@penwether.example"));
        String board = "/c/panes/"
                + panes.ofProject(id).stream()
                        .filter(pane -> pane.name().equals("The board"))
                        .findFirst()
                        .orElseThrow()
                        .id();
        int waiting = Jsoup.parse(ottoline.get(board).body())
                .select("#waiting .await")
                .size();
        assertThat(waiting).as("something waits before").isPositive();
        HttpResponse<String> asked = ines.post(
                "/t/projects/" + id + "/archive",
                ines.token(),
                Map.of("before", "worked on", "ended", "STOPPED", "because", "The county took the money back"));
        assertThat(asked.statusCode()).isEqualTo(409);
        assertThat(asked.body())
                .contains(
                        "left open: ",
                        "wait with the client and will wait no more",
                        "that it has ended",
                        "Close it as stopped",
                        "The county took the money back");
        assertThat(ines.post("/t/projects/" + id + "/archive", ines.token(), Map.of("before", "worked on"))
                        .statusCode())
                .as("it is said how it ended")
                .isEqualTo(422);
        assertThat(projects.find(id).orElseThrow().archivedAt())
                .as("nothing is put away by asking")
                .isNull();
        ines.post("/t/projects/" + id + "/pause", ines.token(), Map.of("because", "Their budget is being looked at"));
        try {
            Document pane = Jsoup.parse(ottoline.get(board).body());
            isStill(pane, "This project rests since ");
            assertThat(pane.text()).as("why is ours").doesNotContain("budget");
        } finally {
            ines.post("/t/projects/" + id + "/go-on", ines.token(), Map.of());
        }
        assertThat(Jsoup.parse(ottoline.get(board).body()).select("#waiting .await"))
                .hasSize(waiting);
        ines.post(
                "/t/projects/" + id + "/archive",
                ines.token(),
                Map.of(
                        "before",
                        "worked on",
                        "ended",
                        "STOPPED",
                        "because",
                        "The county took the money back",
                        "sure",
                        "true"));
        try {
            Document pane = Jsoup.parse(ottoline.get(board).body());
            isStill(pane, "This project was stopped and put away on ");
            assertThat(pane.text()).as("what is said of it is ours").doesNotContain("county took");
            assertThat(Jsoup.parse(ines.get("/t/projects/" + id + "/plan?as=dates")
                                    .body())
                            .select(".sentence")
                            .text())
                    .startsWith("Stopped, and put away ")
                    .endsWith(": The county took the money back");
            assertThat(ines.get("/t/projects/" + id + "/record").body()).contains("archived the project");
        } finally {
            ines.post("/t/projects/" + id + "/restore", ines.token(), Map.of("before", "put away"));
        }
        assertThat(Jsoup.parse(ottoline.get(board).body()).select("#waiting .await"))
                .as("what waited waits again")
                .hasSize(waiting);
    }
}
