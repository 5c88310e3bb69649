package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.task.ChangeTask;
import app.clearpane.usecases.security.Person;
import java.time.DayOfWeek;
import java.time.temporal.TemporalAdjusters;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * What was typed when a project began can be changed later: its name and money, its phases and milestones, its people.
 */
class ChangedLaterTest extends AtTheMill {
    @Autowired
    private Tasks tasks;

    @Autowired
    private ChangeTask changeTask;

    @Autowired
    People people;

    private String at(String path) {
        return "/t/projects/" + mill() + path;
    }

    @Test
    void theProjectItself() throws Exception {
        Visitor ines = ines();
        Project before = projects.find(mill()).orElseThrow();
        Map<String, String> form = new HashMap<>(Map.of(
                "name",
                "Flour bags and boxes",
                "currency",
                "EUR",
                "tax",
                "17.5",
                "cover",
                before.cover(),
                "manager",
                before.manager().toString(),
                "revision",
                String.valueOf(before.revision()),
                "client",
                "Barley Cooperative"));
        assertThat(ines.post(at("/details"), ines.token(), form).statusCode()).isEqualTo(302);
        try {
            Project after = projects.find(before.id()).orElseThrow();
            assertThat(after.fullName())
                    .as("for another client, too")
                    .isEqualTo("Barley Cooperative: Flour bags and boxes");
            assertThat(after.currency()).isEqualTo("EUR");
            assertThat(Visitor.by(address(), linkOf("imre@hobandbarley.example"))
                            .get("/c/panes/"
                                    + panes.ofProject(before.id()).get(0).id())
                            .body())
                    .contains("Flour bags and boxes");
            assertThat(ines.post("/t/projects/" + before.id() + "/details", ines.token(), form)
                            .statusCode())
                    .as("changed since it was read")
                    .isEqualTo(409);
            form.putAll(Map.of(
                    "revision", String.valueOf(after.revision()), "currency", "gold", "tax", "much", "name", " "));
            assertThat(ines.post("/t/projects/" + before.id() + "/details", ines.token(), form)
                            .body())
                    .contains("“gold” is not a currency", "The tax should be a number", "The project");
        } finally {
            Project after = projects.find(before.id()).orElseThrow();
            ines.post(
                    "/t/projects/" + before.id() + "/details",
                    ines.token(),
                    Map.of(
                            "name",
                            before.name(),
                            "currency",
                            before.currency(),
                            "tax",
                            before.taxPercent().toString(),
                            "cover",
                            before.cover(),
                            "manager",
                            before.manager().toString(),
                            "revision",
                            String.valueOf(after.revision()),
                            "client",
                            before.clientName()));
        }
    }

    @Test
    void phasesAndMilestones() throws Exception {
        Visitor ines = ines();
        ines.post(
                at("/phases"),
                ines.token(),
                Map.of(
                        "name",
                        "Delivery",
                        "startsOn",
                        today().plusDays(20).toString(),
                        "endsOn",
                        today().plusDays(22).toString()));
        List<Phase> phases = projects.phases(mill());
        Phase added = phases.get(phases.size() - 1);
        assertThat(added.name()).isEqualTo("Delivery");
        ines.post(
                at("/phases/" + added.id()),
                ines.token(),
                Map.of(
                        "name",
                        "On the road",
                        "startsOn",
                        added.startsOn().toString(),
                        "endsOn",
                        added.endsOn().toString(),
                        "stage",
                        "TO_DO",
                        "revision",
                        "1"));
        assertThat(projects.phase(mill(), added.id()).orElseThrow().name()).isEqualTo("On the road");
        ines.post(
                at("/phases/" + added.id()),
                ines.token(),
                Map.of(
                        "startsOn",
                        added.startsOn().toString(),
                        "endsOn",
                        added.endsOn().toString(),
                        "stage",
                        "TO_DO",
                        "words",
                        "Two carts, and a day for rain",
                        "revision",
                        "2"));
        assertThat(imre().get("/c/panes/" + pane().id()).body()).contains("Two carts, and a day for rain");
        List<String> before = projects.phases(mill()).stream().map(Phase::name).toList();
        ines.post(at("/phases/" + added.id() + "/earlier"), ines.token(), Map.of());
        List<String> after = projects.phases(mill()).stream().map(Phase::name).toList();
        assertThat(after.get(after.size() - 2)).isEqualTo("On the road");
        assertThat(after).containsExactlyInAnyOrderElementsOf(before);
        assertThat(ines.get(at("/record")).body()).contains("put earlier the phase");
        ines.post(at("/phases/" + added.id() + "/delete"), ines.token(), Map.of("revision", "3"));
        assertThat(projects.phase(mill(), added.id())).isEmpty();
        Milestone only = projects.milestones(mill()).get(0);
        assertThat(ines.post(at("/milestones/" + only.id() + "/delete"), ines.token(), Map.of())
                        .body())
                .contains("is the only milestone");
        ines.post(
                at("/milestones"),
                ines.token(),
                Map.of("name", "Fair", "fallsOn", today().plusDays(30).toString()));
        Milestone fair = projects.milestones(mill()).stream()
                .filter(one -> one.name().equals("Fair"))
                .findFirst()
                .orElseThrow();
        assertThat(ines.post(
                                at("/milestones/" + fair.id()),
                                ines.token(),
                                Map.of(
                                        "name",
                                        "Harvest fair",
                                        "fallsOn",
                                        fair.fallsOn().toString(),
                                        "revision",
                                        String.valueOf(fair.revision())))
                        .body())
                .isEmpty();
        assertThat(projects.milestones(mill()))
                .extracting(Milestone::name)
                .contains("Harvest fair")
                .doesNotContain("Fair");
        assertThat(imre().get("/c/panes/" + pane().id()).body()).contains("Harvest fair");
        ines.post(at("/milestones/" + fair.id() + "/delete"), ines.token(), Map.of());
        assertThat(imre().get("/c/panes/" + pane().id()).body()).doesNotContain("Harvest fair");
    }

