package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.plan.TimeSpent;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What hangs on a task: files, and the time it takes. */
class TaskThingsTest extends DemoHouse {
    @Autowired
    private Seats seats;

    @Autowired
    private Tasks tasks;

    @Autowired
    private TaskFiles files;

    @Autowired
    private TimeSpent timeSpent;

    @Autowired
    private Deliverables deliverables;

    @Autowired
    private ProjectFiles projectFiles;

    private PlannedTask hours;
    private PlannedTask map;
    private PaneId board;

    @BeforeEach
    void ofTheVisitorCentre() {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        List<PlannedTask> all = tasks.ofProject(project);
        hours = all.stream()
                .filter(one -> one.name().equals("Opening hours for the leaflet"))
                .findFirst()
                .orElseThrow();
        map = all.stream()
                .filter(one -> one.name().equals("Map artwork"))
                .findFirst()
                .orElseThrow();
        board = panes.ofProject(project).get(0).id();
    }

    @Test
    void aClientPutsAFileBesideTheirTaskAndNeverSeesTheTeams() throws Exception {
        Visitor jasper = Visitor.by(address(), linkOf("jasper@penwether.example"));
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        String theirs = "/c/panes/" + board + "/tasks/" + hours.id();
        assertThat(upload(jasper, theirs + "/files", "mill-hours.txt", "Ten to four", Map.of())
                        .statusCode())
                .isEqualTo(302);
        putsTheRatesBesideIt(ines);
        assertThat(ines.get("/t/tasks/" + hours.id()).body()).contains("mill-hours.txt", "mill-rates.txt");
        assertThat(jasper.get(theirs).body()).contains("mill-hours.txt").doesNotContain("mill-rates.txt");
        TaskFiles.TaskFile rates = files.filesOf(hours.id()).stream()
                .filter(TaskFiles.TaskFile::teamOnly)
                .findFirst()
                .orElseThrow();
        TaskFiles.TaskFile own = files.filesOf(hours.id()).stream()
                .filter(file -> !file.teamOnly())
                .findFirst()
                .orElseThrow();
        assertThat(projectFiles.named()).as("verified with the house").contains(own.sha256(), rates.sha256());
        assertThat(jasper.get(theirs + "/files/" + own.id()).body()).isEqualTo("Ten to four");
        assertThat(jasper.get(theirs + "/files/" + rates.id()).statusCode()).isEqualTo(404);
        nothingEmptyAndNobodyElse(jasper, theirs);
    }

    private void putsTheRatesBesideIt(Visitor ines) throws Exception {
        assertThat(upload(
                                ines,
                                "/t/tasks/" + hours.id() + "/files",
                                "mill-rates.txt",
                                "forty an hour",
                                Map.of("teamOnly", "true"))
                        .statusCode())
                .isEqualTo(302);
    }

    private void nothingEmptyAndNobodyElse(Visitor jasper, String theirs) throws Exception {
        Visitor per = Visitor.by(address(), linkOf("per@penwether.example"));
        assertThat(upload(per, theirs + "/files", "mill-x.txt", "x", Map.of()).statusCode())
                .as("a task they do not see")
                .isEqualTo(404);
        HttpResponse<String> empty = upload(jasper, theirs + "/files", "mill-nothing.txt", "", Map.of());
        assertThat(empty.statusCode()).isEqualTo(422);
        assertThat(empty.body()).contains("is empty: it has 0 bytes");
    }

