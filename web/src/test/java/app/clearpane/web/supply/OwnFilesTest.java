package app.clearpane.web.supply;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.files.Folder;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.plan.Tasks;
import app.clearpane.web.DemoHouse;
import app.clearpane.web.Visitor;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What a client's people keep at their pane is theirs and ours, and nobody's at another pane. */
class OwnFilesTest extends DemoHouse {
    private final String name = "Ours " + UUID.randomUUID();

    @Autowired
    private ProjectFiles files;

    @Autowired
    private Tasks tasks;

    private ProjectId visitorCentre() {
        return projects.active().stream()
                .filter(project -> project.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private String own(String pane) {
        return "/c/panes/" + paneCalled(pane).id() + "/own";
    }

    private Panes.Row paneCalled(String pane) {
        return panes.ofProject(visitorCentre()).stream()
                .filter(one -> one.name().equals(pane))
                .findFirst()
                .orElseThrow();
    }

    private Visitor who(String address) throws Exception {
        return Visitor.by(address(), linkOf(address, "Visitor centre"));
    }

    private Folder made() {
        return files.folders(visitorCentre()).stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private HttpResponse<String> puts(Visitor who, Folder folder, String file, String words) throws Exception {
        byte[] bytes = words.getBytes(StandardCharsets.UTF_8);
        String at = own("The board") + "/" + folder.id() + "/files";
        return who.upload(at, who.token(), file, () -> new ByteArrayInputStream(bytes), Map.of());
    }

    private ProjectFile file(String called) {
        return files.ofProject(visitorCentre()).stream()
                .filter(one -> one.name().equals(called))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void isSeenAtTheirPaneAndByTheTeamAlone() throws Exception {
        Visitor mirela = who("mirela@penwether.example");
        assertThat(mirela.sends(own("The board"), "name=" + name).statusCode()).isEqualTo(302);
        assertThat(mirela.sends(own("The board"), "name=" + name).body()).contains("already");
        String called = "dome " + name + ".txt";
        assertThat(puts(mirela, made(), called, called).statusCode()).isEqualTo(302);
        assertThat(puts(mirela, made(), "empty.txt", "").body()).contains("0 bytes");
        assertThat(who("ottoline@penwether.example").get(own("The board")).body())
                .contains(name, called);
        Visitor dov = who("dov@garrow.example");
        assertThat(dov.get(own("Fabricators")).body()).doesNotContain(name);
        String at = "/files/" + file(called).id();
        assertThat(dov.get("/c/panes/" + paneCalled("Fabricators").id() + at).statusCode())
                .isEqualTo(404);
        assertThat(puts(dov, made(), "theirs.txt", "x").statusCode()).isEqualTo(404);
        Visitor ines = ines();
        assertThat(ines.get("/t/projects/" + visitorCentre() + "/files?in=" + made().id())
                        .body())
                .contains(called, "s own</span>");
        ines.sends("/t/folders/" + made().id() + "/delete", "");
    }

    private String takeBack(String called) {
        return "/c/panes/" + paneCalled("The board").id() + "/files/"
                + file(called).id() + "/take-back";
    }

    private Visitor mirelaHasAFolder() throws Exception {
        Visitor mirela = who("mirela@penwether.example");
        mirela.sends(own("The board"), "name=" + name);
        return mirela;
    }

    private Visitor ines() throws Exception {
        return Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
    }

    @Test
    void isTakenBackByWhoeverPutItThere() throws Exception {
        Visitor mirela = mirelaHasAFolder();
        String called = "hill " + name + ".txt";
        puts(mirela, made(), called, called);
        String takeBack = takeBack(called);
        assertThat(who("ottoline@penwether.example").sends(takeBack, "").statusCode())
                .as("not hers")
                .isEqualTo(404);
        assertThat(mirela.sends(takeBack, "").statusCode()).isEqualTo(302);
        assertThat(mirela.get(own("The board")).body()).contains(name).doesNotContain(called);
        ines().sends("/t/folders/" + made().id() + "/delete", "");
    }

    @Test
    void staysOnceItIsUsed() throws Exception {
        Visitor mirela = mirelaHasAFolder();
        String used = "lake " + name + ".txt";
        puts(mirela, made(), used, used);
        Visitor ines = ines();
        ines.sends("/t/projects/" + visitorCentre() + "/tasks", "line=Lay " + name);
        PlannedTask task = tasks.ofProject(visitorCentre()).stream()
                .filter(one -> one.name().equals("Lay " + name))
                .findFirst()
                .orElseThrow();
        byte[] same = used.getBytes(StandardCharsets.UTF_8);
        String beside = "/t/tasks/" + task.id() + "/files";
        ines.upload(beside, ines.token(), "lake.txt", () -> new ByteArrayInputStream(same), Map.of());
        assertThat(mirela.sends(takeBack(used), "").body()).contains("already, so it stays", used);
        ines.sends("/t/tasks/" + task.id() + "/stage", "stage=DROPPED&before=TO_DO");
        ines.sends("/t/folders/" + made().id() + "/delete", "");
    }
}