    @Test
    void theCoverSaysWhetherItsDayIsAsAgreed() throws Exception {
        Visitor ines = ines();
        ines.post(
                at("/milestones"),
                ines.token(),
                Map.of(
                        "name",
                        "Mill open day",
                        "fallsOn",
                        today().plusDays(400)
                                .with(TemporalAdjusters.next(DayOfWeek.SUNDAY))
                                .toString()));
        Milestone day = projects.milestones(mill()).stream()
                .filter(one -> one.name().equals("Mill open day"))
                .findFirst()
                .orElseThrow();
        assertThat(Jsoup.parse(imre().get("/c/panes/" + pane().id()).body())
                        .select(".cover .next")
                        .text())
                .contains("Mill open day")
                .endsWith("as agreed");
        ines.post(at("/tasks"), ines.token(), Map.of("line", "Whitewash the mill 320d"));
        PlannedTask long320 = tasks.ofProject(mill()).stream()
                .filter(one -> one.name().equals("Whitewash the mill"))
                .findFirst()
                .orElseThrow();
        changeTask.waitsFor(
                day.id(),
                long320.id(),
                new Person.OfTeam(
                        projects.find(mill()).orElseThrow().manager().value(),
                        "Ines Okafor-Lindqvist",
                        TeamRole.MANAGER));
        assertThat(Jsoup.parse(imre().get("/c/panes/" + pane().id()).body())
                        .select(".cover .next small")
                        .text())
                .startsWith("forecast; agreed for ");
        ines.post(
                "/t/tasks/" + long320.id() + "/delete",
                ines.token(),
                Map.of(
                        "before",
                        "revision " + tasks.find(long320.id()).orElseThrow().revision()));
        ines.post(at("/milestones/" + day.id() + "/delete"), ines.token(), Map.of());
    }

    @Test
    void people() throws Exception {
        Visitor ines = ines();
        ines.post(
                at("/people"),
                ines.token(),
                Map.of("client", "", "name", "Ros Tyler", "email", "ros@hobandbarley.example", "says", "shop"));
        Contact ros =
                people.contactAt(new EmailAddress("ros@hobandbarley.example")).orElseThrow();
        String old = linkOf("ros@hobandbarley.example");
        assertThat(ines.post(
                                at("/people/" + ros.id()),
                                ines.token(),
                                Map.of("name", "Rosalind Tyler", "email", "imre@hobandbarley.example", "says", "shop"))
                        .body())
                .contains("is the address of Imre");
        assertThat(ines.post(
                                at("/people/" + ros.id()),
                                ines.token(),
                                Map.of(
                                        "name",
                                        "Rosalind Tyler",
                                        "email",
                                        "rosalind@hobandbarley.example",
                                        "says",
                                        "the shop"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(people.contact(ros.id()).orElseThrow())
                .extracting(Contact::name, Contact::email, Contact::occupation)
                .containsExactly("Rosalind Tyler", "rosalind@hobandbarley.example", "the shop");
        assertThat(new Visitor(address()).get(old).body())
                .as("what went to the old address opens nothing")
                .doesNotContain("Rosalind");
    }
}
