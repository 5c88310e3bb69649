package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.store.record.Records;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * A version that was sent by mistake is recalled: gone for everybody outside at every door, told with its reason, and
 * another one follows.
 */
class RecallVersionTest extends AtTheMill {
    @Autowired
    private Records records;

    @Test
    void whatWasSentByMistakeIsGoneForEverybodyAndSaidWhy() throws Exception {
        Visitor ines = ines();
        ItemId work = deliverable(ines, "Recalled sacks", "ALL");
        Version version = sent(ines, work);
        Visitor imre = imre();
        String table = "/c/panes/" + pane().id() + "/versions/" + version.id();
        assertThat(imre.get(table).statusCode()).isEqualTo(200);
        imre.post(
                table + "/marks",
                imre.token(),
                Map.of(
                        "page",
                        "1",
                        "intent",
                        "CHANGE",
                        "note",
                        "Another green",
                        "x1",
                        "0.2",
                        "y1",
                        "0.2",
                        "shape",
                        "POINT"));
        assertThat(ines.post("/t/versions/" + version.id() + "/recall", ines.token(), Map.of("reason", " "))
                        .body())
                .contains("Say why it is recalled");
        assertThat(ines.post(
                                "/t/versions/" + version.id() + "/recall",
                                ines.token(),
                                Map.of("reason", "It was the price list"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(round(work).closed().orElseThrow().outcome()).isEqualTo(Outcome.RECALLED);
        String said = Texts.of(imre.get(table).body());
        assertThat(said)
                .contains("Recalled sacks, version 1, was sent by mistake and recalled on", "“It was the price list”");
        assertThat(imre.get(table + "/sheets/1/small").statusCode()).isEqualTo(404);
        assertThat(imre.get(table + "/file").statusCode()).isEqualTo(404);
        assertThat(imre.post(
                                table + "/decisions",
                                imre.token(),
                                Map.of(
                                        "decision",
                                        "SIGN_OFF",
                                        "sha256",
                                        version.sha256().hex(),
                                        "sentence",
                                        "",
                                        "typedName",
                                        "Imre",
                                        "sure",
                                        "true"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(Texts.of(imre.get("/c/panes/" + pane().id()).body()))
                .contains("What was sent was recalled: “It was the price list”")
                .doesNotContain("Sign off: Recalled sacks");
        mailArrives("imre@", "Recalled: Recalled sacks, version 1");
        assertThat(Texts.of(ines.get("/t/deliverables/" + work).body()))
                .contains("Closed: recalled", "It was the price list");
        assertThat(records.whole(mill().value())
                        .filter(line -> line.stored().entry().act().equals("version.recalled")))
                .anyMatch(line -> line.stored().payload().orElseThrow().contains("It was the price list"));
        assertThat(ines.post("/t/versions/" + version.id() + "/recall", ines.token(), Map.of("reason", "Once more"))
                        .statusCode())
                .as("a closed round")
                .isEqualTo(409);
        Version next = sent(ines, work, "flour-rye-1.pdf");
        assertThat(next.number()).isEqualTo(2);
        assertThat(Texts.of(imre.get("/c/panes/" + pane().id()).body()))
                .contains("Sign off: Recalled sacks, version 2")
                .doesNotContain("It was the price list");
    }
}
