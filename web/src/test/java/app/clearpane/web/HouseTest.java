package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.plan.PhaseTemplate;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.project.ProjectState;
import app.clearpane.core.signoff.SigningTerms;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.HouseHabits;
import app.clearpane.store.project.HouseTemplates;
import app.clearpane.usecases.shell.TheAgency;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * How the house works: what projects begin with, the templates it keeps, what states are called, and what is next with
 * prospects.
 */
class HouseTest extends AtTheMill {
    @Autowired
    private HouseTemplates templates;

    @Autowired
    private HouseHabits habits;

    @Autowired
    private SigningDefaults signing;

    @Autowired
    private Directory directory;

    @Autowired
    private Tasks tasks;

    @Autowired
    private TheAgency agency;

    private HouseTemplates.Kept template(String name) {
        return templates.all().stream()
                .filter(kept -> kept.template().name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private ProjectId open(Visitor ines, String name, HouseTemplates.Kept template, String startsOn, String agreedOn)
            throws Exception {
        String location = ines.sends(
                        "/t/projects",
                        "client=Moorside Reading Rooms&name=" + name + "&cover=night&currency=GBP&tax=20&startsOn="
                                + startsOn + "&agreedOn=" + agreedOn + "&template=" + template.id()
                                + "&tasks=true&contacts=")
                .headers()
                .firstValue("Location")
                .orElseThrow();
        return ProjectId.of(location.split("/projects/")[1].split("/")[0]);
    }

    /** A template of two phases and ten working days. */
    private HouseTemplates.Kept written(String name) throws Exception {
        ines().sends("/t/house/templates", "name=" + name + " as made&from=" + mill());
        HouseTemplates.Kept made = template(name + " as made");
        assertThat(changed(made, "name=" + name, "Sketch, 4 days\n- Draw it, 3\n- client: Choose, 1\nMake, 6 days")
                        .statusCode())
                .isEqualTo(302);
        return template(name);
    }

    private HttpResponse<String> changed(HouseTemplates.Kept kept, String name, String outline) throws Exception {
        return ines().sends(
                        "/t/house/templates/" + kept.id(),
                        name + "&finish=Market day&step-IN_CHECK=at the printers&revision=" + kept.revision()
                                + "&checklist=Weight printed\n\nName of the mill&outline=" + outline);
    }

    @Test
    void aTemplateIsMadeFromAProjectAndCopied() throws Exception {
        ines().sends("/t/house/templates", "name=Bags for flour&from=" + mill());
        HouseTemplates.Kept made = template("Bags for flour");
        assertThat(made.template().phases())
                .containsExactlyElementsOf(
                        projects.phases(mill()).stream().map(Phase::name).toList());
        ines().sends("/t/house/templates/" + made.id() + "/copy", "");
        assertThat(template("Bags for flour (2)").template().phases())
                .isEqualTo(made.template().phases());
        assertThat(imre().get("/t/house/templates").statusCode()).isEqualTo(404);
    }

    @Test
    void aTemplateIsChangedByWhoeverReadItLast() throws Exception {
        HouseTemplates.Kept written = written("Bags and boxes");
        assertThat(written.template().checklist()).containsExactly("Weight printed", "Name of the mill");
        assertThat(changed(written, "name=Bags and crates", "Make, 6 days").statusCode())
                .isEqualTo(302);
        assertThat(changed(written, "name=Bags and sacks", "Make, 6 days").statusCode())
                .as("changed meanwhile")
                .isEqualTo(409);
        assertThat(Texts.of(changed(template("Bags and crates"), "name=Something printed", "- Draw it")
                        .body()))
                .contains("Line 1: a task stands in a phase", "There is a template");
    }

    @Test
    void aProjectIsLaidOutByATemplateBackFromItsEndOrForthFromItsStart() throws Exception {
        HouseTemplates.Kept template = written("Laid out");
        WorkingCalendar days = agency.calendar();
        LocalDate end = days.rollForward(agency.today().plusDays(60));
        ProjectId back = open(ines(), "Back from an end", template, "", end.toString());
        Project counted = projects.find(back).orElseThrow();
        assertThat(days.workingDays(counted.startsOn(), end.plusDays(1))).isEqualTo(10);
        assertThat(projects.phases(back)).extracting(Phase::name).containsExactly("Sketch", "Make");
        assertThat(tasks.ofProject(back)).extracting(PlannedTask::name).containsExactly("Draw it", "Choose");
        assertThat(projects.milestones(back)).extracting(Milestone::name).containsExactly("Market day");
        LocalDate start = days.rollForward(agency.today().plusDays(7));
        Project forth = projects.find(open(ines(), "From a start", template, start.toString(), ""))
                .orElseThrow();
        assertThat(days.workingDays(start, forth.agreedOn().plusDays(1))).isEqualTo(10);
        ines().sends("/t/house/templates/" + template.id() + "/drop", "revision=" + template.revision());
        assertThat(templates.find(template.id())).isEmpty();
        assertThat(projects.phases(back)).as("what was laid out stays").hasSize(2);
    }

    @Test
    void shippedTemplatesAreReadAsTheyAreTyped() {
        assertThat(templates.all())
                .extracting(kept -> kept.template().name())
                .contains("A place or an exhibition", "Something printed", "A website or a film");
        assertThat(templates.all()).allSatisfy(kept -> {
            assertThat(PhaseTemplate.read(kept.template().outline()))
                    .isEqualTo(kept.template().parts());
            assertThat(kept.template().parts())
                    .filteredOn(part -> !part.usual().isEmpty())
                    .allSatisfy(part -> assertThat(part.usual().stream()
                                    .mapToInt(PhaseTemplate.Usual::days)
                                    .sum())
                            .isPositive());
        });
    }

    private HttpResponse<String> reckons(String currency, String tax, String paymentDays, int revision)
            throws Exception {
        return ines().sends(
                        "/t/house/usual",
                        "reviewDays=5&rounds=3&fee=180&rule=ANY&currency=" + currency + "&tax=" + tax + "&paymentDays="
                                + paymentDays + "&revision=" + revision);
    }

    /** What is done in a house that reckons in euros, with invoices due in two weeks. */
    private void whileInEuros(Callable<?> does) throws Exception {
        HouseHabits.Reckoning before = habits.reckoning();
        SigningTerms terms = signing.house().terms();
        assertThat(reckons("EUR", "19", "14", before.revision()).statusCode()).isEqualTo(302);
        try {
            does.call();
        } finally {
            habits.reckon(new HouseHabits.Reckoning(
                    before.currency(),
                    before.taxPercent(),
                    before.paymentDays(),
                    habits.reckoning().revision()));
            signing.setHouse(new SigningDefaults.House(terms, habits.reckoning().revision()));
        }
    }

    @Test
    void projectsBeginWithWhatTheHouseReckonsWith() throws Exception {
        whileInEuros(() -> {
            Document blank = Jsoup.parse(ines().get("/t/projects/new").body());
            assertThat(blank.select("#currency").val() + blank.select("#tax").val())
                    .isEqualTo("EUR19");
            String today = agency.today().toString();
            ProjectId opened = open(ines(), "Reckoned", template("Something printed"), today, "");
            String works = ines().get("/t/projects/" + opened + "/deliverables").body();
            assertThat(Jsoup.parse(works).select("#usual-days, #usual-rounds").eachAttr("value"))
                    .containsExactly("5", "3");
            return assertThat(projects.paymentDays(opened)).isEqualTo(14);
        });
    }

    @Test
    void aProjectMayReckonOtherwiseThanTheHouse() throws Exception {
        String today = agency.today().toString();
        ProjectId opened = open(ines(), "Otherwise", template("Something printed"), today, "");
        Project its = projects.find(opened).orElseThrow();
        ines().sends(
                        "/t/projects/" + opened + "/details",
                        "name=Otherwise&currency=GBP&tax=20&paymentDays=45&cover=" + its.cover() + "&manager="
                                + its.manager() + "&revision=" + its.revision());
        assertThat(projects.paymentDays(opened)).isEqualTo(45);
        assertThat(ines().get("/t/projects/" + opened + "/papers").body())
                .contains("An invoice without it: 45 days after its date.");
    }

    @Test
    void whatNobodyCanReckonWithIsSaid() throws Exception {
        int read = habits.reckoning().revision();
        assertThat(reckons("gold", "-1", "4000", read).body())
                .contains("is not a currency", "The tax should be a number", "The days until an invoice is due");
        whileInEuros(() -> assertThat(reckons("EUR", "7", "7", read).statusCode())
                .as("changed meanwhile")
                .isEqualTo(409));
    }

    @Test
    void statesAreCalledAsTheHouseLikes() throws Exception {
        Visitor ines = ines();
        Map<String, String> named = new HashMap<>(Map.of(
                "before",
                String.join("; ", List.of("", "", "", "", "", "", "")),
                "TO_BE_PLANNED",
                "On the shelf",
                "UNDER_WAY",
                "On the bench"));
        assertThat(ines.post("/t/house/standings", ines.token(), named).statusCode())
                .isEqualTo(302);
        try {
            assertThat(Texts.of(ines.get("/t").body())).contains("On the bench");
            assertThat(habits.standings()).containsOnlyKeys(ProjectState.TO_BE_PLANNED, ProjectState.UNDER_WAY);
            assertThat(ines.post("/t/house/standings", ines.token(), named).statusCode())
                    .as("named meanwhile")
                    .isEqualTo(409);
        } finally {
            List<String> now = new ArrayList<>(List.of("", "On the shelf", "", "", "", "", "On the bench"));
            assertThat(ines.post("/t/house/standings", ines.token(), Map.of("before", String.join("; ", now)))
                            .statusCode())
                    .isEqualTo(302);
        }
        assertThat(habits.standings()).isEmpty();
        assertThat(Texts.of(ines.get("/t").body())).doesNotContain("On the bench");
    }

    @Test
    void whatIsNextWithAProspectStandsOnTheDesk() throws Exception {
        Visitor ines = ines();
        Directory.Entry corran = directory.all().stream()
                .filter(one -> one.name().equals("Corran Steamers"))
                .findFirst()
                .orElseThrow();
        String before = Jsoup.parse(ines.get("/t/clients?relation=PROSPECT").body())
                .select("form[action$=/" + corran.id() + "/next] input[name=before]")
                .val();
        assertThat(ines.post(
                                "/t/clients/" + corran.id() + "/next",
                                ines.token(),
                                Map.of("before", before, "step", "no such step", "move", "Call", "on", "someday"))
                        .body())
                .contains("Choose one of the steps", "Its day");
        isToCallSinceYesterday(ines, corran, before);
        Document desk = Jsoup.parse(ines.get("/t").body());
        assertThat(desk.select("#prospects li.late").text())
                .contains("Call Bertil about the pier", "Corran Steamers", "proposal sent");
        assertThat(Texts.of(
                        ines.get("/t/clients?relation=PROSPECT&step=deciding").body()))
                .doesNotContain("Call Bertil");
        directory.relate(corran.id(), app.clearpane.core.agency.Relation.ACTIVE);
        assertThat(Jsoup.parse(ines.get("/t").body()).select("#prospects").text())
                .doesNotContain("Call Bertil");
        directory.relate(corran.id(), app.clearpane.core.agency.Relation.PROSPECT);
    }

    private void isToCallSinceYesterday(Visitor ines, Directory.Entry corran, String before) throws Exception {
        ines.post(
                "/t/clients/" + corran.id() + "/next",
                ines.token(),
                Map.of(
                        "before",
                        before,
                        "step",
                        "proposal sent",
                        "move",
                        "Call Bertil about the pier",
                        "on",
                        agency.today().minusDays(1).toString()));
    }
}
