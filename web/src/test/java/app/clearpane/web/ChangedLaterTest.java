package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.task.ChangeTask;
import java.net.http.HttpResponse;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
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

    /** Changes what a project is called and reckoned in. */
    private HttpResponse<String> details(Project was, String name, String currency, String tax, String client)
            throws Exception {
        return ines().sends(
                        "/t/projects/" + was.id() + "/details",
                        "name=" + name + "&currency=" + currency + "&tax=" + tax + "&client=" + client + "&cover="
                                + was.cover() + "&manager=" + was.manager() + "&revision=" + was.revision());
    }

    @Test
    void whatAProjectIsCalledForWhomAndInWhichMoney() throws Exception {
        Project before = projects.find(mill()).orElseThrow();
        assertThat(details(before, "Flour bags and boxes", "EUR", "17.5", "Barley Cooperative")
                        .statusCode())
                .isEqualTo(302);
        Project after = projects.find(before.id()).orElseThrow();
        String pane = imre().get(
                        "/c/panes/" + panes.ofProject(before.id()).get(0).id())
                .body();
        HttpResponse<String> late = details(before, "Late", "EUR", "17.5", "Barley Cooperative");
        String tax = before.taxPercent().toString();
        details(after, before.name(), before.currency(), tax, before.clientName());
        assertThat(after.fullName())
                .as("for another client, too")
                .isEqualTo("Barley Cooperative: Flour bags and boxes");
        assertThat(after.currency()).isEqualTo("EUR");
        assertThat(pane).contains("Flour bags and boxes");
        assertThat(late.statusCode()).as("changed since it was read").isEqualTo(409);
        assertThat(projects.find(before.id()).orElseThrow().fullName()).isEqualTo(before.fullName());
    }

    @Test
    void whatCannotBeAProjectsNameMoneyOrTaxIsSaid() throws Exception {
        Project before = projects.find(mill()).orElseThrow();
        assertThat(details(before, " ", "gold", "much", before.clientName()).body())
                .contains("“gold” is not a currency", "The tax should be a number", "The project");
        assertThat(projects.find(before.id()).orElseThrow()).isEqualTo(before);
    }

    /** A phase at the end of the plan. */
    private Phase added(String name) throws Exception {
        String days = "&startsOn=" + today().plusDays(20) + "&endsOn=" + today().plusDays(22);
        ines().sends(at("/phases"), "name=" + name + days);
        List<Phase> phases = projects.phases(mill());
        Phase added = phases.get(phases.size() - 1);
        assertThat(added.name()).isEqualTo(name);
        return added;
    }

    private void delete(Phase phase, int revision) throws Exception {
        ines().sends(at("/phases/" + phase.id() + "/delete"), "revision=" + revision);
        assertThat(projects.phase(mill(), phase.id())).isEmpty();
    }

    @Test
    void aPhaseIsCalledOtherwiseAndWhatIsSaidOfItIsReadByClients() throws Exception {
        Phase added = added("Delivery");
        String days = "startsOn=" + added.startsOn() + "&endsOn=" + added.endsOn() + "&stage=TO_DO";
        ines().sends(at("/phases/" + added.id()), days + "&name=On the road&revision=1");
        assertThat(projects.phase(mill(), added.id()).orElseThrow().name()).isEqualTo("On the road");
        ines().sends(at("/phases/" + added.id()), days + "&words=Two carts, and a day for rain&revision=2");
        assertThat(imre().get("/c/panes/" + pane().id()).body()).contains("Two carts, and a day for rain");
        delete(added, 3);
    }

    @Test
    void aPhaseIsPutEarlier() throws Exception {
        Phase added = added("Put earlier");
        List<String> before = projects.phases(mill()).stream().map(Phase::name).toList();
        ines().sends(at("/phases/" + added.id() + "/earlier"), "");
        List<String> after = projects.phases(mill()).stream().map(Phase::name).toList();
        assertThat(after.get(after.size() - 2)).isEqualTo("Put earlier");
        assertThat(after).containsExactlyInAnyOrderElementsOf(before);
        assertThat(ines().get(at("/record")).body()).contains("put earlier the phase");
        delete(added, 1);
    }

    @Test
    void aPlanKeepsItsLastMilestone() throws Exception {
        Milestone only = projects.milestones(mill()).get(0);
        assertThat(ines().sends(at("/milestones/" + only.id() + "/delete"), "").body())
                .contains("is the only milestone");
    }

    private Milestone milestone(String name) {
        return projects.milestones(mill()).stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aMilestoneIsAddedCalledOtherwiseAndDeleted() throws Exception {
        ines().sends(at("/milestones"), "name=Fair&fallsOn=" + today().plusDays(30));
        Milestone fair = milestone("Fair");
        String otherwise = "name=Harvest fair&fallsOn=" + fair.fallsOn() + "&revision=" + fair.revision();
        assertThat(ines().sends(at("/milestones/" + fair.id()), otherwise).body())
                .isEmpty();
        assertThat(projects.milestones(mill()))
                .extracting(Milestone::name)
                .contains("Harvest fair")
                .doesNotContain("Fair");
        assertThat(imre().get("/c/panes/" + pane().id()).body()).contains("Harvest fair");
        ines().sends(at("/milestones/" + fair.id() + "/delete"), "");
        assertThat(imre().get("/c/panes/" + pane().id()).body()).doesNotContain("Harvest fair");
    }

    private String onCover(String what) throws Exception {
        return Jsoup.parse(imre().get("/c/panes/" + pane().id()).body())
                .select(".cover .next" + what)
                .text();
    }

    @Test
    void theCoverSaysWhetherItsDayIsAsAgreed() throws Exception {
        LocalDate sunday = today().plusDays(400).with(TemporalAdjusters.next(DayOfWeek.SUNDAY));
        ines().sends(at("/milestones"), "name=Mill open day&fallsOn=" + sunday);
        Milestone day = milestone("Mill open day");
        assertThat(onCover("")).contains("Mill open day").endsWith("as agreed");
        ines().sends(at("/tasks"), "line=Whitewash the mill 320d");
        PlannedTask long320 = tasks.ofProject(mill()).stream()
                .filter(one -> one.name().equals("Whitewash the mill"))
                .findFirst()
                .orElseThrow();
        changeTask.waitsFor(day.id(), long320.id(), member("ines@marram-finch.example"));
        assertThat(onCover(" small")).startsWith("forecast; agreed for ");
        String read =
                "before=revision " + tasks.find(long320.id()).orElseThrow().revision();
        ines().sends("/t/tasks/" + long320.id() + "/delete", read);
        ines().sends(at("/milestones/" + day.id() + "/delete"), "");
    }

    @Test
    void aPersonsNameAndAddressAreChangedAndNobodyElsesIsTaken() throws Exception {
        Visitor ines = ines();
        ines.sends(at("/people"), "client=&name=Ros Tyler&email=ros@hobandbarley.example&says=shop");
        Contact ros =
                people.contactAt(new EmailAddress("ros@hobandbarley.example")).orElseThrow();
        String old = linkOf("ros@hobandbarley.example");
        String otherwise = "name=Rosalind Tyler&says=the shop&email=";
        assertThat(ines.sends(at("/people/" + ros.id()), otherwise + "imre@hobandbarley.example")
                        .body())
                .contains("is the address of Imre");
        ines.sends(at("/people/" + ros.id()), otherwise + "rosalind@hobandbarley.example");
        assertThat(people.contact(ros.id()).orElseThrow())
                .extracting(Contact::name, Contact::email, Contact::occupation)
                .containsExactly("Rosalind Tyler", "rosalind@hobandbarley.example", "the shop");
        assertThat(new Visitor(address()).get(old).body())
                .as("what went to the old address opens nothing")
                .doesNotContain("Rosalind");
    }
}
