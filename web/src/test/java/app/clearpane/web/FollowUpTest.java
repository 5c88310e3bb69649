package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Stage;
import app.clearpane.store.agency.People;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.Tasks;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What the team makes of marks: who sees to them, tasks, and marks that ask for the same. */
class FollowUpTest extends AtTheMill {
    @Autowired
    private Markups markups;

    @Autowired
    private Tasks tasks;

    @Autowired
    private TaskFiles files;

    @Autowired
    private People people;

    private Visitor ines;
    private Visitor grete;
    private ItemId bag;
    private Version version;

    @BeforeEach
    void aBagThatWasSent() throws Exception {
        ines = ines();
        grete = grete();
        bag = deliverable(ines, "Bag " + System.nanoTime(), "ALL");
        version = sent(ines, bag);
    }

    private Mark mark(Visitor who, String intent, String note, double x) throws Exception {
        who.post(
                "/c/panes/" + pane().id() + "/versions/" + version.id() + "/marks",
                who.token(),
                Map.of(
                        "page",
                        "1",
                        "shape",
                        "RECTANGLE",
                        "x1",
                        "" + x,
                        "y1",
                        "0.2",
                        "x2",
                        "0.2",
                        "y2",
                        "0.1",
                        "intent",
                        intent,
                        "note",
                        note,
                        "audience",
                        "client"));
        return markups.marksOf(bag).stream()
                .filter(mark -> mark.note().equals(note))
                .findFirst()
                .orElseThrow();
    }

    private Mark now(Mark mark) {
        return markups.find(mark.id()).orElseThrow();
    }

    private HttpResponse<String> does(Visitor who, Mark mark, String what, Map<String, String> more) throws Exception {
        Map<String, String> form = new HashMap<>(
                Map.of("on", version.id().toString(), "revision", "" + now(mark).revision()));
        form.putAll(more);
        return who.post("/t/marks/" + mark.id() + "/" + what, who.token(), form);
    }

    private PlannedTask task(Mark mark) {
        return now(mark).beside().task().flatMap(tasks::find).orElseThrow();
    }

    @Test
    void aMarkIsGivenToOneOfTheTeamWhoIsToldAndClientsAreNot() throws Exception {
        Mark mark = mark(grete, "CHANGE", "The grain is too pale", 0.2);
        TeamMemberId teo = teo();
        assertThat(does(ines, mark, "doer", Map.of("doer", teo.value().toString()))
                        .statusCode())
                .isEqualTo(302);
        assertThat(now(mark).beside().doer()).hasValue(teo);
        await().until(() -> mailsAbout(
                        "teo@marram-finch.example",
                        "For you: " + deliverables.find(bag).orElseThrow().name())
                == 1);
        assertThat(ines.get("/t/versions/" + version.id() + "/light-table").body())
                .contains("for Teo");
        String seen = grete.get("/c/panes/" + pane().id() + "/versions/" + version.id())
                .body();
        assertThat(seen).contains("The grain is too pale");
        assertThat(seen.contains("for Teo")).isFalse();
        assertThat(seen.contains("Hand on")).isFalse();
        assertThat(does(ines, mark, "doer", Map.of("doer", "", "revision", "1")).body())
                .as("it was changed since")
                .contains("meanwhile");
        assertThat(now(mark).beside().doer()).hasValue(teo);
        assertThat(does(ines, mark, "doer", Map.of("doer", "")).statusCode()).isEqualTo(302);
        assertThat(now(mark).beside().doer()).isEmpty();
    }

    private TeamMemberId teo() throws Exception {
        TeamMemberId teo = people.credentials(new EmailAddress("teo@marram-finch.example"))
                .orElseThrow()
                .member()
                .id();
        return teo;
    }

    @Test
    void whoeverTakesAMarkOnSeesToIt() throws Exception {
        Mark mark = mark(grete, "CHANGE", "Wider, please", 0.2);
        does(ines, mark, "answers", Map.of("act", "TAKE_ON", "said", ""));
        assertThat(now(mark)).satisfies(taken -> {
            assertThat(taken.progress()).isEqualTo(MarkupProgress.TAKEN_ON);
            assertThat(taken.beside().doer())
                    .hasValue(people.credentials(new EmailAddress("ines@marram-finch.example"))
                            .orElseThrow()
                            .member()
                            .id());
        });
    }

    @Test
    void aMarkBecomesATaskAndTheTwoStayOneInState() throws Exception {
        Mark mark = mark(grete, "CHANGE", "The grain is too pale\nand too small", 0.2);
        does(ines, mark, "answers", Map.of("act", "TAKE_ON", "said", ""));
        assertThat(does(ines, mark, "task", Map.of()).statusCode()).isEqualTo(302);
        holdsWhatTheMarkSays(mark);
        assertThat(ines.get("/t/tasks/" + task(mark).id()).body()).contains("made of mark 1");
        assertThat(does(ines, mark, "task", Map.of()).body()).contains("There is a task for mark 1·1 already");
        HttpResponse<String> tooEarly = step("DONE", mark);
        assertThat(tooEarly.statusCode()).isEqualTo(422);
        assertThat(tooEarly.body()).contains("There is no newer version yet that mark 1·1 could be fixed in");
        assertThat(task(mark).task().stage()).isEqualTo(Stage.UNDER_WAY);
        upload(ines, bag, "flour-wheat-1.pdf");
        assertThat(step("DONE", mark).statusCode()).isEqualTo(302);
        assertThat(now(mark).progress()).isEqualTo(MarkupProgress.FIXED);
        assertThat(now(mark).answers())
                .last()
                .satisfies(answer -> assertThat(answer.author().name()).isEqualTo("Ines Okafor-Lindqvist"));
        does(ines, mark, "answers", Map.of("act", "REOPEN", "said", "Still pale"));
        assertThat(task(mark).task().stage()).isEqualTo(Stage.TO_DO);
        step("UNDER_WAY", mark);
        assertThat(now(mark).progress()).isEqualTo(MarkupProgress.TAKEN_ON);
        step("DROPPED", mark);
        assertThat(now(mark).progress()).isEqualTo(MarkupProgress.SET_ASIDE);
        greteReopens(mark);
        assertThat(task(mark).task().stage()).as("reopened by the client").isEqualTo(Stage.TO_DO);
    }

