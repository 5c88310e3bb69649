package app.clearpane.web.files;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.store.agency.People;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.web.AtTheMill;
import app.clearpane.web.Visitor;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Chosen people are told of a file they see, and of nothing they do not. */
class FileTellTest extends AtTheMill {
    @Autowired
    private ProjectFiles files;

    @Autowired
    private People clients;

    private Contact contact(String address) {
        return clients.contactAt(new EmailAddress(address)).orElseThrow();
    }

    private ItemId file(String name) throws Exception {
        Visitor ines = ines();
        byte[] bytes = ("in " + name).getBytes(StandardCharsets.UTF_8);
        String room = "/t/projects/" + mill() + "/files";
        ines.upload(room, ines.token(), name, () -> new ByteArrayInputStream(bytes), Map.of("folder", ""));
        return files.ofProject(mill()).stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private static String text(String page) {
        return Jsoup.parse(new String(page.getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.UTF_8))
                .text();
    }

    private HttpResponse<String> tells(ItemId file, String fields) throws Exception {
        return ines().sends("/t/files/" + file + "/tell", fields);
    }

    private void shown(ItemId file) {
        panes.arriveShown(pane().id(), file, Actor.kept("Ines"), clock.instant());
    }

    @Test
    void whoSeesItIsToldWithTheWords() throws Exception {
        String name = "told " + UUID.randomUUID() + ".txt";
        ItemId file = file(name);
        Contact imre = contact("imre@hobandbarley.example");
        String fields = "whom=" + imre.id() + "&words=The weights are in it";
        assertThat(text(tells(file, fields).body())).contains("does not see it, so nobody was told");
        assertThat(mailsAbout("imre@hobandbarley.example", name)).isZero();
        shown(file);
        assertThat(text(ines().get("/t/items/" + file).body())).contains("Tell somebody of it", imre.name());
        assertThat(tells(file, fields).statusCode()).isEqualTo(302);
        mailArrives("imre@hobandbarley.example", "Look at “" + name + "”");
        assertThat(text(ines().get("/t/projects/" + mill() + "/record?q=" + name.substring(5))
                        .body()))
                .contains("told of the file");
    }

    @Test
    void nobodyAndStrangersCannotBeTold() throws Exception {
        ItemId file = file("untold " + UUID.randomUUID() + ".txt");
        shown(file);
        assertThat(text(tells(file, "words=Look").body())).contains("Tick who is to be told.");
        String ottoline = "whom=" + contact("ottoline@penwether.example").id();
        assertThat(text(tells(file, ottoline).body())).contains("does not see it, so nobody was told");
        assertThat(tells(file, "whom=nobody").statusCode()).isEqualTo(422);
    }
}
