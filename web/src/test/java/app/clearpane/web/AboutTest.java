package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.store.project.ProjectWords;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What a project says of itself: each part shown or not, and read where the status is open. */
class AboutTest extends AtTheMill {
    @Autowired
    private ProjectWords projectWords;

    private String page() throws Exception {
        return Texts.of(imre().get("/c/panes/" + pane().id()).body());
    }

    @Test
    void isReadWhereItIsShownAndTheStatusIsOpen() throws Exception {
        Visitor ines = ines();
        String at = "/t/projects/" + mill() + "/about/";
        writesThePurpose(ines, at);
        ines.post(at + "EXCLUDED", ines.token(), Map.of("words", "Nobody prints posters.", "revision", "0"));
        assertThat(page())
                .contains("What it is for Bags that <sell> flour. And keep it dry.")
                .doesNotContain("Nobody prints posters", "What is not");
        assertThat(Texts.of(ines.get("/t/projects/" + mill() + "/about").body()))
                .contains("What is shown is read at The mill");
        otherWordsAreRefused(ines, at);
        panes.setAperture(pane().id(), ContentKind.STATUS, Aperture.CLOSED);
        assertThat(page()).as("hidden at once").doesNotContain("keep it dry");
        assertThat(Texts.of(ines.get("/t/projects/" + mill() + "/about").body()))
                .contains("No open pane lets the status through");
        panes.setAperture(pane().id(), ContentKind.STATUS, Aperture.OPEN);
        assertThat(page()).contains("keep it dry");
    }

    private void writesThePurpose(Visitor ines, String at) throws Exception {
        assertThat(ines.post(
                                at + "PURPOSE",
                                ines.token(),
                                Map.of(
                                        "words",
                                        "Bags that <sell> flour.\nAnd keep it dry.",
                                        "shown",
                                        "true",
                                        "revision",
                                        "0"))
                        .statusCode())
                .isEqualTo(302);
    }

    private void otherWordsAreRefused(Visitor ines, String at) throws Exception {
        assertThat(ines.post(
                                at + "PURPOSE",
                                ines.token(),
                                Map.of("words", "Other bags.", "shown", "true", "revision", "0"))
                        .statusCode())
                .as("written meanwhile")
                .isEqualTo(409);
        assertThat(ines.post(
                                at + "PURPOSE",
                                ines.token(),
                                Map.of("words", "x".repeat(4_001), "shown", "true", "revision", "1"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(ines.post(at + "RUBBISH", ines.token(), Map.of("words", "x", "revision", "0"))
                        .statusCode())
                .isIn(400, 404, 422);
    }

    @Test
    void whatIsSaidOfHowItStandsComesLatestFirst() throws Exception {
        Visitor ines = ines();
        String say = "/t/projects/" + mill() + "/said";
        assertThat(ines.post(say, ines.token(), Map.of("said", " ", "shown", "true"))
                        .body())
                .contains("Write something first.");
        ines.post(say, ines.token(), Map.of("said", "The rye bag is at the printers.", "shown", "true"));
        ines.post(say, ines.token(), Map.of("said", "The spelt bag is, too.", "shown", "true"));
        ines.post(say, ines.token(), Map.of("said", "They still owe us.", "shown", "false"));
        assertThat(page())
                .containsSubsequence(
                        "The spelt bag is, too.", "Ines, ", "before that, 1", "The rye bag is at the printers.")
                .doesNotContain("They still owe us");
        ProjectWords.Said latest = saidOfTheSpelt();
        assertThat(ines.post(
                                "/t/said/" + latest.id() + "/shown",
                                ines.token(),
                                Map.of("shown", "false", "before", "false"))
                        .statusCode())
                .as("changed meanwhile")
                .isEqualTo(409);
        ines.post("/t/said/" + latest.id() + "/shown", ines.token(), Map.of("shown", "false", "before", "true"));
        assertThat(page()).contains("The rye bag is at the printers.").doesNotContain("The spelt bag");
        assertThat(ines.get("/t/projects/" + mill() + "/record?q=spelt").body()).contains("said of the project:");
    }

    private ProjectWords.Said saidOfTheSpelt() throws Exception {
        ProjectWords.Said latest = projectWords.said(mill()).stream()
                .filter(one -> one.said().startsWith("The spelt"))
                .findFirst()
                .orElseThrow();
        return latest;
    }
}
