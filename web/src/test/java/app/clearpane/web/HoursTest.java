package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.plan.TimeSpent;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Hours: a day written down at once, who spent how many where, the clock that runs, and tasks handed on. */
class HoursTest extends AtTheMill {
    @Autowired
    private Tasks tasks;

    @Autowired
    private TimeSpent timeSpent;

    @Autowired
    private People people;

    @Autowired
    private TheAgency agency;

    private TeamMemberId idOf(String email) {
        return people.credentials(new EmailAddress(email))
                .orElseThrow()
                .member()
                .id();
    }

    private ItemId task(Visitor who, String name, String line) throws Exception {
        who.post("/t/projects/" + mill() + "/tasks", who.token(), Map.of("line", name + line));
        return tasks.ofProject(mill()).stream()
                .filter(task -> task.name().equals(name))
                .map(PlannedTask::id)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aWholeDayIsWrittenDownOrNothingOfIt() throws Exception {
        Visitor wanda = Visitor.by(address(), linkOfTeam("wanda@marram-finch.example"));
        ItemId flour = task(wanda, "Hours on flour", " @wanda");
        ItemId rye = task(wanda, "Hours on rye", " @wanda");
        LocalDate day = agency.today().minusDays(3);
        assertThat(Jsoup.parse(wanda.get("/t/hours?day=" + day).body())
                        .select("label")
                        .eachText())
                .contains("Hours on flour", "Hours on rye");
        nothingIsKeptOfADayHalfRead(wanda, flour, rye, day);
        wanda.post(
                "/t/hours",
                wanda.token(),
                Map.of("day", day.toString(), "task-" + flour, "2.5h", "task-" + rye, "90m"));
        Document written = Jsoup.parse(wanda.get("/t/hours?day=" + day).body());
        assertThat(written.select(".head").text()).contains("4 hours written down");
        standsInTheTable(written);
        noDayIsLongerOrToCome(wanda, flour, day);
        String entry = written.select("form[action$=/remove]").first().attr("action");
        Visitor teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
        teo.post(entry, teo.token(), Map.of("day", day.toString()));
        assertThat(timeSpent.ofDay(idOf("wanda@marram-finch.example"), day))
                .as("another's is not taken away")
                .hasSize(2);
        wanda.post(entry, wanda.token(), Map.of("day", day.toString()));
        assertThat(timeSpent.ofDay(idOf("wanda@marram-finch.example"), day)).hasSize(1);
    }

    private void nothingIsKeptOfADayHalfRead(Visitor wanda, ItemId flour, ItemId rye, LocalDate day) throws Exception {
        assertThat(wanda.post(
                                "/t/hours",
                                wanda.token(),
                                Map.of("day", day.toString(), "task-" + flour, "2.5h", "task-" + rye, "a while"))
                        .body())
                .contains("is not a time like");
        assertThat(timeSpent.ofDay(idOf("wanda@marram-finch.example"), day))
                .as("all or nothing")
                .isEmpty();
    }

    private void standsInTheTable(Document written) throws Exception {
        Element row =
                written.select(".hours-table tbody tr:contains(Flour bags)").first();
        int column = written.select(".hours-table th").eachText().indexOf("Wanda");
        assertThat(row.child(column).text()).isEqualTo("4.0");
    }

    private void noDayIsLongerOrToCome(Visitor wanda, ItemId flour, LocalDate day) throws Exception {
        assertThat(wanda.post("/t/hours", wanda.token(), Map.of("day", day.toString(), "task-" + flour, "21h"))
                        .body())
                .contains("more than 24 hours on one day");
        assertThat(wanda.post(
                                "/t/hours",
                                wanda.token(),
                                Map.of("day", agency.today().plusDays(1).toString(), "task-" + flour, "1h"))
                        .body())
                .contains("still to come");
    }

    @Test
    void theClockIsSeenOnEveryPageOfWhoseItIs() throws Exception {
        Visitor teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
        ItemId task = task(teo, "Hours by the clock", " @teo");
        teo.post("/t/tasks/" + task + "/clock", teo.token(), Map.of("runs", "true"));
        assertThat(Jsoup.parse(teo.get("/t/calendar").body())
                        .select(".clock-runs")
                        .text())
                .contains("Hours by the clock", "since today");
        assertThat(Jsoup.parse(ines().get("/t/calendar").body()).select(".clock-runs"))
                .isEmpty();
        teo.post("/t/tasks/" + task + "/clock", teo.token(), Map.of("runs", "false"));
        assertThat(Jsoup.parse(teo.get("/t/calendar").body()).select(".clock-runs"))
                .isEmpty();
    }

    @Test
    void aTaskIsHandedOnFromByPerson() throws Exception {
        Visitor ines = ines();
        ItemId task = task(ines, "Hours for another", " @teo");
        Document page = Jsoup.parse(ines.get("/t/people").body());
        assertThat(page.select("tr:contains(Teo) .on-desk").text())
                .as("what is next stands there too, or is counted")
                .containsAnyOf("Hours for another", "to begin");
        String before = "revision " + tasks.find(task).orElseThrow().revision();
        handsOn(ines, task, before);
        assertThat(tasks.find(task).orElseThrow().hands().name()).isEqualTo("Rukmini Dale");
        assertThat(ines.post("/t/tasks/" + task + "/hand-on", ines.token(), Map.of("before", before, "doer", "us"))
                        .statusCode())
                .as("handed on meanwhile")
                .isEqualTo(409);
        assertThat(ines.post(
                                "/t/tasks/" + task + "/hand-on",
                                ines.token(),
                                Map.of(
                                        "before",
                                        "revision "
                                                + tasks.find(task).orElseThrow().revision(),
                                        "doer",
                                        "them"))
                        .body())
                .contains("Only what we do ourselves");
    }

    private void handsOn(Visitor ines, ItemId task, String before) throws Exception {
        assertThat(ines.post(
                                "/t/tasks/" + task + "/hand-on",
                                ines.token(),
                                Map.of(
                                        "before",
                                        before,
                                        "doer",
                                        "m:"
                                                + idOf("rukmini@marram-finch.example")
                                                        .value()))
                        .statusCode())
                .isEqualTo(302);
    }
}
