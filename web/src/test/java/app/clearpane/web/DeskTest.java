package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.Tasks;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What falls due, what nobody has sorted yet, and a plan under other headings. */
class DeskTest extends DemoHouse {
    @Autowired
    private Tasks tasks;

    @Test
    void whatStandsNowhereIsToBeSortedAndWhatHasADayIsDue() throws Exception {
        ProjectId project = visitorCentre();
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        assertThat(ines.post(
                                "/t/projects/" + project + "/tasks",
                                ines.token(),
                                Map.of("line", "Ring the printers tomorrow", "phase", "", "parent", ""))
                        .statusCode())
                .isEqualTo(302);
        String task = tasks.ofProject(project).stream()
                .filter(one -> one.name().equals("Ring the printers"))
                .findFirst()
                .orElseThrow()
                .id()
                .toString();
        try {
            String desk = ines.get("/t").body();
            assertThat(desk).contains("Not sorted yet", "Ring the printers");
            assertThat(desk.substring(desk.indexOf("id=\"week\""), desk.indexOf("Not sorted yet")))
                    .contains("Visitor map, version 2");
        } finally {
            ines.post("/t/tasks/" + task + "/delete", ines.token(), Map.of());
        }
    }

    private ProjectId visitorCentre() throws Exception {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        return project;
    }

    @Test
    void aPlanIsReadUnderOtherHeadingsAndRemembersThem() throws Exception {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        assertThat(ines.get("/t/projects/" + project + "/plan?as=lines&by=person")
                        .body())
                .contains("aria-label=\"Teo Brandt\"")
                .doesNotContain("Add a task to");
        assertThat(ines.get("/t/projects/" + project + "/plan").body())
                .as("remembered")
                .contains("aria-label=\"Teo Brandt\"");
        assertThat(ines.get("/t/projects/" + project + "/plan?as=month&by=person")
                        .body())
                .contains("falls-under\">Ottoline Vance<");
        assertThat(ines.get("/t/projects/" + project + "/plan?as=month&by=due").body())
                .as("the days are there already")
                .doesNotContain("falls-under");
        for (String by : new String[] {"label", "due", "nonsense"}) {
            assertThat(ines.get("/t/projects/" + project + "/plan?as=time&by=" + by)
                            .statusCode())
                    .isEqualTo(200);
        }
    }

    /** Numbers in drawings and names of months do not follow the browser. */
    @ParameterizedTest
    @ValueSource(strings = {"de-DE", "fa-IR", "ar-EG-u-nu-arab", "th-TH-u-ca-buddhist"})
    void theHouseSpeaksOneLanguageWhateverTheBrowserAsksFor(String language) throws Exception {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        for (String path : List.of(
                "/t/people",
                "/t/projects/" + project + "/plan?as=month&by=phase",
                "/t/projects/" + project + "/plan?as=time&by=phase",
                "/t/projects/" + project + "/papers")) {
            assertThat(Jsoup.parse(ines.get(path, Map.of("Accept-Language", language))
                                    .body())
                            .select("main")
                            .text())
                    .as(path)
                    .isNotEmpty()
                    .isEqualTo(Jsoup.parse(ines.get(path).body()).select("main").text());
        }
    }
}
