package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.Deliverables;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** How many statements a page asks the database, whatever the number of rows. */
class StatementsTest extends DemoHouse {
    private static final int MOST = 12;
    /** Somebody else may write while a page is read, and it reads anew then. */
    private static final int LOOKS = 3;

    @Autowired
    private app.clearpane.store.plan.Tasks tasks;

    @Autowired
    private AskedStatements asked;

    @Autowired
    private Deliverables deliverables;

    @Autowired
    private People people;

    @Test
    void pagesOfTheTeamAndOfClientsAskFewStatements() throws Exception {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        String base = "/t/projects/" + project;
        String pane = "/c/panes/" + panes.ofProject(project).get(0).id();
        var map = deliverables.versionsOf(project).stream()
                .filter(one -> one.fileName().equals("visitor-map-2.pdf"))
                .findFirst()
                .orElseThrow();
        var withDraft = deliverables.versionsOf(project).stream()
                .filter(one -> one.fileName().equals("paint-samples.jpg"))
                .findFirst()
                .orElseThrow();
        Visitor bastian = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        Visitor jasper = Visitor.by(address(), linkOf("jasper@penwether.example"));
        String task = tasks.ofProject(project).stream()
                .filter(one -> one.name().equals("Opening hours for the leaflet"))
                .findFirst()
                .orElseThrow()
                .id()
                .toString();
        Map<String, Visitor> pages = new LinkedHashMap<>();
        for (String path : new String[] {
            "/t",
            "/t/ceilings",
            "/t/search?q=a",
            base + "/plan?as=lines",
            base + "/plan?as=time",
            base + "/plan?as=columns",
            base + "/plan?as=month",
            base + "/plan?as=dates",
            base + "/slip",
            "/t/tasks/" + task,
            base + "/deliverables",
            base + "/files",
            base + "/people",
            base + "/panes",
            base + "/record",
            base + "/papers",
            base + "/clearance",
            "/t/deliverables/" + map.deliverable(),
            "/t/deliverables/" + withDraft.deliverable(),
            "/t/items/" + map.deliverable(),
            "/t/deliverables/" + map.deliverable() + "/clearance",
            "/t/versions/" + map.id() + "/light-table"
        }) {
            pages.put(path, bastian);
        }
        pages.put(pane, jasper);
        pages.put(pane + "/tasks/" + task, jasper);
        pages.put(pane + "/versions/" + map.id(), jasper);
        pages.put(pane + "/to-sign", jasper);
        pages.put(pane + "/papers", jasper);
        pages.put("/t/versions/" + map.id() + "/changes", bastian);
        pages.put(pane + "/versions/" + map.id() + "/changes", jasper);
        for (String read : new String[] {
            "/t",
            base + "/plan?as=lines",
            pane,
            pane + "/versions/" + map.id(),
            "/t/versions/" + map.id() + "/light-table"
        }) {
            pages.get(read).get(read);
        }
        Map<String, Integer> tooMany = new LinkedHashMap<>();
        for (Map.Entry<String, Visitor> page : pages.entrySet()) {
            int most = MOST + (page.getKey().equals(pane) ? 1 : 0);
            List<String> statements = List.of();
            for (int look = 0; look < LOOKS && (look == 0 || statements.size() > most); look++) {
                writeSomething();
                asked.forget();
                assertThat(page.getValue().get(page.getKey()).statusCode())
                        .as(page.getKey())
                        .isEqualTo(200);
                statements = asked.of(page.getKey().replaceAll("\\?.*", ""));
            }
            System.out.println(statements.size() + " statements for "
                    + page.getKey().replaceAll("[0-9a-f]{8}-[0-9a-f-]{27}", "*"));
            if (Boolean.getBoolean("statements.print")) {
                statements.forEach(one -> System.out.println("    " + one));
            }
            assertThat(statements).as("the statements of " + page.getKey()).isNotEmpty();
            if (statements.size() > most) {
                tooMany.put(page.getKey(), statements.size());
            }
        }
        assertThat(tooMany).isEmpty();
    }

    @Test
    void aPaneIsReadAgainOnceSomethingWasWrittenAndNotBefore() throws Exception {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        String pane = "/c/panes/" + panes.ofProject(project).get(0).id();
        Visitor jasper = Visitor.by(address(), linkOf("jasper@penwether.example"));
        await().until(() -> statements(jasper, pane).size() <= 3);
        writeSomething();
        assertThat(statements(jasper, pane)).as("something was written").hasSizeBetween(8, MOST + 1);
        await().until(() -> statements(jasper, pane).size() <= 3);
    }

    /** What is kept of the house is read anew after this. */
    private void writeSomething() {
        people.setClientsDoTasks(people.clientsDoTasks());
    }

    private List<String> statements(Visitor visitor, String path) throws Exception {
        asked.forget();
        assertThat(visitor.get(path).statusCode()).isEqualTo(200);
        return asked.of(path);
    }
}
