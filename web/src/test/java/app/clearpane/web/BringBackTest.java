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
import java.net.http.HttpResponse;
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

    private PlannedTask part(String name) {
        return tasks.ofProject(mill()).stream()
                .filter(task -> task.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** A task with one part. */
    private ItemId whole(String name) throws Exception {
        ItemId whole = task(ines(), name);
        ines().sends("/t/tasks/" + whole + "/parts", "line=A part of " + name);
        return whole;
    }

    private HttpResponse<String> bringBack(ItemId item) throws Exception {
        return ines().sends("/t/items/" + item + "/bring-back", "sure=true");
    }

    private String deleted() throws Exception {
        return Texts.of(ines().get("/t/projects/" + mill() + "/deleted").body());
    }

    @Test
    void aTaskComesBackOnceWithItsParts() throws Exception {
        ItemId whole = whole("what is deleted");
        ItemId part = part("A part of what is deleted").id();
        ines().sends("/t/tasks/" + whole + "/delete", "");
        assertThat(deleted())
                .contains("what is deleted with 1 inside", "Ines Okafor-Lindqvist")
                .doesNotContain("A part of what is deleted");
        assertThat(bringBack(part).body()).as("its whole is deleted too").contains("what is deleted");
        assertThat(items.find(part).orElseThrow().deleted()).isTrue();
        assertThat(bringBack(whole).statusCode()).isEqualTo(302);
        assertThat(bringBack(whole).statusCode()).as("it is there already").isEqualTo(404);
        assertThat(part("A part of what is deleted").task().stage()).isEqualTo(Stage.TO_DO);
        assertThat(deleted()).doesNotContain("what is deleted with");
    }

    @Test
    void whatCannotComeBackYetHasNoButtonForIt() throws Exception {
        ItemId whole = whole("what goes in two steps");
        ItemId part = part("A part of what goes in two steps").id();
        ines().sends("/t/tasks/" + part + "/delete", "");
        ines().sends("/t/tasks/" + whole + "/delete", "");
        assertThat(ines().get("/t/projects/" + mill() + "/deleted").body())
                .contains("Can come back after", "/t/items/" + whole + "/bring-back")
                .doesNotContain("/t/items/" + part + "/bring-back");
        assertThat(imre().get("/t/projects/" + mill() + "/deleted").statusCode())
                .isEqualTo(404);
    }

    @Test
    void aConcernComesBack() throws Exception {
        ines().sends(
                        "/t/projects/" + mill() + "/concerns",
                        "name=Damp in the store&issue=false&likelihood=2&effect=2&about=&measure=&owner=&revision=0");
        Concern damp = concerns.ofProject(mill()).stream()
                .filter(one -> one.name().equals("Damp in the store"))
                .findFirst()
                .orElseThrow();
        ines().sends("/t/concerns/" + damp.id() + "/delete", "before=revision " + damp.revision());
        assertThat(deleted()).contains("Damp in the store", "Concerns");
        bringBack(damp.id());
        assertThat(concerns.ofProject(mill())).anyMatch(one -> one.id().equals(damp.id()));
        assertThat(deleted()).doesNotContain("Damp in the store");
        assertThat(ines().get("/t/projects/" + mill() + "/record?q=damp").body())
                .contains("brought back");
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
