package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.Project;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.SeatWish;
import app.clearpane.store.exposure.SeatWishes;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.MakeLink;
import java.net.http.HttpResponse;
import java.util.Map;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Whom a lead voice names for seats; addresses of links seen again; for whom words start; the house's own work. */
class SeatWishTest extends AtTheMill {
    @Autowired
    private SeatWishes wishes;

    @Autowired
    private Seats seats;

    @Autowired
    private People people;

    @Autowired
    private MakeLink makeLink;

    @Autowired
    private Tasks tasks;

    private SeatWish wish(String email) {
        return wishes.open(mill()).stream()
                .filter(one -> one.email().equals(email))
                .findFirst()
                .orElseThrow();
    }

    private HttpResponse<String> names(Visitor who, String name, String email, String role) throws Exception {
        return who.sends(
                "/c/panes/" + pane().id() + "/your-people",
                "name=" + name + "&email=" + email + "&says=bakery&role=" + role);
    }

    @Test
    void onlyTheLeadVoiceNamesSomebody() throws Exception {
        Visitor grete = grete();
        assertThat(grete.get("/c/panes/" + pane().id() + "/your-people").statusCode())
                .isEqualTo(404);
        assertThat(names(grete, "Odd One", "odd@hobandbarley.example", "READER").statusCode())
                .isEqualTo(404);
    }

    @Test
    void whoeverIsNamedBadlyOrTwiceOrIsThereIsNotNamed() throws Exception {
        Visitor imre = imre();
        assertThat(names(imre, "", "nowhere", "OWNER").body())
                .contains("The name", "The mail address", "What they shall do");
        names(imre, "Twice Ek", "twice@hobandbarley.example", "REVIEWER");
        assertThat(names(imre, "Twice Ek", "Twice@hobandbarley.example", "READER")
                        .body())
                .contains("already");
        assertThat(names(imre, "Grete", "grete@hobandbarley.example", "READER").body())
                .contains("sees this page already");
    }

    @Test
    void whoeverIsNamedIsGivenASeatAtOnePress() throws Exception {
        EmailAddress sunniva = new EmailAddress("sunniva@hobandbarley.example");
        names(imre(), "Sunniva Ek", sunniva.value(), "REVIEWER");
        String page = "/c/panes/" + pane().id() + "/your-people";
        assertThat(imre().get(page).body()).contains("Sunniva Ek", "named ");
        assertThat(people.contactAt(sunniva)).as("nothing is given by naming").isEmpty();
        await().until(() -> mailsAbout("ines@marram-finch.example", "names somebody: Sunniva Ek") == 1);
        Visitor ines = ines();
        assertThat(Texts.of(ines.get("/t/projects/" + mill() + "/people").body()))
                .contains("Sunniva Ek", "as reviewer");
        String give = "/t/wishes/" + wish(sunniva.value()).id() + "/give";
        assertThat(ines.sends(give, "").statusCode()).isEqualTo(302);
        assertThat(seats.ofPane(pane().id())).extracting(SeatRow::email).contains(sunniva.value());
        await().until(() -> mailsAbout(sunniva.value(), "your page with") == 1);
        assertThat(ines.sends(give, "").statusCode()).as("answered already").isEqualTo(409);
        assertThat(imre().get(page).body()).contains("has a seat");
    }

    @Test
    void whoeverIsNotGivenASeatIsAnsweredWhy() throws Exception {
        names(imre(), "Late Comer", "late@hobandbarley.example", "SIGNATORY");
        String decline = "/t/wishes/" + wish("late@hobandbarley.example").id() + "/decline";
        assertThat(ines().sends(decline, "why= ").body()).contains("Say why not");
        ines().sends(decline, "why=Once the bags are printed");
        assertThat(imre().get("/c/panes/" + pane().id() + "/your-people").body())
                .contains("not now", "Once the bags are printed");
        assertThat(people.contactAt(new EmailAddress("late@hobandbarley.example")))
                .isEmpty();
    }

    @Test
    void theAddressOfALinkIsSeenAgainAndThatIsRecorded() throws Exception {
        MakeLink.Made made =
                makeLink.make(pane().id(), new MakeLink.Form("Seen again", false, "", ""), Acting.team("Ines"));
        MakeLink.Made again = makeLink.show(made.link(), Acting.team("Ines"));
        assertThat(again.address()).isEqualTo(made.address());
        assertThat(makeLink.renew(made.link(), Acting.team("Ines")).address())
                .isNotEqualTo(made.address())
                .isEqualTo(makeLink.show(made.link(), Acting.team("Ines")).address());
        assertThat(ines().get("/t/projects/" + mill() + "/record").body())
                .contains("looked at the address of a link to");
        assertThat(ines().get("/t/links/" + made.link()).body())
                .contains("See the address again")
                .doesNotContain(made.address());
    }

    @Test
    void wordsStartForWhomTheProjectSays() throws Exception {
        Visitor ines = ines();
        ines.post("/t/projects/" + mill() + "/tasks", ines.token(), Map.of("line", "Words that start"));
        String task = "/t/tasks/"
                + tasks.ofProject(mill()).stream()
                        .filter(one -> one.name().equals("Words that start"))
                        .map(PlannedTask::id)
                        .findFirst()
                        .orElseThrow();
        assertThat(Jsoup.parse(ines.get(task).body())
                        .select("form[action$=/comments] input[name=teamOnly]")
                        .hasAttr("checked"))
                .isTrue();
        ines.post("/t/projects/" + mill() + "/says", ines.token(), Map.of("before", "false", "toClient", "true"));
        assertThat(Jsoup.parse(ines.get(task).body())
                        .select("form[action$=/comments] input[name=teamOnly]")
                        .hasAttr("checked"))
                .isFalse();
        ines.post("/t/projects/" + mill() + "/says", ines.token(), Map.of("before", "true", "toClient", "false"));
    }

    @Test
    void theHousesOwnWorkIsForNoClient() throws Exception {
        Visitor ines = ines();
        String template = Jsoup.parse(ines.get("/t/projects/new").body())
                .select("input[name=template]")
                .first()
                .val();
        String form = "client=&name=Tidy the archive&cover=night&currency=GBP&tax=20&startsOn=2026-11-02&agreedOn="
                + "&contacts=&template=" + template;
        assertThat(ines.sends("/t/projects", form).statusCode()).isEqualTo(302);
        Project own = projects.active().stream()
                .filter(one -> one.name().equals("Tidy the archive"))
                .findFirst()
                .orElseThrow();
        assertThat(own.fullName()).isEqualTo("Tidy the archive");
        assertThat(own.isOwn()).isTrue();
        assertThat(Jsoup.parse(ines.get("/t/clients").body()).select("main").text())
                .doesNotContain("Our own work", "Tidy the archive");
        assertThat(ines.get("/t/projects").body()).contains("Tidy the archive");
        ines.sends(
                "/t/projects/" + own.id() + "/details",
                "client=&name=Tidy the attic&currency=GBP&tax=20&cover=night&paymentDays=&manager=" + own.manager()
                        + "&revision=" + own.revision());
        assertThat(projects.find(own.id()).orElseThrow().fullName()).isEqualTo("Tidy the attic");
    }
}
