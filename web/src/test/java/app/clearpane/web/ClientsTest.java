package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.formats.agency.CardFile;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.agency.People;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
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
        Contact grete = contactOfGrete();
        String file =
                "Name;Mail;Title;Company\nUna Fell;una@fell.example;printer;Fell & Co\nNo Address;;;Fell & Co\nUna "
                        + "Again;UNA@fell.example;;Fell & Co\nWithout Client;without@nowhere.example;;\n"
                        + grete.name() + ";" + grete.email()
                        + ";keeper of the keys;\nInes;ines@marram-finch.example;;Fell & Co\n";
        HttpResponse<String> look = bring(ines, file, "");
        isSaidOfEachLine(look);
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
        otherFilesAreReadOrRefused(ines);
        people.changeContact(grete);
    }

    private Contact contactOfGrete() throws Exception {
        Contact grete = people.contactAt(new EmailAddress("grete@hobandbarley.example"))
                .orElseGet(() -> people.contacts().stream()
                        .filter(one -> one.name().startsWith("Grete"))
                        .findFirst()
                        .orElseThrow());
        return grete;
    }

    private void isSaidOfEachLine(HttpResponse<String> look) throws Exception {
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
    }

    private void otherFilesAreReadOrRefused(Visitor ines) throws Exception {
        assertThat(Jsoup.parse(bring(ines, "Name;Mail\nWithout Client;without@nowhere.example\n", "Fell & Co")
                                .body())
                        .text())
                .contains("1 person would be added");
        assertThat(bring(ines, "Milk, eggs, flour", "").body())
                .contains("neither vCards nor a table", "Nothing was taken in.");
        assertThat(CardFile.read(ines.get("/t/clients/people.vcf").body()))
                .anySatisfy(card -> assertThat(card.email()).isEqualTo("una@fell.example"));
        assertThat(ines.get("/t/clients/people.csv").body()).contains("una@fell.example");
    }

    /** Somebody of the mill's who has a seat. */
    private Contact seated(String name, String address) throws Exception {
        take(ines(), "Client,Name,Mail\nHob & Barley Mill," + name + "," + address + "\n");
        ines().sends(
                        "/t/panes/" + pane().id() + "/seats",
                        "role=READER&sure=true&project=" + mill() + "&contact="
                                + at(address).id());
        assertThat(person(at(address)).seats()).hasSize(1);
        return at(address);
    }

    private HttpResponse<String> leaves(Contact contact, String sure) throws Exception {
        return ines().sends("/t/contacts/" + contact.id() + "/leave", sure);
    }

    @Test
    void itIsSaidFirstWhatWhoeverLeavesLoses() throws Exception {
        Contact wilma = seated("Wilma Leaver", "wilma@leaver.example");
        assertThat(leaves(wilma, "").body())
                .contains("Wilma Leaver loses the seat at", "The mill", "stays under their name");
        assertThat(person(wilma).seats()).hasSize(1);
    }

    @Test
    void whoeverLeftHasNoSeatAndIsNotOfferedUntilTheyAreBack() throws Exception {
        Contact wim = seated("Wim Leaver", "wim@leaver.example");
        assertThat(leaves(wim, "sure=true").statusCode()).isEqualTo(302);
        assertThat(person(wim).seats()).isEmpty();
        assertThat(person(wim).leftAt()).isNotNull();
        assertThat(people.contacts()).noneMatch(one -> one.id().equals(wim.id()));
        assertThat(ines().get("/t/clients/people.csv").body()).doesNotContain("wim@leaver.example");
        assertThat(Texts.of(ines().get("/t/clients?q=leaver").body())).contains("left ", "Is back");
        ines().sends("/t/contacts/" + wim.id() + "/back", "");
        assertThat(people.contacts()).anyMatch(one -> one.id().equals(wim.id()));
    }

    @Test
    void whoeverSpeaksForOthersDoesNotSimplyLeave() throws Exception {
        assertThat(leaves(at("imre@hobandbarley.example"), "sure=true").statusCode())
                .isEqualTo(422);
    }

    /** Two entries for one person at the mill; the second has a seat. */
    private List<Contact> twoOf(String name) throws Exception {
        String mill = "Hob & Barley Mill,";
        take(
                ines(),
                "Client,Name,Mail\n" + mill + name + " Reed," + name + "@hobandbarley.example\n" + mill + name
                        + " R.,reed-" + name + "@hobandbarley.example\n");
        Contact stays = at(name + "@hobandbarley.example");
        Contact goes = at("reed-" + name + "@hobandbarley.example");
        giveSeat.give(pane().id(), goes.id(), SeatRole.REVIEWER, Acting.team("Ines"));
        return List.of(stays, goes);
    }

    private Contact at(String address) {
        return people.contactAt(new EmailAddress(address)).orElseThrow();
    }

    private HttpResponse<String> merge(Contact goes, Contact into) throws Exception {
        return ines().sends("/t/contacts/" + goes.id() + "/merge", "sure=true&into=" + into.id());
    }

    @Test
    void itIsSaidFirstWhatBecomesOfTwoEntries() throws Exception {
        List<Contact> two = twoOf("Tomas");
        HttpResponse<String> asked = ines().sends(
                        "/t/contacts/" + two.get(1).id() + "/merge",
                        "into=" + two.get(0).id());
        assertThat(asked.statusCode()).isEqualTo(409);
        assertThat(Texts.of(asked.body())).contains("there is one entry: Tomas Reed", "stays as it was");
    }

    @Test
    void onlyTwoOfOneClientOfWhomNeitherSpeaksForOthersBecomeOne() throws Exception {
        List<Contact> two = twoOf("Timo");
        assertThat(merge(two.get(1), at("ottoline@penwether.example")).statusCode())
                .as("of another client")
                .isEqualTo(404);
        assertThat(merge(two.get(1), two.get(1)).statusCode()).isEqualTo(422);
        assertThat(Texts.of(merge(at("imre@hobandbarley.example"), two.get(0)).body()))
                .contains("speaks for others");
    }

    private Directory.Someone person(Contact contact) {
        return client("Hob & Barley Mill").people().stream()
                .filter(one -> one.id().equals(contact.id()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void twoEntriesForOnePersonBecomeOneAndTwoAgain() throws Exception {
        List<Contact> two = twoOf("Toke");
        Contact stays = two.get(0);
        Contact goes = two.get(1);
        assertThat(merge(goes, stays).statusCode()).isEqualTo(302);
        assertThat(person(goes).leftAt()).isNotNull();
        assertThat(person(stays).seats()).extracting(Directory.Seated::role).containsExactly(SeatRole.REVIEWER);
        assertThat(at(goes.email()))
                .as("the old address leads to whoever stays")
                .isEqualTo(stays);
        ines().sends("/t/contacts/" + goes.id() + "/back", "");
        assertThat(at(goes.email())).as("two again").isEqualTo(goes);
    }
}