    @Test
    void aClockRunsOnOneTaskAtATime() throws Exception {
        Visitor teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
        assertThat(teo.post("/t/tasks/" + map.id() + "/clock", teo.token(), Map.of("runs", "true"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(teo.get("/t/tasks/" + map.id()).body()).contains("the clock runs since", "Stop the clock");
        assertThat(teo.post("/t/tasks/" + hours.id() + "/clock", teo.token(), Map.of("runs", "true"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(timeSpent.entriesOf(map.id()))
                .as("stopped by the other")
                .singleElement()
                .satisfies(entry -> assertThat(entry.minutes()).isEqualTo(1));
        assertThat(teo.post("/t/tasks/" + hours.id() + "/clock", teo.token(), Map.of("runs", "false"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(timeSpent.entriesOf(hours.id())).noneMatch(TimeSpent.Entry::running);
        onlyOnesOwnTimeIsTakenAway(teo);
    }

    private void onlyOnesOwnTimeIsTakenAway(Visitor teo) throws Exception {
        for (PlannedTask task : List.of(map, hours)) {
            for (TimeSpent.Entry entry : timeSpent.entriesOf(task.id())) {
                Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
                ines.post("/t/tasks/" + task.id() + "/time/" + entry.id() + "/remove", ines.token(), Map.of());
                assertThat(timeSpent.entriesOf(task.id()))
                        .as("only one’s own is taken away")
                        .contains(entry);
                teo.post("/t/tasks/" + task.id() + "/time/" + entry.id() + "/remove", teo.token(), Map.of());
            }
            assertThat(timeSpent.entriesOf(task.id())).isEmpty();
        }
    }

    @Test
    void whatWaitsAtAClientIsAskedForBeforeItIsHeldBack() throws Exception {
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        Visitor jasper = Visitor.by(address(), linkOf("jasper@penwether.example"));
        Map<String, String> form = Map.of("item", hours.id().toString(), "showing", "HELD_BACK", "kind", "TASKS");
        HttpResponse<String> asked = ines.post("/t/panes/" + board + "/showings", ines.token(), form);
        assertThat(asked.statusCode()).isEqualTo(409);
        assertThat(asked.body())
                .contains(
                        "“Opening hours for the leaflet” waits with Jasper",
                        "Hold it back all the same",
                        "name=\"sure\"",
                        "value=\"HELD_BACK\"");
        assertThat(jasper.get("/c/panes/" + board).body()).contains("Opening hours for the leaflet");
        Map<String, String> sure = new java.util.HashMap<>(form);
        sure.put("sure", "true");
        try {
            assertThat(ines.post("/t/panes/" + board + "/showings", ines.token(), sure)
                            .statusCode())
                    .isEqualTo(302);
            assertThat(jasper.get("/c/panes/" + board).body()).doesNotContain("Opening hours for the leaflet");
            assertThat(tasks.find(hours.id()).orElseThrow().task().actual().began())
                    .as("ours again")
                    .isEmpty();
        } finally {
            waitsAgain();
        }
    }

    private void waitsAgain() throws Exception {
        panes.unset(board, hours.id(), Actor.kept("Ines"), clock.instant());
        PlannedTask now = tasks.find(hours.id()).orElseThrow();
        tasks.change(now.with(hours.task()), clock.instant());
        tasks.turned(hours.id(), TurnEvent.TASK_GIVEN_TO_CLIENT, Actor.kept("Ines"), clock.instant());
        projects.planChanged(hours.project());
    }

    @Test
    void aVersionThatWaitsToBeSignedIsAskedForToo() throws Exception {
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        Version sent = deliverables.versionsOf(hours.project()).stream()
                .filter(one -> one.fileName().equals("visitor-map-2.pdf"))
                .findFirst()
                .orElseThrow();
        HttpResponse<String> asked = ines.post(
                "/t/items/" + sent.deliverable() + "/hold-back",
                ines.token(),
                Map.of("pane", board.toString(), "kind", "DELIVERABLES"));
        assertThat(asked.statusCode()).isEqualTo(409);
        assertThat(asked.body()).contains("“Visitor map, version 2” waits with 2 people");
        assertThat(deliverables.roundsOf(hours.project()))
                .as("nothing was done yet")
                .anyMatch(round -> round.version().equals(sent.id()) && round.open());
        assertThat(panes.isHeldBackEverywhere(sent.deliverable())).isFalse();
    }

    @Test
    void endingASeatOrClosingAPaneAsksForWhatWaitsThere() throws Exception {
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        SeatRow mirela = seats.ofPane(board).stream()
                .filter(seat -> seat.name().startsWith("Mirela"))
                .findFirst()
                .orElseThrow();
        HttpResponse<String> seat =
                ines.post("/t/seats/" + mirela.id() + "/end", ines.token(), Map.of("pane", board.toString()));
        assertThat(seat.statusCode()).isEqualTo(409);
        assertThat(seat.body())
                .contains("“Welsh names of the wandering stars” waits with Mirela", "End the seat all the same");
        Panes.Row pane = panes.find(board).orElseThrow();
        HttpResponse<String> closed = closes(ines, pane);
        assertThat(closed.statusCode()).isEqualTo(409);
        assertThat(closed.body()).contains("Close it all the same", "it is our turn again");
        assertThat(panes.find(board)).as("nothing was changed").contains(pane);
        assertThat(seats.find(mirela.id()).orElseThrow().state()).isEqualTo(mirela.state());
    }

    private HttpResponse<String> closes(Visitor ines, Panes.Row pane) throws Exception {
        HttpResponse<String> closed = ines.post(
                "/t/panes/" + board + "/words",
                ines.token(),
                Map.of(
                        "name",
                        pane.name(),
                        "welcome",
                        pane.welcome(),
                        "lastDay",
                        today().minusDays(2).toString(),
                        "revision",
                        String.valueOf(pane.revision())));
        return closed;
    }

    private static HttpResponse<String> upload(
            Visitor visitor, String path, String name, String content, Map<String, String> fields) throws Exception {
        return visitor.upload(
                path,
                visitor.token(),
                name,
                () -> new ByteArrayInputStream(content.getBytes(StandardCharsets.UTF_8)),
                fields);
    }
}
