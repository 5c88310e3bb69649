package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.web.Visitor;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Signing many at once, in another's place and on a phone, and releasing again what was recalled. */
class ManySignaturesJourneyTest extends Journey {
    private static final int BAGS = 12;
    private static final Pattern END = Pattern.compile("/t/stand-ins/[0-9a-f-]{36}/end");

    @Autowired
    private Deliverables deliverables;

    @Autowired
    private Seats seats;

    private ProjectId mill;
    private Panes.Row pane;
    private Visitor ines;

    @BeforeEach
    void atTheMill() throws Exception {
        mill = projects.active().stream()
                .filter(project -> project.name().equals("Flour bags"))
                .findFirst()
                .orElseThrow()
                .id();
        pane = panes.ofProject(mill).get(0);
        ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
    }

    private ItemId deliverable(String name, String rule) throws Exception {
        ines.post(
                "/t/projects/" + mill + "/deliverables",
                ines.token(),
                Map.of("name", name, "pane", pane.id().toString(), "about", "", "rule", rule, "reviewDays", "3"));
        return deliverables.ofProject(mill).stream()
                .filter(one -> one.name().equals(name))
                .map(Deliverable::id)
                .findFirst()
                .orElseThrow();
    }

    private Version sent(ItemId deliverable, String file) throws Exception {
        byte[] bytes = Files.readAllBytes(demoFile(file, file));
        ines.upload(
                "/t/deliverables/" + deliverable + "/versions",
                ines.token(),
                "mill-" + file,
                () -> new ByteArrayInputStream(bytes),
                Map.of("whatChanged", "another weight"));
        Version draft = deliverables.versions(deliverable).stream()
                .filter(Version::draft)
                .findFirst()
                .orElseThrow();
        ines.post("/t/versions/" + draft.id() + "/send", ines.token(), Map.of());
        return deliverables.version(draft.id()).orElseThrow();
    }

    private String mark(Visitor who, Version version, String intent) throws Exception {
        Map<String, String> form = new HashMap<>(Map.of(
                "page",
                "1",
                "shape",
                "RECTANGLE",
                "x1",
                "0.2",
                "y1",
                "0.2",
                "x2",
                "0.1",
                "y2",
                "0.1",
                "intent",
                intent,
                "note",
                intent + " it.",
                "audience",
                "client"));
        return String.valueOf(
                who.post("/c/panes/" + pane.id() + "/versions/" + version.id() + "/marks", who.token(), form)
                        .statusCode());
    }

    private String contact(String name) {
        return seats.ofPane(pane.id()).stream()
                .filter(seat -> seat.name().startsWith(name))
                .map(SeatRow::contact)
                .findFirst()
                .orElseThrow()
                .toString();
    }

    @Test
    void twelveAreSignedAtOnceAndTheOneThatClashesIsLeftOut() throws Exception {
        Version last = null;
        for (int bag = 1; bag <= BAGS; bag++) {
            last = sent(deliverable("Sack " + bag, "ANY"), "flour-spelt-1.pdf");
        }
        Someone imre = atDesk().comesBy(linkOf("imre@hobandbarley.example"));
        imre.goes("/c/panes/" + pane.id() + "/to-sign").sees("Sack 12, version 1");
        ticksTheSacksAlone(imre);
        Visitor grete = Visitor.by(address(), linkOf("grete@hobandbarley.example"));
        Visitor other = Visitor.by(address(), linkOf("imre@hobandbarley.example"));
        assertThat(mark(other, Objects.requireNonNull(last), "KEEP")).isEqualTo("302");
        assertThat(mark(grete, last, "CHANGE")).isEqualTo("302");
        imre.writes("Type your name to sign what is ticked, each exactly as it is", "Imre Vadas");
        draws(imre);
        imre.presses("Sign what is ticked");
        imre.sees("Left out:").looksItOver();
        assertThat(imre.page.locator(".notice.good")).containsText("Sack 11");
        assertThat(imre.page.locator(".notice.good")).not().containsText("Sack 12");
        assertThat(imre.page.locator(".notice:not(.good)").first()).containsText("Sack 12");
        assertThat(deliverables.roundsOf(mill).stream()
                        .filter(round -> round.said().stream()
                                .anyMatch(said ->
                                        said.batch() != null && said.signature().isPresent()))
                        .count())
                .as("each signed by itself, in one act")
                .isGreaterThanOrEqualTo(BAGS - 1);
    }

    private void ticksTheSacksAlone(Someone imre) throws Exception {
        for (Locator line : imre.page.locator(".sign-list label.choice").all()) {
            if (!line.innerText().contains("Sack ")) {
                line.locator("input").uncheck();
            }
        }
    }

    /** Two strokes into the field for a signature, after one that was started again. */
    private static void draws(Someone who) {
        Locator field = who.page.locator("[data-pad]");
        field.scrollIntoViewIfNeeded();
        BoundingBox box = field.boundingBox();
        for (int stroke = 0; stroke < 3; stroke++) {
            who.page.mouse().move(box.x + 20 + 60 * stroke, box.y + 50);
            who.page.mouse().down();
            who.page.mouse().move(box.x + 50 + 60 * stroke, box.y + 20);
            who.page.mouse().move(box.x + 70 + 60 * stroke, box.y + 60);
            who.page.mouse().up();
            if (stroke == 0) {
                who.presses("Start again");
            }
        }
        assertThat(who.page.locator("[data-sign-pad] input")).hasValue(Pattern.compile("[0-9., ]+;[0-9., ]+"));
    }

