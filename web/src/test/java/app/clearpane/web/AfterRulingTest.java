package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.record.RecordLines;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * What a signature does where somebody sent back, said before it is made; and what a ruling does to whoever it was
 * against.
 */
class AfterRulingTest extends AtTheMill {
    @Autowired
    Markups markups;

    @Autowired
    RecordLines lines;

    private String table(Version version) {
        return "/c/panes/" + pane().id() + "/versions/" + version.id();
    }

    private HttpResponse<String> decide(Visitor who, Version version, String decision, Map<String, String> more)
            throws Exception {
        Map<String, String> form = new HashMap<>(
                Map.of("decision", decision, "sha256", version.sha256().hex(), "sentence", "", "typedName", ""));
        form.putAll(more);
        return who.post(table(version) + "/decisions", who.token(), form);
    }

    private MarkupId mark(Visitor who, Version version, String intent, String note) throws Exception {
        assertThat(who.post(
                                table(version) + "/marks",
                                who.token(),
                                Map.of(
                                        "page",
                                        "1",
                                        "shape",
                                        "RECTANGLE",
                                        "x1",
                                        "0.2",
                                        "y1",
                                        "0.2",
                                        "x2",
                                        "0.4",
                                        "y2",
                                        "0.4",
                                        "intent",
                                        intent,
                                        "note",
                                        note,
                                        "audience",
                                        "client"))
                        .statusCode())
                .isLessThan(400);
        return markups.marksOf(version.deliverable()).stream()
                .filter(one -> one.note().equals(note))
                .map(Mark::id)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatASignatureWillDoIsSaidBeforeItAndToldAfterIt() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Goes back anyway", "ALL");
        Version version = sent(ines, bag);
        assertThat(imre().get(table(version)).body())
                .contains("has still to decide.")
                .doesNotContain("goes back all the same");
        decide(grete(), version, "SEND_BACK", Map.of("sentence", "The weight is wrong."));
        assertThat(imre().get(table(version)).body())
                .contains(
                        "sent it back, so it goes back all the same: the round closes with your signature, as "
                                + "sent back.",
                        "Sign it, though it goes back");
        assertThat(imre().get("/c/panes/" + pane().id() + "/to-sign").body())
                .contains("sent it back, so it goes back all the same");
        decide(imre(), version, "SIGN_OFF", Map.of("typedName", "Imre"));
        assertThat(round(bag).soFar()).isEqualTo(Outcome.BACK);
        mailArrives("ines@", "Comes back: Goes back anyway");
        assertThat(mailsAbout("ines@", "Signed off: Goes back anyway")).isZero();
    }

    @Test
    void whoeverARulingIsAgainstIsAskedAgainAndBothAreTold() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Ruled against", "ALL");
        Version version = sent(ines, bag);
        MarkupId change = mark(grete(), version, "CHANGE", "Move the mill to the left.");
        MarkupId keep = mark(imre(), version, "KEEP", "The mill stands well.");
        decide(grete(), version, "SEND_BACK", Map.of());
        assertThat(round(bag).askedNow()).hasSize(1);
        Visitor imre = imre();
        rulesAgainstGrete(version, change, keep, imre);
        assertThat(round(bag).askedNow())
                .as("Grete is asked again, Imre still is")
                .hasSize(2);
        mailArrives("grete@", "Your turn to sign: Ruled against");
        mailArrives("ines@", "Settled: Ruled against");
        assertThat(mailsAbout("imre@", "Settled: Ruled against"))
                .as("who ruled knows")
                .isZero();
        assertThat(lines.linesOf(mill(), bag.value())).contains("signoff.asked-again");
        assertThat(grete().get("/c/panes/" + pane().id() + "/to-sign").body()).contains("Ruled against");
        decide(grete(), version, "SIGN_OFF", Map.of("typedName", "Grete"));
        decide(imre(), version, "SIGN_OFF", Map.of("typedName", "Imre"));
        assertThat(round(bag).soFar())
                .as("what was settled does not send it back")
                .isEqualTo(Outcome.SIGNED);
    }

    private void rulesAgainstGrete(Version version, MarkupId change, MarkupId keep, Visitor imre) throws Exception {
        assertThat(imre.post(
                                table(version) + "/rulings",
                                imre.token(),
                                Map.of(
                                        "first",
                                        change.toString(),
                                        "second",
                                        keep.toString(),
                                        "holds",
                                        keep.toString(),
                                        "reason",
                                        "It has always stood there."))
                        .statusCode())
                .isEqualTo(302);
    }

    @Test
    void notesBesideASignatureAreNotesAndAnotherNameIsAskedAbout() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Signed with words", "ANY");
        Version version = sent(ines, bag);
        HttpResponse<String> asked = decide(
                imre(),
                version,
                "SIGN_OFF",
                Map.of("typedName", "Grete Somebody", "sentence", "On thicker paper, please."));
        assertThat(asked.statusCode()).isEqualTo(409);
        assertThat(asked.body())
                .contains(
                        "You typed “Grete Somebody”, but this is the page of Imre",
                        "On thicker paper, please.",
                        "name=\"sure\"");
        assertThat(round(bag).said()).as("nothing was signed").isEmpty();
        decide(imre(), version, "SIGN_OFF", Map.of("typedName", "imre", "sentence", "On thicker paper, please."));
        assertThat(round(bag).said())
                .extracting(one -> one.decision())
                .isEqualTo(List.of(Decision.SIGN_OFF_WITH_NOTES));
        assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED_WITH_NOTES);
    }
}
