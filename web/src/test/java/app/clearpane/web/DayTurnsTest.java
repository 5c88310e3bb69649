package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.calendar.Today;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.jobs.TurnTheDay;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** What a new day lets through, and what it stops, is in the Record once, by the house. */
class DayTurnsTest extends DemoHouse {
    @Autowired
    private Records records;

    @Autowired
    private Tasks tasks;

    @Autowired
    private TheAgency agency;

    @Autowired
    private TurnTheDay day;

    @Autowired
    private TransactionTemplate transaction;

    private List<String> told(ProjectId project, ItemId item, String act) {
        return records.whole(project.value())
                .filter(line -> line.about().equals(item.value())
                        && line.stored().entry().act().equals(act))
                .map(line -> line.stored().entry().actor() + " "
                        + line.stored().payload().orElseThrow())
                .toList();
    }

    @Test
    void whatComesNearAndWhatIsLateIsToldOnce() throws Exception {
        ProjectId project = visitorCentre();
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        LocalDate due = agency.calendar().addWorkingDays(agency.today().plusDays(30), 0);
        ines.post(
                "/t/projects/" + project + "/tasks",
                ines.token(),
                Map.of("line", "Oil the hinges " + due, "phase", "", "parent", ""));
        ItemId task = tasks.ofProject(project).stream()
                .filter(one -> one.name().equals("Oil the hinges"))
                .findFirst()
                .map(PlannedTask::id)
                .orElseThrow();
        PaneId pane = panes.add(project, "Hinge makers", "", Instant.now());
        try {
            transaction.executeWithoutResult(status -> {
                panes.setAperture(pane, ContentKind.TASKS, Aperture.FILTERED);
                panes.setFilters(pane, ContentKind.TASKS, Set.of("DUE_WITHIN_2"));
                panes.publish(panes.find(pane).orElseThrow(), Instant.now());
            });
            isToldOnItsDays(project, due, task);
        } finally {
            day.turnTo(agency.day());
            panes.remove(panes.find(pane).orElseThrow());
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

    private void isToldOnItsDays(ProjectId project, LocalDate due, ItemId task) throws Exception {
        LocalDate before = due.minusDays(14);
        day.turnTo(on(before));
        assertThat(told(project, task, "item.arrived-shown"))
                .as("two weeks before")
                .isEmpty();
        day.turnTo(on(due.minusDays(1)));
        day.turnTo(on(due.minusDays(1)));
        assertThat(told(project, task, "item.arrived-shown"))
                .singleElement()
                .asString()
                .startsWith("house")
                .contains("It is due within 2 working days, which passes", "Hinge makers");
        assertThat(told(project, task, "item.left-view")).isEmpty();
        day.turnTo(on(due.plusDays(1)));
        assertThat(told(project, task, "item.left-view"))
                .singleElement()
                .asString()
                .contains("No filter lets it pass");
        assertThat(told(project, task, "item.arrived-shown")).hasSize(1);
    }

    private Today on(LocalDate other) {
        return new Today(other, agency.calendar());
    }

    @Test
    void filtersOfDaysAreChosenAtThePaneAndRefusedWhereTheyAreNone() throws Exception {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        PaneId pane = panes.add(project, "Hinge makers", "", Instant.now());
        try {
            String filters = "/t/panes/" + pane + "/filters";
            daysAreReadOrRefused(ines, filters);
            panes.setAperture(pane, ContentKind.TASKS, Aperture.FILTERED);
            String board = ines.get("/t/projects/" + project + "/panes?pane=" + pane + "&kind=TASKS")
                    .body();
            assertThat(board)
                    .contains("what waits for whoever looks")
                    .containsPattern("name=\"folders\" min=\"0\" max=\"250\" value=\"5\"");
        } finally {
            panes.remove(panes.find(pane).orElseThrow());
        }
    }

    private void daysAreReadOrRefused(Visitor ines, String filters) throws Exception {
        assertThat(ines.post(
                                filters,
                                ines.token(),
                                Map.of("kind", "TASKS", "folders", "LATE,WAITS_FOR_VIEWER,5", "before", ""))
                        .statusCode())
                .isEqualTo(302);
        assertThat(ines.post(
                                filters,
                                ines.token(),
                                Map.of(
                                        "kind",
                                        "TASKS",
                                        "folders",
                                        "LATE,251",
                                        "before",
                                        "DUE_WITHIN_5, LATE, WAITS_FOR_VIEWER"))
                        .body())
                .contains("0 to 250 working days");
    }
}
