package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.record.Records;
import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * What comes into view by itself is in the Record, with the rule that let it through; what is deleted is gone for
 * everybody with all that lies in it.
 */
class ComesAndGoesTest extends DemoHouse {
    @Autowired
    private Records records;

    @Autowired
    private Tasks tasks;

    @Autowired
    private ProjectFiles files;

    private ProjectId project;
    private PaneId board;
    private Visitor ines;
    private Visitor per;

    @BeforeEach
    void atThePenwether() throws Exception {
        project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        board = panes.ofProject(project).get(0).id();
        ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        per = Visitor.by(address(), linkOf("per@penwether.example"));
    }

    private ItemId task(String line, Optional<ItemId> parent) throws Exception {
        ines.post(
                "/t/projects/" + project + "/tasks",
                ines.token(),
                Map.of(
                        "line",
                        line,
                        "phase",
                        "",
                        "parent",
                        parent.map(ItemId::toString).orElse("")));
        return tasks.ofProject(project).stream()
                .filter(one -> one.name().equals(line))
                .findFirst()
                .map(PlannedTask::id)
                .orElseThrow();
    }

    private List<String> told(ItemId item, String act) {
        return records.whole(project.value())
                .filter(line -> line.about().equals(item.value())
                        && line.stored().entry().act().equals(act))
                .map(line -> line.stored().payload().orElseThrow())
                .toList();
    }

    private String seenByPer() throws Exception {
        return Texts.of(per.get("/c/panes/" + board).body());
    }

    @Test
    void aPartOfADeletedTaskIsGoneForClientsTooAndBackTheSame() throws Exception {
        ItemId whole = task("Gather the lamps", Optional.empty());
        ItemId part = task("Count the lamps", Optional.of(whole));
        ines.post("/t/tasks/" + part + "/stage", ines.token(), Map.of("stage", "DONE"));
        assertThat(seenByPer()).contains("Count the lamps");
        assertThat(told(part, "item.arrived-shown"))
                .singleElement()
                .asString()
                .contains("\"pane\":\"The board\"", "It is finished, which passes");
        ines.post("/t/tasks/" + whole + "/delete", ines.token(), Map.of());
        assertThat(seenByPer()).doesNotContain("Count the lamps", "Gather the lamps");
        assertThat(per.get("/c/panes/" + board + "/tasks/" + part).statusCode()).isEqualTo(404);
        assertThat(told(part, "item.left-view")).singleElement().asString().contains("Deleted");
        isSaidBeforeItIsBack(whole, part);
        assertThat(ines.post("/t/tasks/" + whole + "/restore", ines.token(), Map.of("sure", "true"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(seenByPer()).contains("Count the lamps");
        assertThat(told(part, "item.arrived-shown")).hasSize(2);
        ines.post("/t/tasks/" + whole + "/delete", ines.token(), Map.of());
    }

    private void isSaidBeforeItIsBack(ItemId whole, ItemId part) throws Exception {
        assertThat(ines.post("/t/tasks/" + part + "/restore", ines.token(), Map.of("sure", "true"))
                        .body())
                .contains("Gather the lamps", "which was deleted too");
        assertThat(ines.get("/t/projects/" + project + "/plan?deleted=" + whole).body())
                .contains("seen again at once by The board");
        assertThat(ines.post("/t/tasks/" + whole + "/restore", ines.token(), Map.of())
                        .statusCode())
                .as("says first who will see it")
                .isEqualTo(409);
        assertThat(tasks.find(whole)).isEmpty();
    }

    @Test
    void aFileIsMovedIntoAShownFolderOnceItWasSaidWhoWillSeeIt() throws Exception {
        ItemId finished = files.folders(project).stream()
                .filter(one -> one.name().equals("Finished artwork"))
                .findFirst()
                .orElseThrow()
                .id();
        ItemId file = lampList();
        try {
            assertThat(seenByPer()).doesNotContain("lamp-list.txt");
            String into = "/t/projects/" + project + "/files/move";
            isSaidBeforeItIsMoved(finished, file, into);
            assertThat(ines.post(
                                    into,
                                    ines.token(),
                                    Map.of("file", file.toString(), "folder", finished.toString(), "sure", "true"))
                            .statusCode())
                    .isEqualTo(302);
            assertThat(seenByPer()).contains("lamp-list.txt");
            assertThat(told(file, "item.arrived-shown")).hasSize(2).allMatch(one -> one.contains("Finished artwork"));
            isMovedBack(file, into);
        } finally {
            ines.post("/t/files/" + file + "/delete", ines.token(), Map.of());
        }
    }

    private ItemId lampList() throws Exception {
        ines.upload(
                "/t/projects/" + project + "/files",
                ines.token(),
                "lamp-list.txt",
                () -> new ByteArrayInputStream(new byte[] {65}),
                Map.of("folder", ""));
        ItemId file = files.ofProject(project).stream()
                .filter(one -> one.name().equals("lamp-list.txt"))
                .map(ProjectFile::id)
                .findFirst()
                .orElseThrow();
        return file;
    }

    private void isSaidBeforeItIsMoved(ItemId finished, ItemId file, String into) throws Exception {
        assertThat(ines.post(into, ines.token(), Map.of("folder", finished.toString()))
                        .body())
                .contains("Tick the files to move first");
        assertThat(ines.post(into, ines.token(), Map.of("file", file.toString(), "folder", finished.toString()))
                        .body())
                .contains("The board will see “lamp-list.txt” at once.", "Fabricators will see", "Move it");
        assertThat(seenByPer()).as("nothing was moved yet").doesNotContain("lamp-list.txt");
        assertThat(told(file, "file.moved")).isEmpty();
    }

    private void isMovedBack(ItemId file, String into) throws Exception {
        assertThat(ines.post(into, ines.token(), Map.of("file", file.toString(), "folder", ""))
                        .statusCode())
                .as("nobody gains")
                .isEqualTo(302);
        assertThat(seenByPer()).doesNotContain("lamp-list.txt");
        assertThat(told(file, "item.left-view")).hasSize(2);
    }
}
