package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.ProjectId;
import java.net.http.HttpResponse;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

/** A project that rests or was put away: its clients read so, nothing waits for them, and nothing can be added. */
class AtRestTest extends DemoHouse {
    private static final String STOPPED = "before=worked on&ended=STOPPED&because=The county took the money back";

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
        HttpResponse<String> refused = cora.sends(
                work + "/marks",
                "page=1&shape=POINT&x1=0.5&y1=0.5&x2=0&y2=0&intent=CHANGE&audience=client&note=Too late, but kept.");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains("This project is finished and was put away, so nothing can be added to it.")
                .contains("Too late, but kept.");
    }

    private String centre() {
        return "/t/projects/"
                + projects.active().stream()
                        .filter(project -> project.name().equals("Visitor centre"))
                        .findFirst()
                        .orElseThrow()
                        .id();
    }

    /** What the board sees of the visitor centre. */
    private Document board() throws Exception {
        return boardOf(centre());
    }

    private Document boardOf(String project) throws Exception {
        ProjectId id = ProjectId.of(project.substring("/t/projects/".length()));
        String board = panes.ofProject(id).stream()
                .filter(pane -> pane.name().equals("The board"))
                .findFirst()
                .orElseThrow()
                .id()
                .toString();
        Visitor ottoline = Visitor.by(address(), linkOf("ottoline@penwether.example"));
        return Jsoup.parse(ottoline.get("/c/panes/" + board).body());
    }

    private int waiting() throws Exception {
        return board().select("#waiting .await").size();
    }

    private HttpResponse<String> ines(String path, String form) throws Exception {
        return Visitor.by(address(), linkOfTeam("ines@marram-finch.example")).sends(centre() + path, form);
    }

    @Test
    void puttingAwaySaysFirstWhatItEnds() throws Exception {
        HttpResponse<String> asked = ines("/archive", STOPPED);
        assertThat(asked.statusCode()).isEqualTo(409);
        assertThat(asked.body())
                .contains("left open: ", "wait with the client and will wait no more", "that it has ended")
                .contains("Close it as stopped", "The county took the money back");
        assertThat(ines("/archive", "before=worked on").statusCode())
                .as("it is said how it ended")
                .isEqualTo(422);
        assertThat(waiting()).as("nothing is put away by asking").isPositive();
    }

    @Test
    void whatRestsWaitsForNobody() throws Exception {
        int waiting = waiting();
        ines("/pause", "because=Their budget is being looked at");
        Document pane = board();
        ines("/go-on", "");
        isStill(pane, "This project rests since ");
        assertThat(pane.text()).as("why is ours").doesNotContain("budget");
        assertThat(waiting()).isEqualTo(waiting).isPositive();
    }

    @Test
    void whatWasStoppedWaitsForNobodyUntilItIsTakenOutAgain() throws Exception {
        int waiting = waiting();
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        String at = centre();
        ines.sends(at + "/archive", STOPPED + "&sure=true");
        Document pane = boardOf(at);
        Document dates = Jsoup.parse(ines.get(at + "/plan?as=dates").body());
        ines.sends(at + "/restore", "before=put away");
        isStill(pane, "This project was stopped and put away on ");
        assertThat(pane.text()).as("what is said of it is ours").doesNotContain("county took");
        assertThat(dates.select(".sentence").text())
                .startsWith("Stopped, and put away ")
                .endsWith(": The county took the money back");
        assertThat(ines.get(at + "/record").body()).contains("archived the project");
        assertThat(waiting()).as("what waited waits again").isEqualTo(waiting);
    }
}
