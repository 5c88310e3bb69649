package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.SeatId;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.record.Records;
import app.clearpane.web.exposure.MakeLink;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Who did something is told by kind and id; a name proves nothing. */
class WhoDidItTest extends AtTheMill {
  @Autowired private MakeLink makeLink;
  @Autowired private Records records;
  @Autowired private People people;

  private List<Records.Line> about(ItemId item) {
    return records.whole(mill().value()).filter(line -> line.about().equals(item.value())).toList();
  }

  @Test
  void aGuestWhoGivesASignatorysNameStaysAGuest() throws Exception {
    VersionRow version = sent(ines(), deliverable(ines(), "Guests at the mill", "ALL"));
    MakeLink.Made made = makeLink.at(pane().id(), new MakeLink.Form("Mill paint shop", true, "", ""), Acting.team("Ines"));
    Visitor guest = new Visitor(address());
    String path = made.address().substring(address().length());
    guest.post(path, Visitor.token(guest.get(path).body()), Map.of("name", "Imre Vadas", "email", "somebody@else.example", "passcode", ""));
    assertThat(guest.get("/c/panes/" + pane().id()).statusCode()).isEqualTo(200);
    guest.post("/c/panes/" + pane().id() + "/versions/" + version.id() + "/marks", guest.token(), Map.of("shape", "POINT", "page", "1", "x1", "0.5", "y1", "0.5", "x2", "0.5", "y2", "0.5", "intent", "CHANGE", "audience", "client", "note", "Mine, he says, @Grete and @Ines."));
    assertThat(mailsAbout("grete@hobandbarley.example", "asks for you: Guests at the mill") + mailsAbout("ines@marram-finch.example", "asks for you: Guests at the mill")).as("a guest calls nobody").isZero();
    String shown = "Imre Vadas (by the link “Mill paint shop”, name as given)";
    SeatId link = made.link();
    assertThat(about(version.deliverable())).filteredOn(line -> line.stored().entry().act().equals("mark.placed")).singleElement().satisfies(line -> {
      assertThat(line.stored().entry().actor()).isEqualTo("link:" + link);
      assertThat(line.stored().payload().orElseThrow()).contains(shown);
    });
    assertThat(Texts.of(imre().get("/c/panes/" + pane().id() + "/versions/" + version.id()).body())).contains(shown);
    assertThat(Texts.of(ines().get("/t/projects/" + mill() + "/record").body())).contains(shown);
  }

  @Test
  void decisionsNameTheirMakersByKindAndId() throws Exception {
    VersionRow version = sent(ines(), deliverable(ines(), "Two of one name", "ALL"));
    deciding(grete(), version, "SIGN_OFF").call();
    String grete = "contact:" + people.contactAt(new EmailAddress("grete@hobandbarley.example")).orElseThrow().id();
    assertThat(about(version.deliverable())).filteredOn(line -> line.stored().entry().act().equals("signoff.made")).singleElement().satisfies(line -> {
      assertThat(line.stored().entry().actor()).isEqualTo(grete);
      assertThat(line.stored().payload().orElseThrow()).contains("\"actorName\":\"Grete Lindholm\"", "\"signatory\":\"" + grete.substring(8) + "\"");
    });
  }
}
