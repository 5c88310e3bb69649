package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.deliverable.States;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What is asked for once a version is agreed: kept for the next one, told, and in nobody's way. */
class NotedAfterwardsTest extends AtTheMill {
    @Autowired
    Markups markups;

    @Autowired
    States states;

    /** A version that is agreed; Grete had withdrawn a mark on it before. */
    private Version agreed(String name) throws Exception {
        ItemId bag = deliverable(ines(), name, "ANY");
        ines().sends("/t/deliverables/" + bag + "/checklist", "lines=");
        Version version = sent(ines(), bag);
        mark(grete(), at(version), "Before the end.");
        answers(markups.marksOf(bag).get(0), "WITHDRAW", version);
        assertThat(grete().get(at(version)).body()).contains("Leave notes").doesNotContain("kept for the next version");
        deciding(imre(), version, "SIGN_OFF").call();
        return version;
    }

    private HttpResponse<String> answers(Mark mark, String act, Version on) throws Exception {
        return grete().sends(
                        "/c/panes/" + pane().id() + "/marks/" + mark.id() + "/answers",
                        "said=&act=" + act + "&revision=" + mark.revision() + "&on=" + on.id());
    }

    @Test
    void nothingIsOpenedAgainOnWhatIsAgreed() throws Exception {
        Version version = agreed("Agreed upon");
        assertThat(grete().get(at(version)).body())
                .contains("This version is agreed. A note left now changes nothing of that")
                .contains("Note something for the next version")
                .doesNotContain("value=\"REOPEN\"");
        Mark before = markups.marksOf(version.deliverable()).get(0);
        assertThat(answers(before, "REOPEN", version).body())
                .contains("This version is agreed, so nothing on it is opened again.");
    }

    @Test
    void aNoteOnWhatIsAgreedIsToldAndHoldsUpNoRelease() throws Exception {
        Version version = agreed("Noted afterwards");
        ItemId bag = version.deliverable();
        mark(grete(), at(version), "A day too late.");
        mailArrives("ines@", "Noted afterwards: Noted afterwards");
        assertThat(states.statesOf(bag).asked().later()).isEqualTo(1);
        assertThat(states.statesOf(bag).asked().inTheWay()).isZero();
        assertThat(ines().get("/t/deliverables/" + bag + "/clearance").body())
                .contains("Every change asked for is confirmed, set aside or withdrawn.");
        assertThat(ines().get("/t?whole=true").body()).contains("asked for after it was signed");
        assertThat(ines().get("/t/versions/" + version.id() + "/light-table").body())
                .contains("for the next version", "1 asked for after it was signed");
    }

    @Test
    void aVersionLaterItIsAMarkLikeAnyOther() throws Exception {
        Version version = agreed("A version later");
        ItemId bag = version.deliverable();
        mark(grete(), at(version), "A day too late.");
        Version second = sent(ines(), bag, "flour-wheat-1.pdf");
        assertThat(states.statesOf(bag).asked().later()).isZero();
        assertThat(states.statesOf(bag).asked().toMake()).isEqualTo(1);
        assertThat(ines().get("/t/versions/" + second.id() + "/light-table").body())
                .contains("A day too late.");
        assertThat(markups.marksOf(bag))
                .extracting(Mark::progress)
                .containsExactlyInAnyOrder(MarkupProgress.WITHDRAWN, MarkupProgress.OPEN);
    }

    @Test
    void whoeverAskedIsToldWhatWasAnsweredAndWhatIsPutRight() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Answered to", "ANY");
        Version version = sent(ines, bag);
        mark(grete(), "/c/panes/" + pane().id() + "/versions/" + version.id(), "Is this the right weight?");
        Mark mark = markups.marksOf(bag).get(0);
        answer("/t", ines, version, mark, "", "It is; we weighed it.");
        mailArrives("grete@", "Answered: Answered to, 1·1");
        answer("/c/panes/" + pane().id(), grete(), version, mark, "", "Thank you.");
        assertThat(mailsAbout("imre@", "Answered: Answered to"))
                .as("nobody else is told")
                .isZero();
        upload(ines, bag, "flour-wheat-1.pdf");
        answer("/t", ines, version, mark, "FIX", "Larger, too.");
        assertThat(mailsAbout("grete@", "Answered: Answered to"))
                .as("what is put right is told with its version")
                .isEqualTo(1);
        Version draft = theDraftOf(bag);
        ines.post("/t/versions/" + draft.id() + "/send", ines.token(), Map.of());
        mailArrives("grete@", "Sign off: Answered to, version 2");
        assertThat(java.util.Arrays.stream(world.getReceivedMessages())
                        .map(com.icegreen.greenmail.util.GreenMailUtil::getBody)
                        .filter(body -> body.contains("is put right in it")))
                .isNotEmpty();
    }

    private Version theDraftOf(ItemId bag) throws Exception {
        Version draft = deliverables.versions(bag).stream()
                .filter(Version::draft)
                .findFirst()
                .orElseThrow();
        return draft;
    }

    @Test
    void whatWasReleasedAndItsCertificateAreKeptFromTheClientsPage() throws Exception {
        ItemId rye = deliverables.ofProject(mill()).stream()
                .filter(one -> one.name().equals("Rye, 1 kg"))
                .findFirst()
                .orElseThrow()
                .id();
        Version released = deliverables.versions(rye).stream()
                .filter(one -> !one.draft())
                .reduce((earlier, later) -> later)
                .orElseThrow();
        String table = "/c/panes/" + pane().id() + "/versions/" + released.id();
        await().until(() -> imre().get(table).body().contains("Keep its certificate"));
        assertThat(imre().get(table).body())
                .contains("Keep the released file", table + "/file")
                .doesNotContain("Take your decision back");
        assertThat(imre().get(table + "/certificate").body()).startsWith("%PDF-");
        Version first = deliverables.versions(rye).get(0);
        assertThat(imre().get("/c/panes/" + pane().id() + "/versions/" + first.id() + "/certificate")
                        .statusCode())
                .as("never released")
                .isEqualTo(404);
    }

    private void answer(String door, Visitor who, Version version, Mark mark, String act, String said)
            throws Exception {
        Map<String, String> form = Map.of(
                "act",
                act,
                "said",
                said,
                "revision",
                String.valueOf(markups.find(mark.id()).orElseThrow().revision()),
                "on",
                version.id().toString());
        assertThat(who.post(door + "/marks/" + mark.id() + "/answers", who.token(), form)
                        .statusCode())
                .isEqualTo(302);
    }

    private static void mark(Visitor who, String table, String note) throws Exception {
        assertThat(who.post(
                                table + "/marks",
                                who.token(),
                                Map.of(
                                        "page",
                                        "1",
                                        "shape",
                                        "POINT",
                                        "x1",
                                        "0.3",
                                        "y1",
                                        "0.3",
                                        "x2",
                                        "0",
                                        "y2",
                                        "0",
                                        "intent",
                                        "CHANGE",
                                        "note",
                                        note,
                                        "audience",
                                        "client"))
                        .statusCode())
                .isLessThan(400);
    }
}
