package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Ending;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.exposure.MakeLink;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.jooq.DSLContext;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What is typed or pressed wrongly, too often or too late where it is decided who sees what; on a project of its own
 * that is put away again.
 */
class ExposureInputTest extends DemoHouse {
    private static final Pattern SEEN = Pattern.compile("name=\"seen\" value=\"([0-9a-f]{64})\"");

    @Autowired
    private Items items;

    @Autowired
    private LinkSeats links;

    @Autowired
    private MakeLink makeLink;

    @Autowired
    private Seats seats;

    @Autowired
    private People people;

    @Autowired
    private DSLContext db;

    @Autowired
    private Vault vault;

    @Autowired
    private TransactionTemplate transactions;

    private ProjectId project;
    private PaneId pane;
    private Visitor ines;

    @BeforeEach
    void aProjectOfItsOwn() throws Exception {
        Project like = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow();
        project = new ProjectId(UUID.randomUUID());
        projects.open(
                new Project(
                        project,
                        like.client(),
                        like.clientName(),
                        like.manager(),
                        "Input",
                        "night",
                        "GBP",
                        like.taxPercent(),
                        null,
                        like.startsOn(),
                        like.agreedOn(),
                        null,
                        null,
                        "",
                        null,
                        "",
                        0,
                        1),
                clock.instant());
        pane = panes.add(project, "Testers", "", clock.instant());
        panes.setAperture(pane, ContentKind.DATES, Aperture.PICKED);
        ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
    }

    @AfterEach
    void putAway() {
        panes.ofProject(project)
                .forEach(one -> seats.ofPane(one.id()).forEach(seat -> seats.end(seat, clock.instant())));
        projects.archive(projects.find(project).orElseThrow(), Ending.FINISHED, "", clock.instant());
    }

    private HttpResponse<String> post(String path, Map<String, String> form) throws Exception {
        return ines.post(path, ines.token(), form);
    }

    private String board() {
        return "/t/projects/" + project + "/panes?pane=" + pane + "&kind=DATES";
    }

    private Pane now() {
        return panes.withSettings(project).get(0);
    }

    @Test
    void publishesOnlyWhatWasSeen() throws Exception {
        ItemId first = items.add(project, ContentKind.DATES, "Roof on", Optional.empty(), clock.instant());
        ItemId second = items.add(project, ContentKind.DATES, "Roof off again", Optional.empty(), clock.instant());
        panes.setShowings(pane, java.util.List.of(first), Showing.SHOWN, Actor.kept("Ines"), clock.instant());
        Matcher seen = SEEN.matcher(ines.get(board()).body());
        assertThat(seen.find()).isTrue();
        panes.setShowings(pane, java.util.List.of(second), Showing.SHOWN, Actor.kept("Teo"), clock.instant());
        Map<String, String> form =
                Map.of("revision", String.valueOf(panes.find(pane).orElseThrow().revision()), "seen", seen.group(1));
        HttpResponse<String> refused = post("/t/panes/" + pane + "/publish", form);
        assertThat(refused.statusCode()).isEqualTo(409);
        assertThat(refused.body())
                .contains("Somebody changed what passes at “Testers” while you were looking", "Roof off again");
        assertThat(panes.find(pane).orElseThrow().publishedAt()).isNull();
        Matcher again = SEEN.matcher(ines.get(board()).body());
        assertThat(again.find()).isTrue();
        Map<String, String> both = Map.of("revision", form.get("revision"), "seen", again.group(1));
        assertThat(post("/t/panes/" + pane + "/publish", both).statusCode()).isEqualTo(302);
        assertThat(now().published().settings().keySet()).containsExactlyInAnyOrder(first, second);
        assertThat(post("/t/panes/" + pane + "/publish", both).statusCode())
                .as("published by somebody else meanwhile")
                .isEqualTo(409);
    }

