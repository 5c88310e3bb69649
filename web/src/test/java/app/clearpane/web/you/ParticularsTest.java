package app.clearpane.web.you;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Particulars;
import app.clearpane.store.agency.ClientParticulars;
import app.clearpane.web.AtTheMill;
import app.clearpane.web.Visitor;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What the mill says of itself: Imre speaks for it, Grete reads. */
class ParticularsTest extends AtTheMill {
    private static final String MARK = "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"9\" height=\"9\">"
            + "<circle cx=\"4\" cy=\"4\" r=\"4\"/></svg>";

    @Autowired
    private ClientParticulars particulars;

    private ClientId client() {
        return projects.find(mill()).orElseThrow().client();
    }

    private HttpResponse<String> says(Visitor who, String legalName, int revision) throws Exception {
        return who.post(
                "/c/particulars",
                who.token(),
                Map.of(
                        "legalName",
                        legalName,
                        "address",
                        "Weir Lane 2\r\nHob",
                        "hours",
                        "Mornings",
                        "taxNumber",
                        "GB 123",
                        "revision",
                        "" + revision));
    }

    private int revision() {
        return particulars.find(client()).revision();
    }

    @AfterEach
    void saysNothingAgain() throws Exception {
        Visitor imre = imre();
        imre.post("/c/particulars", imre.token(), Map.of("revision", "" + revision()));
    }

    @Test
    void whoeverSpeaksForTheOthersKeepsThemAndTheOthersRead() throws Exception {
        assertThat(says(imre(), "Hob and Barley, millers", revision()).statusCode())
                .isEqualTo(302);
        String read = Jsoup.parse(grete().get("/c/particulars").body()).text();
        assertThat(read).contains("Hob and Barley, millers", "Weir Lane 2", "Mornings", "GB 123", "Kept by");
        assertThat(grete().get("/c/particulars").body()).doesNotContain("Keep this");
        assertThat(says(grete(), "Mine", revision()).statusCode()).isEqualTo(404);
        assertThat(Jsoup.parse(ines().get("/t/clients/" + client() + "/particulars")
                                .body())
                        .text())
                .contains("Hob and Barley, millers");
        assertThat(particulars.find(client()).addressInALine()).isEqualTo("Weir Lane 2, Hob");
        assertThat(Visitor.by(address(), linkOf("ottoline@penwether.example"))
                        .get("/c/particulars")
                        .body())
                .as("of another client")
                .contains("Penwether")
                .doesNotContain("Hob and Barley");
    }

    @Test
    void ofTwoFromOnePageTheSecondChangesNothing() throws Exception {
        int read = revision();
        says(imre(), "First", read);
        assertThat(says(imre(), "Second", read).statusCode()).isEqualTo(409);
        assertThat(particulars.find(client()).legalName()).isEqualTo("First");
    }

    @Test
    void whatIsTooLongIsSaidAndChangesNothing() throws Exception {
        Particulars before = particulars.find(client());
        HttpResponse<String> answer = says(imre(), "m".repeat(121), revision());
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(particulars.find(client())).isEqualTo(before);
    }

    private HttpResponse<String> brings(Visitor who, String name, String text) throws Exception {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        return who.upload("/c/particulars/logos", who.token(), name, () -> new ByteArrayInputStream(bytes), Map.of());
    }

    @Test
    void aLogoIsKeptInItsFormsAndGivenToWhomeverItConcerns() throws Exception {
        assertThat(brings(imre(), "mill mark.svg", MARK).statusCode()).isEqualTo(302);
        ClientParticulars.Logo logo = particulars.logos(client()).get(0);
        HttpResponse<String> given = grete().get("/c/particulars/logos/" + logo.id());
        assertThat(given.body()).isEqualTo(MARK);
        assertThat(given.headers().firstValue("Content-Disposition").orElse("")).startsWith("attachment");
        assertThat(ines().get("/t/clients/" + client() + "/logos/" + logo.id()).statusCode())
                .isEqualTo(200);
        assertThat(Visitor.by(address(), linkOf("ottoline@penwether.example"))
                        .get("/c/particulars/logos/" + logo.id())
                        .statusCode())
                .isEqualTo(404);
        Visitor imre = imre();
        assertThat(grete().post("/c/particulars/logos/" + logo.id() + "/drop", grete().token(), Map.of())
                        .statusCode())
                .isIn(403, 404);
        imre.post("/c/particulars/logos/" + logo.id() + "/drop", imre.token(), Map.of());
        assertThat(particulars.logos(client())).isEmpty();
    }

    @Test
    void whatIsNoLogoIsRefused() throws Exception {
        assertThat(Jsoup.parse(brings(imre(), "mark.svg", "only words, many words")
                                .body())
                        .text())
                .contains("A logo is a picture, a drawing or a PDF");
        assertThat(brings(imre(), "nothing.svg", "").statusCode()).isEqualTo(422);
        assertThat(particulars.logos(client())).isEmpty();
    }

    @Test
    void theyAreAskedForOnceByMail() throws Exception {
        Visitor ines = ines();
        ines.post("/t/clients/" + client() + "/particulars/ask", ines.token(), Map.of());
        mailArrives("imre@hobandbarley.example", "Your particulars");
    }
}
