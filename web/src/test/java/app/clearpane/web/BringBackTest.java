package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.Concern;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Concerns;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What was deleted is listed with who did it, and comes back whole. */
class BringBackTest extends AtTheMill {
    @Autowired
    private Tasks tasks;

    @Autowired
    private Concerns concerns;

    @Autowired
    private Items items;

    private ItemId task(Visitor ines, String line) throws Exception {
        ines.post("/t/projects/" + mill() + "/tasks", ines.token(), Map.of("line", line));
        return tasks.ofProject(mill()).stream()
                .filter(task -> task.name().equals(line))
                .map(PlannedTask::id)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aTaskWithItsPartsAndAConcern() throws Exception {
        Visitor ines = ines();
        String deleted = "/t/projects/" + mill() + "/deleted";
        ItemId whole = task(ines, "Deleted with its parts");
        ines.post("/t/tasks/" + whole + "/parts", ines.token(), Map.of("line", "A part of what is deleted"));
        ItemId part = tasks.ofProject(mill()).stream()
                .filter(task -> task.name().equals("A part of what is deleted"))
                .map(PlannedTask::id)
                .findFirst()
                .orElseThrow();
        ines.post(
                "/t/projects/" + mill() + "/concerns",
                ines.token(),
                Map.of(
                        "name",
                        "Damp in the store",
                        "issue",
                        "false",
                        "likelihood",
                        "2",
                        "effect",
                        "2",
                        "about",
                        "",
                        "measure",
                        "",
                        "owner",
                        "",
                        "revision",
                        "0"));
        Concern damp = concerns.ofProject(mill()).stream()
                .filter(one -> one.name().equals("Damp in the store"))
                .findFirst()
                .orElseThrow();
        ines.post("/t/tasks/" + whole + "/delete", ines.token(), Map.of());
        ines.post(
                "/t/concerns/" + damp.id() + "/delete", ines.token(), Map.of("before", "revision " + damp.revision()));
        String list = Texts.of(ines.get(deleted).body());
        assertThat(list)
                .contains(
                        "Deleted with its parts with 1 inside",
                        "Damp in the store",
                        "Concerns",
                        "Ines Okafor-Lindqvist")
                .doesNotContain("A part of what is deleted");
        assertThat(ines.post("/t/items/" + part + "/bring-back", ines.token(), Map.of())
                        .body())
                .as("its whole is deleted too")
                .contains("Deleted with its parts");
        assertThat(items.find(part).orElseThrow().deleted()).isTrue();
        assertThat(ines.post("/t/items/" + whole + "/bring-back", ines.token(), Map.of("sure", "true"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(ines.post("/t/items/" + whole + "/bring-back", ines.token(), Map.of("sure", "true"))
                        .statusCode())
                .as("it is there already")
                .isEqualTo(404);
        ines.post("/t/items/" + damp.id() + "/bring-back", ines.token(), Map.of("sure", "true"));
        assertThat(tasks.ofProject(mill()))
                .filteredOn(task -> task.name().equals("A part of what is deleted"))
                .singleElement()
                .satisfies(task -> assertThat(task.task().stage()).isEqualTo(Stage.TO_DO));
        assertThat(concerns.ofProject(mill())).anyMatch(one -> one.id().equals(damp.id()));
        assertThat(Texts.of(ines.get(deleted).body())).doesNotContain("Deleted with its parts", "Damp in the store");
        assertThat(ines.get("/t/projects/" + mill() + "/record?q=damp").body()).contains("brought back");
        assertThat(imre().get(deleted).statusCode()).isEqualTo(404);
        ines.post("/t/tasks/" + part + "/delete", ines.token(), Map.of());
        ines.post("/t/tasks/" + whole + "/delete", ines.token(), Map.of());
        assertThat(ines.get(deleted).body())
                .as("no button that is refused")
                .contains("Can come back after", "/t/items/" + whole + "/bring-back")
                .doesNotContain("/t/items/" + part + "/bring-back");
    }

    @Test
    void aFolderWithItsFiles() throws Exception {
        Visitor ines = ines();
        ines.post("/t/projects/" + mill() + "/folders", ines.token(), Map.of("name", "Deleted folder"));
        ItemId folder = items.named(mill()).stream()
                .filter(one -> one.name().equals("Deleted folder"))
                .map(Items.Row::id)
                .findFirst()
                .orElseGet(() -> items.ofProject(mill()).stream()
                        .filter(one -> one.name().equals("Deleted folder"))
                        .findFirst()
                        .orElseThrow()
                        .id());
        items.delete(folder, Actor.kept("Ines"), clock.instant());
        assertThat(Texts.of(ines.get("/t/projects/" + mill() + "/deleted").body()))
                .contains("Deleted folder");
        assertThat(ines.post("/t/items/" + folder + "/bring-back", ines.token(), Map.of("sure", "true"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(items.find(folder).orElseThrow().deleted()).isFalse();
    }
}
