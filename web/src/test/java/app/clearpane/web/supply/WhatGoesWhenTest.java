package app.clearpane.web.supply;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.files.FolderTree;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Leaving;
import app.clearpane.core.supply.Request;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.HouseTemplates;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What a kind of work needs of the client stands ready when a project is opened, and knows when it goes out. */
class WhatGoesWhenTest extends AtARequest {
    @Autowired
    private HouseTemplates templates;

    @Autowired
    private ProjectFiles files;

    @Autowired
    private Tasks tasks;

    private HouseTemplates.Kept template(String requests) throws Exception {
        String name = "Signs " + UUID.randomUUID();
        ines().sends("/t/house/templates", "name=" + name + "&from=");
        HouseTemplates.Kept made = kept(name);
        ines().sends(
                        "/t/house/templates/" + made.id(),
                        "name=" + name + "&finish=Opening&revision=" + made.revision()
                                + "&checklist=&outline=Brief, 5 days\nConcept, 9 days"
                                + "&folders=Artwork / Logos: your logo&requests=" + requests);
        return kept(name);
    }

    private HouseTemplates.Kept kept(String name) {
        return templates.all().stream()
                .filter(one -> one.template().name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private ProjectId opened(HouseTemplates.Kept template) throws Exception {
        LocalDate start = today().plusDays(3);
        String location = ines().sends(
                        "/t/projects",
                        "client=Moorside Reading Rooms&name="
                                + template.template().name()
                                + "&cover=night&currency=GBP&tax=20&startsOn=" + start + "&agreedOn="
                                + start.plusDays(60) + "&template=" + template.id()
                                + "&tasks=true&contacts=")
                .headers()
                .firstValue("Location")
                .orElseThrow();
        return ProjectId.of(location.split("/projects/")[1].split("/")[0]);
    }

    @Test
    void aTemplateLaysOutFoldersAndDrafts() throws Exception {
        HouseTemplates.Kept template = template("What we need, at the start, by itself\n- A logo\n- Hours\n"
                + "Words, 2 days before Concept, within 7 days\n- Texts, at most 90 words");
        assertThat(text(ines().get("/t/house/templates").body())).contains("Artwork / Logos: your logo");
        ProjectId project = opened(template);
        FolderTree tree = new FolderTree(files.folders(project));
        assertThat(tree.rows().stream()
                        .map(row -> tree.pathWords(Optional.of(row.folder().id()))))
                .containsExactly("Artwork", "Artwork / Logos");
        List<Request> drafts = requests.ofProject(project);
        assertThat(drafts).extracting(Request::title).containsExactlyInAnyOrder("What we need", "Words");
        assertThat(drafts)
                .allMatch(one -> one.leaves().isPresent() && one.asked().isEmpty());
        String page = text(ines().get("/t/projects/" + project + "/requests").body());
        assertThat(page)
                .contains("To be asked of nobody yet", "Goes out by itself on ")
                .contains("To be sent 2 working days before “Concept”, on ");
        assertThat(tasks.ofProject(project)).extracting(PlannedTask::name).contains("What we need", "Words");
        Request words = drafts.stream()
                .filter(one -> one.title().equals("Words"))
                .findFirst()
                .orElseThrow();
        assertThat(ines().sends("/t/requests/" + words.id() + "/send", "").body())
                .contains("Nobody is asked yet");
        ines().sends("/t/projects/" + project + "/archive", "");
    }

    @Test
    void itIsSaidWhenADraftGoesOut() throws Exception {
        Request draft = drafts("a photograph", Map.of("plan", "own"));
        String at = "/t/requests/" + draft.id();
        LocalDate day = today().plusDays(20);
        ines().sends(at + "/time", "on=" + day + "&alone=true");
        assertThat(now(draft).leaves()).contains(new Leaving(new Leaving.OnDay(day), true));
        PlannedTask stands = tasks.ofProject(mill()).stream()
                .filter(task -> task.details().request().equals(Optional.of(draft.id())))
                .findFirst()
                .orElseThrow();
        assertThat(stands.task().shape().notBefore()).isPresent();
        ines().sends(at + "/time", "on=" + today().minusDays(9));
        assertThat(text(ines().get("/t/projects/" + mill() + "/requests").body()))
                .contains("That day is past: nobody has sent it.");
        assertThat(ines().sends(at + "/time", "on=" + day + "&with=" + UUID.randomUUID())
                        .body())
                .contains("choose one of them");
        UUID phase = projects.phases(mill()).get(0).id();
        ines().sends(at + "/time", "with=" + phase + "&before=2");
        assertThat(now(draft).leaves()).contains(new Leaving(new Leaving.WithPhase(phase, 2), false));
        assertThat(ines().sends(at + "/time", "with=" + phase + "&before=999").statusCode())
                .isEqualTo(422);
        ines().sends(at + "/time", "");
        assertThat(now(draft).leaves()).isEmpty();
        ines().sends(at + "/discard", "");
    }

    @Test
    void itIsSaidWhomADraftAsks() throws Exception {
        Request draft = drafts("a photograph", "");
        String at = "/t/requests/" + draft.id();
        assertThat(ines().sends(at + "/address", "").body()).contains("at least one person");
        ines().sends(at + "/address", "asked=" + contactAt("grete@hobandbarley.example"));
        assertThat(now(draft).asked()).extracting(Request.Asked::name).containsExactly("Grete Lindholm");
        ines().sends(at + "/discard", "");
    }
}
