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

    /** Somebody who came by a link that lets them mark up, with the name and the address that they gave. */
    private Visitor guest(MakeLink.Made link, String name, String email) throws Exception {
        Visitor guest = new Visitor(address());
        String path = link.address().substring(address().length());
        Map<String, String> given = Map.of("name", name, "email", email, "passcode", "");
        guest.post(path, Visitor.token(guest.get(path).body()), given);
        assertThat(guest.get("/c/panes/" + pane().id()).statusCode()).isEqualTo(200);
        return guest;
    }

    private MakeLink.Made link(String name) {
        return makeLink.make(pane().id(), new MakeLink.Form(name, true, "", ""), Acting.team("Ines"));
    }

    @Test
    void aGuestWhoGivesASignatorysNameStaysAGuest() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Guests at the mill", "ALL"));
        MakeLink.Made made = link("Mill paint shop");
        marks(guest(made, "Imre Vadas", "somebody@else.example"), version, "CHANGE", "Mine, he says.", 0.5);
        String shown = "Imre Vadas (by the link “Mill paint shop”, name as given)";
        SeatId link = made.link();
        assertThat(about(version.deliverable()))
                .filteredOn(line -> line.stored().entry().act().equals("mark.placed"))
                .singleElement()
                .satisfies(line -> {
                    assertThat(line.stored().entry().actor()).isEqualTo("link:" + link);
                    assertThat(line.stored().payload().orElseThrow()).contains(shown);
                });
        assertThat(Texts.of(imre().get(at(version)).body())).contains(shown);
        assertThat(Texts.of(ines().get("/t/projects/" + mill() + "/record").body()))
                .contains(shown);
    }

    @Test
    void aGuestCallsNobodyByName() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Called by guests", "ALL"));
        Visitor guest = guest(link("Calling shop"), "Imre Vadas", "somebody@else.example");
        marks(guest, version, "CHANGE", "Look, @Grete and @Ines.", 0.5);
        assertThat(mailsAbout("grete@hobandbarley.example", "asks for you: Called by guests")
                        + mailsAbout("ines@marram-finch.example", "asks for you: Called by guests"))
                .isZero();
    }

    @Test
    void aGuestIsToldWhatBecameOfTheirNoteAsLongAsTheLinkOpens() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Told to guests", "ALL"));
        MakeLink.Made made = link("Told shop");
        String ana = "ana@moss-paints.example";
        marks(guest(made, "Ana Moss", ana), version, "QUESTION", "Which paper will it be?", 0.5);
        Mark mark = markups.marksOf(version.deliverable()).get(0);
        answer(mark, "For us only: the cheap one.", "team");
        answer(mark, "Recycled kraft.", "client");
        await().until(() -> mailsAbout(ana, "Answered: Told to guests") == 1);
        String key = made.address().substring(made.address().lastIndexOf('/') + 1);
        assertThat(lastMailTo(ana)).contains("Recycled kraft.", key).doesNotContain("the cheap one");
        makeLink.revoke(made.link(), Acting.team("Ines"));
        answer(mark, "And printed in two colours.", "client");
        assertThat(mailsAbout(ana, "notes are for you"))
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
