package app.clearpane.web.files;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Folder;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.usecases.files.LookAfterVault;
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

/** Folders in each other, names, what stood in a place before, and files taken along. */
class FileRoomTest extends AtTheMill {
    @Autowired
    private ProjectFiles files;

    @Autowired
    private LookAfterVault lookAfter;

    private String room() {
        return "/t/projects/" + mill() + "/files";
    }

    private static String text(HttpResponse<String> page) {
        return Jsoup.parse(page.body()).text();
    }

    private Folder folder(String name, String words, String parent) throws Exception {
        ines().sends("/t/projects/" + mill() + "/folders", "name=" + name + "&words=" + words + "&parent=" + parent);
        return files.folders(mill()).stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private HttpResponse<String> sends(String path, String name, String words, String folder) throws Exception {
        Visitor ines = ines();
        return ines.upload(
                path,
                ines.token(),
                name,
                () -> new ByteArrayInputStream(words.getBytes(StandardCharsets.UTF_8)),
                Map.of("folder", folder));
    }

    private ProjectFile file(String name) {
        return files.ofProject(mill()).stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void foldersLieInEachOtherAndSayWhatBelongsInThem() throws Exception {
        String name = "Print " + UUID.randomUUID();
        Folder outer = folder(name, "What goes to print", "");
        Folder inner = folder("Old " + name, "", outer.id().toString());
        sends(room(), "bag one.txt", "words", inner.id().toString());
        Visitor ines = ines();
        assertThat(text(ines.get(room() + "?in=" + inner.id()))).contains(name + " / Old " + name, "bag one.txt");
        assertThat(text(ines.get(room() + "?in=" + outer.id())))
                .contains("What goes to print", "Nothing lies in this folder yet.");
        assertThat(text(ines.get(room() + "?find=one bag".replace(" ", "+")))).contains("bag one.txt");
        assertThat(text(ines.get(room() + "?find=none+such"))).contains("No file here has these words in its name.");
        ines.sends("/t/folders/" + outer.id() + "/change", "name=Press " + name + "&words=Ready");
        assertThat(text(ines.get(room() + "?in=" + inner.id()))).contains("Press " + name + " / Old " + name);
        ines.sends("/t/folders/" + outer.id() + "/delete", "");
        assertThat(files.ofProject(mill())).extracting(ProjectFile::name).doesNotContain("bag one.txt");
        assertThat(text(ines.get("/t/projects/" + mill() + "/deleted"))).contains("Press " + name);
        assertThat(ines.get(room() + "?in=" + inner.id()).statusCode()).isEqualTo(404);
        assertThat(ines.sends("/t/projects/" + mill() + "/folders", "name=Late&parent=" + outer.id())
                        .statusCode())
                .as("its folder is gone")
                .isEqualTo(404);
    }

    @Test
    void whatStoodThereIsKeptAndComesBack() throws Exception {
        sends(room(), "recipe.txt", "rye", "");
        ItemId id = file("recipe.txt").id();
        String at = "/t/files/" + id;
        sends(at + "/replace", "other.txt", "spelt", "");
        assertThat(file("recipe.txt").size()).isEqualTo(5);
        assertThat(ines().get(at + "/content").body()).isEqualTo("spelt");
        assertThat(ines().get(at + "/earlier/1/content").body()).isEqualTo("rye");
        assertThat(text(sends(at + "/replace", "other.txt", "spelt", ""))).contains("These are the very bytes");
        assertThat(text(sends(at + "/replace", "other.txt", "", ""))).contains("it has 0 bytes");
        ines().sends(at + "/earlier/1/bring-back", "");
        assertThat(ines().get(at + "/content").body()).isEqualTo("rye");
        assertThat(text(ines().get(at))).contains("Version 2", "Version 1");
        lookAfter.sweep();
        assertThat(ines().get(at + "/earlier/2/content").body())
                .as("nothing of it is swept")
                .isEqualTo("spelt");
        assertThat(ines().get(at + "/earlier/9/content").statusCode()).isEqualTo(404);
    }

    @Test
    void aNewNameIsSafeAndInTheRecord() throws Exception {
        sends(room(), "draft.txt", "a draft", "");
        ItemId id = file("draft.txt").id();
        ines().sends("/t/files/" + id + "/rename", "name=../final.txt");
        assertThat(file("final.txt").id()).isEqualTo(id);
        assertThat(text(ines().sends("/t/files/" + id + "/rename", "name=  "))).contains("The name: type one.");
        assertThat(text(ines().get("/t/projects/" + mill() + "/record?q=final.txt")))
                .contains("renamed the file final.txt");
    }

    @Test
    void anyChoiceIsTakenAlongAsAZip() throws Exception {
        sends(room(), "take one.txt", "first", "");
        Visitor ines = ines();
        HttpResponse<String> zip =
                ines.sends(room() + "/zip", "file=" + file("take one.txt").id());
        assertThat(zip.statusCode()).isEqualTo(200);
        assertThat(zip.headers().firstValue("Content-Type")).contains("application/zip");
        assertThat(zip.body()).startsWith("PK").contains("take one.txt");
        assertThat(ines.sends(room() + "/zip", "").body()).contains("Tick the files to take first.");
        assertThat(ines.get(room() + "?pictures=true&by=NEWEST").body()).contains("file-tile", "take one.txt");
    }
}
