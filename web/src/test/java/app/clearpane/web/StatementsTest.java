package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.exposure.EndSeat;
import app.clearpane.usecases.exposure.GiveSeat;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
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

    @Autowired
    private GiveSeat giveSeat;

    @Autowired
    private EndSeat endSeat;

    @Autowired
    private Seats seats;

    private ProjectId centre() {
        return projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private Version version(String file) {
        return deliverables.versionsOf(centre()).stream()
                .filter(one -> one.fileName().equals(file))
                .findFirst()
                .orElseThrow();
    }

    private String task() {
        return tasks.ofProject(centre()).stream()
                .filter(one -> one.name().equals("Opening hours for the leaflet"))
                .findFirst()
                .orElseThrow()
                .id()
                .toString();
    }

    private Visitor bastian() throws Exception {
        return Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
    }

    private Visitor jasper() throws Exception {
        return Visitor.by(address(), linkOf("jasper@penwether.example"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/t",
                "/t/ceilings",
                "/t/search?q=a",
                "{project}/plan?as=lines",
                "{project}/plan?as=time",
                "{project}/plan?as=columns",
                "{project}/plan?as=month",
                "{project}/plan?as=dates",
                "{project}/slip",
                "/t/tasks/{task}",
                "{project}/deliverables",
                "{project}/files",
                "{project}/people",
                "{project}/panes",
                "{project}/record",
                "{project}/papers",
                "{project}/clearance",
                "/t/deliverables/{map}",
                "/t/deliverables/{withDraft}",
                "/t/items/{map}",
                "/t/deliverables/{map}/clearance",
                "/t/versions/{version}/light-table",
                "/t/versions/{version}/changes"
            })
    void aPageOfTheTeamAsksFewStatements(String path) throws Exception {
        asksFew(bastian(), filled(path), MOST);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/tasks/{task}", "/versions/{version}", "/to-sign", "/papers", "/versions/{version}/changes"})
    void aPageOfClientsAsksFewStatements(String path) throws Exception {
        asksFew(jasper(), filled("{pane}" + path), MOST);
    }

    @Test
    void aPaneAsksOneMore() throws Exception {
        asksFew(jasper(), filled("{pane}"), MOST + 1);
    }

    /** As many for all projects of the house as for two. */
    @Test
    void aHomeOfManyProjectsAsksFewStatements() throws Exception {
        Contact many = people.addContact(
                projects.find(centre()).orElseThrow().client(),
                new Name("Statements: Many Panes"),
                new EmailAddress("many.panes@penwether.example"),
                "",
                clock.instant());
        List<SeatId> given = projects.active().stream()
                .flatMap(project -> panes.ofProject(project.id()).stream())
                .filter(pane -> pane.publishedAt() != null)
                .map(pane -> giveSeat.give(pane.id(), many.id(), SeatRole.READER, Acting.team("Ines")))
                .toList();
        given.forEach(seat -> seats.invited(seat, clock.instant()));
        try {
            asksFew(Visitor.by(address(), linkOf(many.email())), "/c", MOST);
            assertThat(given).hasSizeGreaterThan(3);
        } finally {
            given.forEach(seat -> endSeat.end(seat, true, Acting.team("Ines")));
        }
    }

    private String filled(String path) {
        Version map = version("visitor-map-2.pdf");
        return path.replace("{project}", "/t/projects/" + centre())
                .replace(
                        "{pane}", "/c/panes/" + panes.ofProject(centre()).get(0).id())
                .replace("{task}", task())
                .replace("{map}", map.deliverable().toString())
                .replace("{version}", map.id().toString())
                .replace(
                        "{withDraft}",
                        version("paint-samples.jpg").deliverable().toString());
    }

    private void asksFew(Visitor visitor, String path, int most) throws Exception {
        visitor.get(path);
        List<String> statements = List.of();
        for (int look = 0; look < LOOKS && (look == 0 || statements.size() > most); look++) {
            writeSomething();
            statements = statements(visitor, path);
        }
        if (Boolean.getBoolean("statements.print")) {
            statements.forEach(one -> System.out.println("    " + one));
        }
        assertThat(statements).hasSizeBetween(1, most);
    }

    @Test
    void aPaneIsReadAgainOnceSomethingWasWrittenAndNotBefore() throws Exception {
        String pane = filled("{pane}");
        Visitor jasper = jasper();
        await().until(() -> statements(jasper, pane).size() <= 3);
        List<String> statements = List.of();
        for (int look = 0; look < LOOKS && (look == 0 || statements.size() > MOST + 1); look++) {
            writeSomething();
            statements = statements(jasper, pane);
        }
        assertThat(statements).as("something was written").hasSizeBetween(8, MOST + 1);
        await().until(() -> statements(jasper, pane).size() <= 3);
    }

    /** What is kept of the house is read anew after this. */
    private void writeSomething() {
        people.setClientsDoTasks(people.clientsDoTasks());
    }

    private List<String> statements(Visitor visitor, String path) throws Exception {
        asked.forget();
        assertThat(visitor.get(path).statusCode()).isEqualTo(200);
        return asked.of(path.replaceAll("\\?.*", ""));
    }
}