    @Test
    void tenThousandThingsAreShownAtOnce() throws Exception {
        transactions.executeWithoutResult(status -> IntStream.range(0, 10_000)
                .forEach(i -> items.add(project, ContentKind.DATES, "Day " + i, Optional.empty(), clock.instant())));
        assertThat(post(
                                "/t/panes/" + pane + "/showings/many",
                                Map.of("kind", "DATES", "all", "true", "showing", "SHOWN"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(now().pending().settings()).hasSize(10_000);
        assertThat(ines.get(board()).body()).contains("Show the other 9900", "all 10000");
        assertThat(post(
                                "/t/panes/" + pane + "/showings/many",
                                Map.of("kind", "DATES", "all", "true", "showing", "UNSET"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(now().pending().settings()).isEmpty();
        assertThat(post("/t/panes/" + pane + "/showings/many", Map.of("kind", "DATES", "showing", "SHOWN"))
                        .body())
                .contains("Nothing is chosen. Tick what is meant");
    }

    @Test
    void aThingOfAnotherProjectIsNotShownHere() throws Exception {
        ItemId elsewhere = items.ofProject(projects.active().stream()
                        .filter(one -> one.name().equals("Visitor centre"))
                        .findFirst()
                        .orElseThrow()
                        .id())
                .get(0)
                .id();
        assertThat(post(
                                "/t/panes/" + pane + "/showings/many",
                                Map.of("kind", "DATES", "item", elsewhere.toString(), "showing", "SHOWN"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(post(
                                "/t/panes/" + pane + "/showings",
                                Map.of("kind", "DATES", "item", elsewhere.toString(), "showing", "SHOWN"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(now().pending().settings()).isEmpty();
    }

    @Test
    void filtersAreNamesAndNotTooMany() throws Exception {
        assertThat(post("/t/panes/" + pane + "/filters", Map.of("folders", "x".repeat(121)))
                        .body())
                .contains("A name may have 120 characters; this one has 121");
        assertThat(post(
                                "/t/panes/" + pane + "/filters",
                                Map.of(
                                        "folders",
                                        String.join(
                                                ",",
                                                IntStream.range(0, 41)
                                                        .mapToObj(i -> "Folder " + i)
                                                        .toList())))
                        .body())
                .contains("Name at most 40 folders.");
        assertThat(post("/t/panes/" + pane + "/apertures", Map.of("kind", "DELIVERABLES", "aperture", "FILTERED"))
                        .body())
                .contains("There are no filters for this kind");
        assertThat(post("/t/panes/" + pane + "/arrivals", Map.of("kind", "STATUS", "shown", "true"))
                        .body())
                .contains("nothing arrives in it");
        assertThat(now().pending().filters(ContentKind.FILES))
                .as("as it was, from the starting point")
                .extracting(Object::toString)
                .containsExactly("Folder[name=Finished artwork]");
    }

    @Test
    void sectionsComeWhole() throws Exception {
        HttpResponse<String> pieces = post(
                "/t/panes/" + pane + "/sections",
                Map.of("kind", "FILES", "place", "1", "title", "Drawings", "line", "x".repeat(201)));
        assertThat(pieces.statusCode()).isEqualTo(422);
        assertThat(pieces.body()).contains("The line");
        assertThat(panes.sections(pane)).isEmpty();
        assertThat(post(
                                "/t/panes/" + pane + "/sections",
                                Map.of("kind", "FILES", "place", "1", "title", "Drawings", "line", "To build from."))
                        .statusCode())
                .isEqualTo(302);
        assertThat(panes.sections(pane)).extracting(section -> section.title()).containsExactly("Drawings");
    }

    @Test
    void aNoteSaysSomethingAndIsOnSomethingOfTheProject() throws Exception {
        String notes = "/t/projects/" + project + "/notes";
        assertThat(post(notes, Map.of("subject", project.toString(), "body", "  "))
                        .body())
                .contains("Write the note first.");
        assertThat(post(notes, Map.of("subject", UUID.randomUUID().toString(), "body", "On nothing"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(post(notes, Map.of("subject", project.toString(), "body", "Ring them"))
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .contains("/plan");
        assertThat(ines.get("/t/projects/" + project + "/plan?as=dates").body()).contains("Ring them");
        Visitor teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
        assertThat(teo.get("/t/projects/" + project + "/plan?as=dates").body())
                .as("one for oneself")
                .doesNotContain("Ring them");
    }

    @Test
    void aCopyIsMadeOfAPaneOfThisProjectOnly() throws Exception {
        PaneId elsewhere = panes.ofProject(projects.active().stream()
                        .filter(one -> one.name().equals("Visitor centre"))
                        .findFirst()
                        .orElseThrow()
                        .id())
                .get(0)
                .id();
        assertThat(post(
                                "/t/projects/" + project + "/panes",
                                Map.of("name", "Likewise", "welcome", "", "like", elsewhere.toString()))
                        .statusCode())
                .isEqualTo(404);
        assertThat(post(
                                "/t/projects/" + project + "/panes",
                                Map.of("name", "Likewise", "welcome", "", "like", pane.toString()))
                        .statusCode())
                .isEqualTo(302);
        assertThat(panes.ofProject(project)).extracting(Panes.Row::name).containsExactly("Testers", "Likewise");
        assertThat(panes.withSettings(project).get(1).pending().aperture(ContentKind.DATES))
                .isEqualTo(Aperture.PICKED);
    }

    @Test
    void theLastDayIsNotBeforeTheFirst() throws Exception {
        Map<String, String> form = Map.of(
                "name",
                "Testers",
                "welcome",
                "",
                "guide",
                "",
                "firstDay",
                "2027-05-02",
                "lastDay",
                "2027-05-01",
                "revision",
                "1");
        assertThat(post("/t/panes/" + pane + "/words", form).body()).contains("The last day is before the first.");
        assertThat(panes.find(pane).orElseThrow().closesAt()).isNull();
    }

    @Test
    void aLinkThatOpensNothingLooksLikeOneThatNeverWas() throws Exception {
        panes.publish(panes.find(pane).orElseThrow(), clock.instant());
        MakeLink.Made taken = makeLink.make(pane, new MakeLink.Form("Taken", false, "", ""), Acting.team("Ines"));
        makeLink.revoke(taken.link(), Acting.team("Ines"));
        HttpResponse<String> revoked = new Visitor(address()).get(taken.address());
        HttpResponse<String> unknown = new Visitor(address()).get("/p/" + "x".repeat(22));
        assertThat(revoked.statusCode()).isEqualTo(unknown.statusCode()).isEqualTo(404);
        assertThat(plain(revoked.body())).isEqualTo(plain(unknown.body()));
        assertThat(post(
                                "/t/panes/" + pane + "/links",
                                Map.of("name", "Late", "passcode", "abc", "lastDay", "2020-01-01"))
                        .body())
                .contains("The last day is past already.", "A passcode has 6 to 60 characters.");
        assertThat(links.ofProject(project)).hasSize(1);
    }

    @Test
    void aPasscodeIsNotGuessed() throws Exception {
        panes.publish(panes.find(pane).orElseThrow(), clock.instant());
        MakeLink.Made made =
                makeLink.make(pane, new MakeLink.Form("Guarded", false, "maple tree", ""), Acting.team("Ines"));
        Visitor stranger = new Visitor(address());
        String token = Visitor.token(stranger.get(made.address()).body());
        int tried = 0;
        String said;
        do {
            said = stranger.post(made.address(), token, Map.of("passcode", "guess " + tried))
                    .body();
            tried++;
        } while (said.contains("That is not the passcode") && tried < 1_000);
        assertThat(said).contains("tried too often");
        assertThat(tried).isLessThan(30);
        assertThat(stranger.get("/c/panes/" + pane).statusCode()).isEqualTo(302);
    }

    private static String plain(String page) {
        return page.replaceAll("(value|content)=\"[^\"]{20,}\"", "")
                .replaceAll("hx-headers=\"[^\"]*\"", "")
                .replaceAll("hx-headers='[^']*'", "");
    }

    @Test
    void whoHasSeatsAtTwoPanesSeesWhatEitherShows() throws Exception {
        PaneId other = panes.add(project, "Builders", "", clock.instant());
        ItemId drawing = drawingShownAt(other);
        for (PaneId one : java.util.List.of(pane, other)) {
            panes.publish(panes.find(one).orElseThrow(), clock.instant());
            seats.invited(
                    seats.give(
                            one,
                            people.contactAt(new EmailAddress("per@penwether.example"))
                                    .orElseThrow()
                                    .id(),
                            app.clearpane.core.exposure.SeatRole.READER,
                            clock.instant()),
                    clock.instant());
        }
        Visitor per = Visitor.by(address(), linkOf("per@penwether.example"));
        assertThat(per.get("/c/panes/" + pane).body()).contains("You also see this project as", "/c/panes/" + other);
        assertThat(per.get("/c/panes/" + pane + "/files/" + drawing)
                        .headers()
                        .firstValue("Location")
                        .orElse(""))
                .endsWith("/c/panes/" + other + "/files/" + drawing);
        assertThat(per.get("/c/panes/" + pane + "/files/" + UUID.randomUUID()).statusCode())
                .isEqualTo(404);
        assertThat(per.get("/c").body()).contains("Input: Testers", "Input: Builders");
        isNoOthersToSee(drawing);
    }

    private ItemId drawingShownAt(PaneId other) throws Exception {
        ItemId drawing = items.add(project, ContentKind.FILES, "mill-drawing.txt", Optional.empty(), clock.instant());
        new app.clearpane.store.files.ProjectFiles(db)
                .addFile(
                        drawing,
                        vault.store(new java.io.ByteArrayInputStream(new byte[] {1}), 10),
                        "text/plain",
                        Actor.kept("Teo"));
        panes.setShowing(
                other,
                drawing,
                new app.clearpane.core.exposure.Setting(Showing.SHOWN, Actor.kept("Ines"), clock.instant()));
        panes.giveItsOwn(other);
        panes.setAperture(other, ContentKind.FILES, Aperture.PICKED);
        return drawing;
    }

    private void isNoOthersToSee(ItemId drawing) throws Exception {
        Visitor mirela = Visitor.by(address(), linkOf("mirela@penwether.example"));
        assertThat(mirela.get("/c/panes/" + pane + "/files/" + drawing).statusCode())
                .isEqualTo(404);
    }

    @Test
    void aPaneHasACoverOfItsOwnOrTheProjects() throws Exception {
        Map<String, String> words = new java.util.HashMap<>(Map.of(
                "name",
                "Testers",
                "welcome",
                "",
                "lastDay",
                "",
                "cover",
                "shore",
                "revision",
                String.valueOf(panes.find(pane).orElseThrow().revision())));
        assertThat(post("/t/panes/" + pane + "/words", words).statusCode()).isEqualTo(302);
        assertThat(panes.find(pane).orElseThrow().cover()).isEqualTo("shore");
        words.put("cover", "../secret");
        assertThat(post("/t/panes/" + pane + "/words", words).body()).contains("Choose one of the covers");
    }
}