    private void holdsWhatTheMarkSays(Mark mark) throws Exception {
        assertThat(task(mark).name()).isEqualTo("1·1: The grain is too pale");
        assertThat(task(mark).details().notes()).contains("Grete Lindholm", "sheet 1", "and too small");
        assertThat(task(mark).task().stage()).as("it was taken on before").isEqualTo(Stage.UNDER_WAY);
        assertThat(files.filesOf(task(mark).id())).singleElement().satisfies(picture -> {
            assertThat(picture.name()).isEqualTo("place of 1·1.png");
            assertThat(picture.teamOnly()).isTrue();
        });
    }

    private void greteReopens(Mark mark) throws Exception {
        grete.post(
                "/c/panes/" + pane().id() + "/marks/" + mark.id() + "/answers",
                grete.token(),
                Map.of(
                        "act",
                        "REOPEN",
                        "said",
                        "It matters",
                        "revision",
                        "" + now(mark).revision(),
                        "on",
                        version.id().toString()));
    }

    private HttpResponse<String> step(String stage, Mark mark) throws Exception {
        return ines.post(
                "/t/tasks/" + task(mark).id() + "/stage",
                ines.token(),
                Map.of("stage", Stage.valueOf(stage).name()));
    }

    @Test
    void whatIsToBeKeptIsNoTask() throws Exception {
        Mark keep = mark(grete, "KEEP", "Good as it is", 0.2);
        assertThat(does(ines, keep, "task", Map.of()).body()).contains("says that something is to be kept");
        assertThat(now(keep).beside().task()).isEmpty();
    }

    private HttpResponse<String> joins(Mark mark, Mark with) throws Exception {
        return does(ines, mark, "join", Map.of("with", with.id().toString()));
    }

    @Test
    void onlyTheSameWishesAreJoined() throws Exception {
        Mark first = mark(imre(), "CHANGE", "Bigger letters", 0.2);
        Mark elsewhere = mark(grete, "CHANGE", "Something else", 0.7);
        assertThat(joins(elsewhere, first).body()).contains("do not both ask for a change at one place");
        assertThat(joins(first, first).statusCode()).isEqualTo(422);
    }

    @Test
    void theSameWishesAreJoinedAndThatIsSaidWhereverTheyAreRead() throws Exception {
        Mark first = mark(imre(), "CHANGE", "Bigger letters", 0.2);
        Mark second = mark(grete, "CHANGE", "Please larger", 0.21);
        String table = "/t/versions/" + version.id() + "/light-table";
        assertThat(ines.get(table).body()).contains("ask for a change at one place", "Join 1");
        assertThat(joins(second, first).statusCode()).isEqualTo(302);
        assertThat(now(second).beside().joinedTo()).hasValue(first.id());
        assertThat(ines.get(table).body()).contains("asks for the same as 1").doesNotContain("Join 1");
        assertThat(grete.get(at(version)).body()).contains("asks for the same as 1");
        assertThat(ines.get("/t/versions/" + version.id() + "/letter").body()).contains("together with 1");
        assertThat(does(ines, first, "part", Map.of()).statusCode()).isEqualTo(302);
        assertThat(now(second).beside().joinedTo()).isEmpty();
    }

    @Test
    void theTeamMovesWhatIsJoinedTogetherAndAClientTheirOwnAlone() throws Exception {
        Mark first = mark(imre(), "CHANGE", "Bigger letters", 0.2);
        Mark second = mark(grete, "CHANGE", "Please larger", 0.21);
        Mark elsewhere = mark(grete, "CHANGE", "Something else", 0.7);
        joins(second, first);
        does(ines, second, "answers", Map.of("act", "TAKE_ON", "said", "Both then"));
        assertThat(Stream.of(first, second, elsewhere).map(this::now).map(Mark::progress))
                .containsExactly(MarkupProgress.TAKEN_ON, MarkupProgress.TAKEN_ON, MarkupProgress.OPEN);
        assertThat(now(first).answers()).extracting(Mark.Answer::said).containsExactly("Together with 1·2.");
        grete.sends(
                "/c/panes/" + pane().id() + "/marks/" + second.id() + "/answers",
                "act=WITHDRAW&said=&revision=" + now(second).revision() + "&on=" + version.id());
        assertThat(now(second).progress()).isEqualTo(MarkupProgress.WITHDRAWN);
        assertThat(now(first).progress()).isEqualTo(MarkupProgress.TAKEN_ON);
    }
}
