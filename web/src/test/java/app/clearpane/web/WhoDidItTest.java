package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.people.SeatId;
import app.clearpane.store.agency.People;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.exposure.MakeLink;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Who did something is told by kind and id; a name proves nothing. */
class WhoDidItTest extends AtTheMill {
    @Autowired
    private MakeLink makeLink;

    @Autowired
    private Markups markups;

    @Autowired
    private Records records;

    @Autowired
    private People people;

    private List<Records.Line> about(ItemId item) {
        return records.whole(mill().value())
                .filter(line -> line.about().equals(item.value()))
                .toList();
    }

    @Test
    void aGuestWhoGivesASignatorysNameStaysAGuest() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Guests at the mill", "ALL"));
        MakeLink.Made made =
                makeLink.make(pane().id(), new MakeLink.Form("Mill paint shop", true, "", ""), Acting.team("Ines"));
        Visitor guest = new Visitor(address());
        String path = made.address().substring(address().length());
        guest.post(
                path,
                Visitor.token(guest.get(path).body()),
                Map.of("name", "Imre Vadas", "email", "somebody@else.example", "passcode", ""));
        assertThat(guest.get("/c/panes/" + pane().id()).statusCode()).isEqualTo(200);
        guest.post(
                "/c/panes/" + pane().id() + "/versions/" + version.id() + "/marks",
                guest.token(),
                Map.of(
                        "shape",
                        "POINT",
                        "page",
                        "1",
                        "x1",
                        "0.5",
                        "y1",
                        "0.5",
                        "x2",
                        "0.5",
                        "y2",
                        "0.5",
                        "intent",
                        "CHANGE",
                        "audience",
                        "client",
                        "note",
                        "Mine, he says, @Grete and @Ines."));
        assertThat(mailsAbout("grete@hobandbarley.example", "asks for you: Guests at the mill")
                        + mailsAbout("ines@marram-finch.example", "asks for you: Guests at the mill"))
                .as("a guest calls nobody")
                .isZero();
        String shown = "Imre Vadas (by the link “Mill paint shop”, name as given)";
        SeatId link = made.link();
        assertThat(about(version.deliverable()))
                .filteredOn(line -> line.stored().entry().act().equals("mark.placed"))
                .singleElement()
                .satisfies(line -> {
                    assertThat(line.stored().entry().actor()).isEqualTo("link:" + link);
                    assertThat(line.stored().payload().orElseThrow()).contains(shown);
                });
        assertThat(Texts.of(imre().get("/c/panes/" + pane().id() + "/versions/" + version.id())
                        .body()))
                .contains(shown);
        assertThat(Texts.of(ines().get("/t/projects/" + mill() + "/record").body()))
                .contains(shown);
    }

    @Test
    void aGuestIsToldWhatBecameOfTheirNoteAsLongAsTheLinkOpens() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Told to guests", "ALL"));
        MakeLink.Made made =
                makeLink.make(pane().id(), new MakeLink.Form("Told shop", true, "", ""), Acting.team("Ines"));
        Visitor guest = new Visitor(address());
        String path = made.address().substring(address().length());
        guest.post(
                path,
                Visitor.token(guest.get(path).body()),
                Map.of("name", "Ana Moss", "email", "ana@moss-paints.example", "passcode", ""));
        guest.post(
                "/c/panes/" + pane().id() + "/versions/" + version.id() + "/marks",
                guest.token(),
                Map.of(
                        "shape",
                        "POINT",
                        "page",
                        "1",
                        "x1",
                        "0.5",
                        "y1",
                        "0.5",
                        "x2",
                        "0.5",
                        "y2",
                        "0.5",
                        "intent",
                        "QUESTION",
                        "audience",
                        "client",
                        "note",
                        "Which paper will it be?"));
        Mark mark = markups.marksOf(version.deliverable()).stream()
                .filter(one -> one.note().equals("Which paper will it be?"))
                .findFirst()
                .orElseThrow();
        answer(mark, "For us only: the cheap one.", "team");
        answer(mark, "Recycled kraft.", "client");
        await().until(() -> mailsAbout("ana@moss-paints.example", "Answered: Told to guests") == 1);
        String mail = lastMailTo("ana@moss-paints.example");
        assertThat(mail)
                .contains(
                        "Recycled kraft.",
                        made.address().substring(made.address().lastIndexOf('/') + 1))
                .doesNotContain("the cheap one");
        makeLink.revoke(made.link(), Acting.team("Ines"));
        answer(mark, "And printed in two colours.", "client");
        assertThat(mailsAbout("ana@moss-paints.example", "notes are for you"))
                .as("a link that opens nothing is not sent")
                .isZero();
    }

    private void answer(Mark mark, String said, String audience) throws Exception {
        Visitor ines = ines();
        ines.post(
                "/t/marks/" + mark.id() + "/answers",
                ines.token(),
                Map.of(
                        "said",
                        said,
                        "audience",
                        audience,
                        "revision",
                        String.valueOf(markups.find(mark.id()).orElseThrow().revision()),
                        "on",
                        mark.version().toString()));
    }

    private String lastMailTo(String address) throws Exception {
        String found = "";
        for (MimeMessage mail : world.getReceivedMessages()) {
            if (mail.getAllRecipients()[0].toString().contains(address)) {
                ByteArrayOutputStream bytes = new ByteArrayOutputStream();
                mail.writeTo(bytes);
                found = bytes.toString(StandardCharsets.UTF_8).replace("=\r\n", "");
            }
        }
        return found;
    }

    @Test
    void decisionsNameTheirMakersByKindAndId() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Two of one name", "ALL"));
        deciding(grete(), version, "SIGN_OFF").call();
        String grete = "contact:"
                + people.contactAt(new EmailAddress("grete@hobandbarley.example"))
                        .orElseThrow()
                        .id();
        assertThat(about(version.deliverable()))
                .filteredOn(line -> line.stored().entry().act().equals("signoff.made"))
                .singleElement()
                .satisfies(line -> {
                    assertThat(line.stored().entry().actor()).isEqualTo(grete);
                    assertThat(line.stored().payload().orElseThrow())
                            .contains(
                                    "\"actorName\":\"Grete Lindholm\"", "\"signatory\":\"" + grete.substring(8) + "\"");
                });
    }
}
