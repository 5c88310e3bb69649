package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.formats.agency.CardFile;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.agency.People;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** All clients with their people: found, renamed, leaving, and brought and taken as files. */
class ClientsTest extends AtTheMill {
    @Autowired
    private Directory directory;

    @Autowired
    private People people;

    @Autowired
    private app.clearpane.usecases.exposure.GiveSeat giveSeat;

    private Directory.Entry client(String name) {
        return directory.all().stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static HttpResponse<String> bring(Visitor who, String text, String elsewhere) throws Exception {
        return who.upload(
                "/t/clients/bring",
                who.token(),
                "people.csv",
                () -> new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)),
                Map.of("elsewhere", elsewhere));
    }

    private static String rows(HttpResponse<String> look) {
        return Jsoup.parse(look.body()).select("input[name=rows]").attr("value");
    }

    @Test
    void everybodyIsFoundWithTheirSeats() throws Exception {
        String all = Texts.of(ines().get("/t/clients").body());
        assertThat(all)
                .contains("Penwether Observatory Trust", "Ottoline", "The board", "Visitor centre", "lead voice");
        assertThat(Texts.of(ines().get("/t/clients?q=mirela").body()))
                .contains("Mirela")
                .doesNotContain("Imre Vadas");
        assertThat(Texts.of(ines().get("/t/clients?q=nobody-of-that-name").body()))
                .contains("Nobody of that name.");
        assertThat(imre().get("/t/clients").statusCode()).isEqualTo(404);
    }

    @Test
    void aClientIsRenamedAndRelatedOnce() throws Exception {
        Visitor ines = ines();
        take(ines, "Client,Name,Mail\nMoor & Sons,Ada Moor,ada@moor.example\n");
        String at = "/t/clients/" + client("Moor & Sons").id();
        assertThat(ines.post(
                                at + "/name",
                                ines.token(),
                                Map.of("name", "Penwether Observatory Trust", "before", "Moor & Sons"))
                        .body())
                .contains("already");
        assertThat(ines.post(at + "/name", ines.token(), Map.of("name", "Moor & Daughters", "before", "Moor & Sons"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(ines.post(at + "/name", ines.token(), Map.of("name", "Moor", "before", "Moor & Sons"))
                        .statusCode())
                .as("renamed meanwhile")
                .isEqualTo(409);
        ines.post(at + "/relation", ines.token(), Map.of("relation", "PROSPECT", "before", "ACTIVE"));
        assertThat(Texts.of(ines.get("/t/clients?relation=PROSPECT").body()))
                .contains("Moor & Daughters")
                .doesNotContain("Ottoline");
    }

    private static void take(Visitor ines, String text) throws Exception {
        ines.post("/t/clients/take", ines.token(), Map.of("rows", rows(bring(ines, text, ""))));
    }

    @Test
    void aFileIsLookedAtBeforeItIsTakenIn() throws Exception {
        Visitor ines = ines();
        Contact grete = people.contactAt(new EmailAddress("grete@hobandbarley.example"))
                .orElseGet(() -> people.contacts().stream()
                        .filter(one -> one.name().startsWith("Grete"))
                        .findFirst()
                        .orElseThrow());
        String file =
                "Name;Mail;Title;Company\nUna Fell;una@fell.example;printer;Fell & Co\nNo Address;;;Fell & Co\nUna "
                        + "Again;UNA@fell.example;;Fell & Co\nWithout Client;without@nowhere.example;;\n"
                        + grete.name() + ";" + grete.email()
                        + ";keeper of the keys;\nInes;ines@marram-finch.example;;Fell & Co\n";
        HttpResponse<String> look = bring(ines, file, "");
        String said = Jsoup.parse(look.body()).text();
        assertThat(said)
                .contains(
                        "1 person would be added",
                        "1 person changed",
                        "4 left out",
                        "no usable mail address",
                        "the address stands in the file twice",
                        "no client is named for them",
                        "it is one of us");
        assertThat(people.contactAt(new EmailAddress("una@fell.example")))
                .as("nothing was done yet")
                .isEmpty();
        ines.post("/t/clients/take", ines.token(), Map.of("rows", rows(look)));
        assertThat(people.contactAt(new EmailAddress("una@fell.example"))
                        .orElseThrow()
                        .occupation())
                .isEqualTo("printer");
        assertThat(people.contact(grete.id()).orElseThrow())
                .isEqualTo(new Contact(grete.id(), grete.client(), grete.name(), grete.email(), "keeper of the keys"));
        assertThat(Jsoup.parse(bring(ines, "Name;Mail\nWithout Client;without@nowhere.example\n", "Fell & Co")
                                .body())
                        .text())
                .contains("1 person would be added");
        assertThat(bring(ines, "Milk, eggs, flour", "").body())
                .contains("neither vCards nor a table", "Nothing was taken in.");
        assertThat(CardFile.read(ines.get("/t/clients/people.vcf").body()))
                .anySatisfy(card -> assertThat(card.email()).isEqualTo("una@fell.example"));
        assertThat(ines.get("/t/clients/people.csv").body()).contains("una@fell.example");
        people.changeContact(grete);
    }

    @Test
    void whoeverLeftHasNoSeatAndIsNotOffered() throws Exception {
        Visitor ines = ines();
        take(
                ines,
                "Client,Name,Mail\n"
                        + people.client(people.contacts().stream()
                                        .filter(one -> one.name().startsWith("Imre"))
                                        .findFirst()
                                        .orElseThrow()
                                        .client())
                                .orElseThrow()
                                .name()
                        + ",Wim Leaver,wim@leaver.example\n");
        Contact wim = people.contactAt(new EmailAddress("wim@leaver.example")).orElseThrow();
        ines.post(
                "/t/panes/" + pane().id() + "/seats",
                ines.token(),
                Map.of("contact", wim.id().toString(), "role", "READER", "project", mill().toString(), "sure", "true"));
        String leave = "/t/contacts/" + wim.id() + "/leave";
        assertThat(ines.post(leave, ines.token(), Map.of()).body())
                .contains("Wim Leaver loses the seat at", "The mill", "stays under their name");
        assertThat(directory.findClientOf(wim.id()).orElseThrow().people())
                .filteredOn(one -> one.id().equals(wim.id()))
                .singleElement()
                .satisfies(one -> assertThat(one.seats()).hasSize(1));
        assertThat(ines.post(leave, ines.token(), Map.of("sure", "true")).statusCode())
                .isEqualTo(302);
        assertThat(directory.findClientOf(wim.id()).orElseThrow().people())
                .filteredOn(one -> one.id().equals(wim.id()))
                .singleElement()
                .satisfies(one -> {
                    assertThat(one.seats()).isEmpty();
                    assertThat(one.leftAt()).isNotNull();
                });
        assertThat(people.contacts()).noneMatch(one -> one.id().equals(wim.id()));
        assertThat(ines.get("/t/clients/people.csv").body()).doesNotContain("wim@leaver.example");
        assertThat(Texts.of(ines.get("/t/clients?q=leaver").body())).contains("left ", "Is back");
        ines.post("/t/contacts/" + wim.id() + "/back", ines.token(), Map.of());
        assertThat(people.contacts()).anyMatch(one -> one.id().equals(wim.id()));
        Contact imre = people.contacts().stream()
                .filter(one -> one.name().startsWith("Imre"))
                .findFirst()
                .orElseThrow();
        assertThat(ines.post("/t/contacts/" + imre.id() + "/leave", ines.token(), Map.of("sure", "true"))
                        .statusCode())
                .as("he speaks for the mill, or is asked to sign")
                .isEqualTo(422);
        assertThat(people.contacts()).anyMatch(one -> one.id().equals(imre.id()));
    }

    @Test
    void twoEntriesForOnePersonBecomeOne() throws Exception {
        Visitor ines = ines();
        take(
                ines,
                "Client,Name,Mail\nHob & Barley Mill,Tomas Reed,tomas@hobandbarley.example\nHob & Barley Mill,T. "
                        + "Reed,reed@hobandbarley.example\n");
        Contact stays =
                people.contactAt(new EmailAddress("tomas@hobandbarley.example")).orElseThrow();
        Contact goes =
                people.contactAt(new EmailAddress("reed@hobandbarley.example")).orElseThrow();
        giveSeat.give(pane().id(), goes.id(), app.clearpane.core.exposure.SeatRole.REVIEWER, Acting.team("Ines"));
        String at = "/t/contacts/" + goes.id() + "/merge";
        HttpResponse<String> asked =
                ines.post(at, ines.token(), Map.of("into", stays.id().toString()));
        assertThat(asked.statusCode()).isEqualTo(409);
        assertThat(Texts.of(asked.body())).contains("there is one entry: Tomas Reed", "stays as it was");
        assertThat(ines.post(
                                at,
                                ines.token(),
                                Map.of(
                                        "into",
                                        people.contactAt(new EmailAddress("ottoline@penwether.example"))
                                                .orElseThrow()
                                                .id()
                                                .toString(),
                                        "sure",
                                        "true"))
                        .statusCode())
                .as("of another client")
                .isEqualTo(404);
        assertThat(ines.post(at, ines.token(), Map.of("into", goes.id().toString(), "sure", "true"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(ines.post(at, ines.token(), Map.of("into", stays.id().toString(), "sure", "true"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(client("Hob & Barley Mill").people())
                .filteredOn(one -> one.id().equals(goes.id()))
                .singleElement()
                .satisfies(one -> assertThat(one.leftAt()).isNotNull());
        assertThat(client("Hob & Barley Mill").people())
                .filteredOn(one -> one.id().equals(stays.id()))
                .singleElement()
                .satisfies(one -> assertThat(one.seats()).singleElement().satisfies(seat -> assertThat(seat.role())
                        .isEqualTo(app.clearpane.core.exposure.SeatRole.REVIEWER)));
        assertThat(people.contactAt(new EmailAddress("reed@hobandbarley.example")))
                .as("the old address leads to whoever stays")
                .contains(stays);
        String imre = people.contactAt(new EmailAddress("imre@hobandbarley.example"))
                .orElseThrow()
                .id()
                .toString();
        assertThat(Texts.of(ines.post(
                                "/t/contacts/" + imre + "/merge",
                                ines.token(),
                                Map.of("into", stays.id().toString(), "sure", "true"))
                        .body()))
                .contains("speaks for others");
        ines.post("/t/contacts/" + goes.id() + "/back", ines.token(), Map.of());
        assertThat(people.contactAt(new EmailAddress("reed@hobandbarley.example")))
                .as("two again")
                .contains(goes);
    }
}