    @Test
    void aFurtherRoundIsAcceptedOnAPhone() throws Exception {
        ItemId bag = deliverable("Paid sack", "ANY");
        includesOneRound(bag);
        Version version = sent(bag, "flour-spelt-1.pdf");
        Someone imre = onPhone().comesBy(linkOf("imre@hobandbarley.example"));
        imre.goes("/c/panes/" + pane.id() + "/versions/" + version.id())
                .atTheTable()
                .unfolds("Send back");
        imre.sees("180.00 more").looksItOver();
        imre.writes("In a sentence (if you like)", "A warmer brown, please.");
        imre.page.locator("details[open] [name=acceptExtra]").check();
        imre.presses("Send it back");
        imre.sees("Thank you: it goes back with your notes.");
        assertThat(ines.get("/t/projects/" + mill + "/record?kind=decisions").body())
                .contains("accepted a further round of", "Paid sack");
        assertThat(deliverables.rounds(bag).get(0).said()).singleElement().satisfies(said -> assertThat(said.sentence())
                .isEqualTo("A warmer brown, please."));
    }

    private void includesOneRound(ItemId bag) throws Exception {
        Map<String, String> terms = Map.of(
                "rule",
                "ANY",
                "reviewDays",
                "3",
                "rounds",
                "1",
                "fee",
                "180",
                "revision",
                String.valueOf(deliverables.find(bag).orElseThrow().revision()));
        ines.post("/t/deliverables/" + bag + "/signing", ines.token(), terms);
    }

    @Test
    void oneSignsInOrderInAnothersPlace() throws Exception {
        ItemId bag = deliverable("Ordered sack", "IN_ORDER");
        Version version = sent(bag, "flour-spelt-1.pdf");
        String today = today().toString();
        try {
            ines.post(
                    "/t/projects/" + mill + "/stand-ins",
                    ines.token(),
                    Map.of("away", contact("Grete"), "by", contact("Imre"), "from", today, "until", today));
            Someone imre = signsInGretesPlace(bag, version);
            imre.goes("/c/panes/" + pane.id() + "/versions/" + version.id())
                    .atTheTable()
                    .unfolds("Sign off")
                    .writes("Type your name to sign", "Imre Vadas")
                    .presses("Sign it off");
            imre.sees("Thank you: your sign-off is recorded.");
            assertThat(deliverables.rounds(bag).get(0).said())
                    .extracting(said -> said.by())
                    .containsExactly("Imre Vadas, standing in for Grete Lindholm", "Imre Vadas");
        } finally {
            endsStandingIn();
        }
    }

    private Someone signsInGretesPlace(ItemId bag, Version version) throws Exception {
        Someone imre = atDesk().comesBy(linkOf("imre@hobandbarley.example"));
        imre.goes("/c/panes/" + pane.id() + "/versions/" + version.id())
                .atTheTable()
                .sees("standing in for Grete Lindholm");
        imre.unfolds("Sign off").writes("Type your name to sign", "Imre Vadas").presses("Sign it off");
        await().until(() -> deliverables.rounds(bag).get(0).said().size() == 1);
        return imre;
    }

    private void endsStandingIn() throws Exception {
        Matcher end = END.matcher(ines.get("/t/projects/" + mill + "/stand-ins").body());
        while (end.find()) {
            ines.post(end.group(), ines.token(), Map.of());
        }
    }

    @Test
    void whatWasRecalledIsReleasedAgainInItsPlace() throws Exception {
        ItemId bag = deliverable("Recalled sack", "ANY");
        Version version = sent(bag, "flour-spelt-1.pdf");
        imreSigns(version);
        ines.post("/t/deliverables/" + bag + "/checklist", ines.token(), Map.of("lines", ""));
        Someone desk = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        desk.goes("/t/deliverables/" + bag + "/clearance")
                .presses("Release version 1")
                .sees("Released");
        desk.unfolds("Recall it");
        desk.page.locator("[name=reason]").locator("visible=true").fill("The wrong paper");
        desk.presses("Recall this release").sees("recalled");
        desk.presses("Release version 1").sees("in place of the");
        desk.looksItOver();
        assertThat(desk.page.locator(".chip.late", new Page.LocatorOptions().setHasText("recalled")))
                .hasCount(1);
    }

    private void imreSigns(Version version) throws Exception {
        Visitor imre = Visitor.by(address(), linkOf("imre@hobandbarley.example"));
        imre.post(
                "/c/panes/" + pane.id() + "/versions/" + version.id() + "/decisions",
                imre.token(),
                Map.of(
                        "decision",
                        "SIGN_OFF",
                        "sha256",
                        version.sha256().hex(),
                        "sentence",
                        "",
                        "typedName",
                        "Imre Vadas"));
    }
}
