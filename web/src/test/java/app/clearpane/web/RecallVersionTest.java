package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.store.record.Records;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * A version that was sent by mistake is recalled: gone for everybody outside at every door, told with its reason, and
 * another one follows.
 */
class RecallVersionTest extends AtTheMill {
    @Autowired
    private Records records;

    private static final String WHY = "It was the price list";

    private HttpResponse<String> recall(Version version, String why) throws Exception {
        return ines().sends("/t/versions/" + version.id() + "/recall", "reason=" + why);
    }

    /** A version that Imre noted something on before it was recalled. */
    private Version recalled(String name) throws Exception {
        Version version = sent(ines(), deliverable(ines(), name, "ALL"));
        assertThat(imre().get(at(version)).statusCode()).isEqualTo(200);
        marks(imre(), version, "CHANGE", "Another green", 0.2);
        assertThat(recall(version, WHY).statusCode()).isEqualTo(302);
        return version;
    }

    @Test
    void whatWasSentByMistakeIsGoneAtEveryDoorOutside() throws Exception {
        Version version = recalled("Recalled sacks");
        assertThat(Texts.of(imre().get(at(version)).body()))
                .contains("Recalled sacks, version 1, was sent by mistake and recalled on", "“" + WHY + "”");
        assertThat(imre().get(at(version) + "/sheets/1/small").statusCode()).isEqualTo(404);
        assertThat(imre().get(at(version) + "/file").statusCode()).isEqualTo(404);
        String signs = "decision=SIGN_OFF&sentence=&typedName=Imre&sure=true&sha256=";
        assertThat(imre().sends(
                                at(version) + "/decisions",
                                signs + version.sha256().hex())
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void whoeverWasAskedIsToldWhyAndTheHouseKeepsIt() throws Exception {
        Version version = recalled("Recalled bags");
        mailArrives("imre@", "Recalled: Recalled bags, version 1");
        assertThat(Texts.of(imre().get("/c/panes/" + pane().id()).body()))
                .contains("What was sent was recalled: “" + WHY + "”")
                .doesNotContain("Sign off: Recalled bags");
        ItemId work = version.deliverable();
        assertThat(round(work).closed().orElseThrow().outcome()).isEqualTo(Outcome.RECALLED);
        assertThat(Texts.of(ines().get("/t/deliverables/" + work).body())).contains("Closed: recalled", WHY);
        assertThat(records.whole(mill().value())
                        .filter(line -> line.stored().entry().act().equals("version.recalled")))
                .anyMatch(line -> line.stored().payload().orElseThrow().contains(WHY));
    }

    @Test
    void itIsSaidWhyAndNothingIsRecalledTwice() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Recalled once", "ALL"));
        assertThat(recall(version, " ").body()).contains("Say why it is recalled");
        recall(version, WHY);
        assertThat(recall(version, "Once more").statusCode())
                .as("a closed round")
                .isEqualTo(409);
    }

    @Test
    void whatWasAskedForOnWhatNobodySeesAnyMoreHoldsUpNoSignature() throws Exception {
        Version version = recalled("Recalled crates");
        Version next = sent(ines(), version.deliverable(), "flour-rye-1.pdf");
        assertThat(imre().get(at(next)).body()).doesNotContain("change is asked for");
        String signs = "decision=SIGN_OFF&sentence=&typedName=Imre&sure=true&sha256=";
        assertThat(imre().sends(at(next) + "/decisions", signs + next.sha256().hex())
                        .statusCode())
                .isEqualTo(302);
        assertThat(round(version.deliverable()).said()).hasSize(1);
    }

    @Test
    void anotherFollowsUnderTheNextNumber() throws Exception {
        Version version = recalled("Recalled boxes");
        Version next = sent(ines(), version.deliverable(), "flour-rye-1.pdf");
        assertThat(next.number()).isEqualTo(2);
        assertThat(Texts.of(imre().get("/c/panes/" + pane().id()).body()))
                .contains("Sign off: Recalled boxes, version 2")
                .doesNotContain("Recalled boxes, version 1");
    }
}
