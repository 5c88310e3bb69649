package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.plan.PhaseTemplate;
import app.clearpane.core.plan.PlannedTask;
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
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
        Map<String, String> form = new HashMap<>(Map.of(
                "client",
                "Moorside Reading Rooms",
                "name",
                name,
                "cover",
                "night",
                "currency",
                "GBP",
                "tax",
                "20",
                "startsOn",
                startsOn,
                "agreedOn",
                agreedOn,
                "template",
                template.id().toString(),
                "tasks",
                "true",
                "contacts",
                ""));
        String location = ines.post("/t/projects", ines.token(), form)
                .headers()
                .firstValue("Location")
                .orElseThrow();
        return ProjectId.of(location.split("/projects/")[1].split("/")[0]);
    }

    @Test
    void aTemplateIsMadeFromAProjectCopiedChangedAndUsed() throws Exception {
        Visitor ines = ines();
        ines.post("/t/house/templates", ines.token(), Map.of("name", "Bags for flour", "from", mill().toString()));
        HouseTemplates.Kept made = template("Bags for flour");
        assertThat(made.template().phases())
                .containsExactlyElementsOf(
                        projects.phases(mill()).stream().map(Phase::name).toList());
        ines.post("/t/house/templates/" + made.id() + "/copy", ines.token(), Map.of());
        HouseTemplates.Kept copy = template("Bags for flour (2)");
        Map<String, String> form = new HashMap<>(Map.of(
                "name",
                "Bags and boxes",
                "finish",
                "Market day",
                "outline",
                "Sketch, 4 days\n- Draw it, 3\n- client: Choose, 1\nMake, 6 days",
                "step-IN_CHECK",
                "at the printers",
                "checklist",
                "Weight printed\n\nName of the mill",
                "revision",
                "1"));
        assertThat(ines.post("/t/house/templates/" + copy.id(), ines.token(), form)
                        .statusCode())
                .isEqualTo(302);
        HouseTemplates.Kept changed = template("Bags and boxes");
        assertThat(changed.template().checklist()).containsExactly("Weight printed", "Name of the mill");
        assertThat(ines.post("/t/house/templates/" + copy.id(), ines.token(), form)
                        .statusCode())
                .as("changed meanwhile")
                .isEqualTo(409);
        form.putAll(Map.of("outline", "- Draw it", "revision", "2", "name", "Bags for flour"));
        assertThat(Texts.of(ines.post("/t/house/templates/" + copy.id(), ines.token(), form)
                        .body()))
                .contains("Line 1: a task stands in a phase", "There is a template");

        WorkingCalendar days = agency.calendar();
        LocalDate end = days.rollForward(agency.today().plusDays(60));
        ProjectId back = open(ines, "Back from an end", changed, "", end.toString());
        Project counted = projects.find(back).orElseThrow();
        assertThat(days.workingDays(counted.startsOn(), end.plusDays(1))).isEqualTo(10);
        assertThat(projects.phases(back)).extracting(Phase::name).containsExactly("Sketch", "Make");
        assertThat(tasks.ofProject(back)).extracting(PlannedTask::name).containsExactly("Draw it", "Choose");
        assertThat(projects.milestones(back)).singleElement().satisfies(one -> assertThat(one.name())
                .isEqualTo("Market day"));
        LocalDate start = days.rollForward(agency.today().plusDays(7));
        Project forth = projects.find(open(ines, "From a start", changed, start.toString(), ""))
                .orElseThrow();
        assertThat(days.workingDays(start, forth.agreedOn().plusDays(1))).isEqualTo(10);

        ines.post("/t/house/templates/" + copy.id() + "/drop", ines.token(), Map.of("revision", "2"));
        assertThat(templates.find(copy.id())).isEmpty();
        assertThat(projects.phases(back)).as("what was laid out stays").hasSize(2);
        assertThat(imre().get("/t/house/templates").statusCode()).isEqualTo(404);
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

    @Test
    void projectsBeginWithWhatTheHouseReckonsWith() throws Exception {
        Visitor ines = ines();
        HouseHabits.Reckoning before = habits.reckoning();
        SigningTerms terms = signing.house().terms();
        Map<String, String> form = new HashMap<>(Map.of(
                "currency",
                "EUR",
                "tax",
                "19",
                "paymentDays",
                "14",
                "reviewDays",
                "5",
                "rounds",
                "3",
                "fee",
                "180",
                "rule",
                "ANY",
                "revision",
                String.valueOf(before.revision())));
        assertThat(ines.post("/t/house/usual", ines.token(), form).statusCode()).isEqualTo(302);
        try {
            Document blank = Jsoup.parse(ines.get("/t/projects/new").body());
            assertThat(blank.select("#currency").val() + blank.select("#tax").val())
                    .isEqualTo("EUR19");
            ProjectId opened = open(
                    ines,
                    "Reckoned",
                    template("Something printed"),
                    agency.today().toString(),
                    "");
            assertThat(Jsoup.parse(ines.get("/t/projects/" + opened + "/deliverables")
                                    .body())
                            .select("#usual-days, #usual-rounds")
                            .eachAttr("value"))
                    .containsExactly("5", "3");
            assertThat(projects.paymentDays(opened)).isEqualTo(14);
            Project its = projects.find(opened).orElseThrow();
            ines.post(
                    "/t/projects/" + opened + "/details",
                    ines.token(),
                    Map.of(
                            "name",
                            its.name(),
                            "currency",
                            "GBP",
                            "tax",
                            "20",
                            "cover",
                            its.cover(),
                            "manager",
                            its.manager().toString(),
                            "paymentDays",
                            "45",
                            "revision",
                            String.valueOf(its.revision())));
            assertThat(projects.paymentDays(opened))
                    .as("its own over the house's")
                    .isEqualTo(45);
            assertThat(ines.get("/t/projects/" + opened + "/papers").body())
                    .contains("An invoice without it: 45 days after its date.");
            form.putAll(Map.of("currency", "gold", "tax", "-1", "paymentDays", "4000"));
            assertThat(ines.post("/t/house/usual", ines.token(), form).body())
                    .contains("is not a currency", "The tax should be a number", "The days until an invoice is due");
            form.putAll(Map.of("currency", "EUR", "tax", "7", "paymentDays", "7"));
            assertThat(ines.post("/t/house/usual", ines.token(), form).statusCode())
                    .as("changed meanwhile")
                    .isEqualTo(409);
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
}
