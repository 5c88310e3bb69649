package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.project.Project;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.web.record.VerifyHouse;
import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What goes wrong, said in a sentence, with nothing lost. */
class BadInputTest extends DemoHouse {
    @Autowired
    private Markups markups;

    @Autowired
    private Seats seats;

    @Autowired
    private Deliverables deliverables;

    @Autowired
    private LinkKeys keys;

    @Autowired
    private VerifyHouse verify;

    /** The fields of the forms that are tried, each as it would be taken. */
    private static final String ANYTHING = "name=Rubbish&about=&rule=ALL&reviewDays=3&welcome=&measure=&likelihood=1"
            + "&effect=1&owner=&client=Penwether&cover=night&currency=GBP&tax=20&startsOn=2027-01-01"
            + "&agreedOn=2027-02-01&contacts=&endsOn=2027-02-01&stage=AHEAD&decision=SEND_BACK&sentence=&typedName="
            + "&revision=1&issue=false&project=";

    private Project project(String name) {
        return projects.active().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private Version version(String fileName) {
        return projects.active().stream()
                .flatMap(p -> deliverables.versionsOf(p.id()).stream())
                .filter(v -> v.fileName().equals(fileName))
                .findFirst()
                .orElseThrow();
    }

    private Visitor ines() throws Exception {
        return Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
    }

    private HttpResponse<String> upload(String fileName, byte[] content) throws Exception {
        Visitor ines = ines();
        return ines.upload(
                "/t/deliverables/" + version("visitor-map-1.pdf").deliverable() + "/versions",
                ines.token(),
                fileName,
                () -> new ByteArrayInputStream(content),
                Map.of("whatChanged", "a line that was typed"));
    }

    @Test
    void saysWhatIsWrongWithAFileAndKeepsNothing() throws Exception {
        int before = deliverables
                .versions(version("visitor-map-1.pdf").deliverable())
                .size();
        HttpResponse<String> empty = upload("empty.pdf", new byte[0]);
        assertThat(empty.statusCode()).isEqualTo(422);
        assertThat(empty.body()).contains("“empty.pdf” is empty: it has 0 bytes", "a line that was typed");
        assertThat(upload("../../climb.png", "words only".getBytes(StandardCharsets.UTF_8))
                        .body())
                .contains("“climb.png” is plain text inside");
        assertThat(upload("cut.pdf", "%PDF-1.7\n1 0 obj".getBytes(StandardCharsets.UTF_8))
                        .body())
                .contains("damaged or cut off");
        assertThat(deliverables.versions(version("visitor-map-1.pdf").deliverable()))
                .hasSize(before);
    }

    @Test
    void refusesThreeHundredMegabytesWithASentence() throws Exception {
        Visitor ines = ines();
        HttpResponse<String> answer = ines.upload(
                "/t/deliverables/" + version("visitor-map-1.pdf").deliverable() + "/versions",
                ines.token(),
                "huge.pdf",
                () -> new InputStream() {
                    private long left = 300_000_000;

                    @Override
                    public int read() {
                        return left-- > 0 ? 'x' : -1;
                    }

                    @Override
                    public int read(byte[] into, int from, int length) {
                        int some = (int) Math.min(left, length);
                        left -= Math.max(0, some);
                        return some <= 0 ? -1 : some;
                    }
                },
                Map.of("whatChanged", ""));
        assertThat(answer.statusCode()).isEqualTo(413);
        assertThat(answer.body()).contains("larger than 250 MB", "what was there before is still there");
    }

    @Test
    void refusesANameOfThreeHundredMoons() throws Exception {
        HttpResponse<String> answer = ines().sends(
                        "/t/projects",
                        "name=x y&cover=night&currency=XXQ&tax=a lot&startsOn=1850-01-01&agreedOn=yesterday"
                                + "&template=SPACE&contacts=Ottoline without an address&client=" + "🌒".repeat(300));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains(
                        "The client: A name may have 120 characters; this one has 300.",
                        "outside the years 1900 to 9999",
                        "“yesterday” is not a date",
                        "“XXQ” is not a currency",
                        "The tax should be a number",
                        "Contact in line 1: write the name, a comma and the mail address");
    }

    /** Choices that no form offers, as whoever writes requests by hand sends them. */
    @ParameterizedTest(name = "{0}: {1}={2}")
    @CsvSource({
        "/t/projects/{project}/deliverables, pane, rubbish",
        "/t/projects/{project}/panes, like, rubbish",
        "/t/projects/{project}/concerns, owner, rubbish",
        "/t/projects, template, RUBBISH",
        "/t/projects, like, rubbish",
        "/t/projects/{project}/phases/{phase}, stage, RUBBISH",
        "/t/calendar/feeds, project, rubbish",
        "/c/panes/{pane}/versions/{version}/decisions, decision, ''",
        "/c/panes/{pane}/versions/{version}/decisions, decision, RUBBISH",
        "/c/panes/{pane}/versions/{version}/decisions, sha256, ''",
        "/c/panes/{pane}/to-sign, pick, rubbish:0000000000000000000000000000000000000000000000000000000000000000",
        "/t/marks/{mark}/doer, doer, rubbish"
    })
    void aChoiceThatIsNotOfferedIsRefused(String route, String field, String value) throws Exception {
        Project project = project("Visitor centre");
        Version map = version("visitor-map-2.pdf");
        String board = panes.ofProject(project.id()).get(0).id().toString();
        Map<String, String> form = new HashMap<>(Visitor.fields(ANYTHING + "&pane=" + board + "&sha256="
                + map.sha256().hex() + "&on=" + map.id() + "&template=" + ("like".equals(field) ? "LIKE" : "SPACE")));
        form.put(field, value);
        Visitor who = route.startsWith("/c") ? Visitor.by(address(), linkOf("ottoline@penwether.example")) : ines();
        String path = route.replace("{project}", project.id().toString())
                .replace("{phase}", projects.phases(project.id()).get(0).id().toString())
                .replace("{pane}", board)
                .replace("{version}", map.id().toString())
                .replace(
                        "{mark}", markups.marksOf(map.deliverable()).get(0).id().toString());
        HttpResponse<String> answer = who.post(path, who.token(), form);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
        assertThat(answer.body())
                .containsPattern("none of those that can be chosen|could not be read|Something is missing");
    }

    @Test
    void keepsWhatWasTypedWhenTheVersionWasReplaced() throws Exception {
        Version old = version("visitor-map-1.pdf");
        Panes.Row board = panes.ofProject(project("Visitor centre").id()).get(0);
        Visitor ottoline = Visitor.by(address(), linkOf("ottoline@penwether.example"));
        HttpResponse<String> answer = ottoline.post(
                "/c/panes/" + board.id() + "/versions/" + old.id() + "/decisions",
                ottoline.token(),
                Map.of(
                        "decision",
                        "SEND_BACK",
                        "sha256",
                        old.sha256().hex(),
                        "sentence",
                        "Please move the café again.",
                        "typedName",
                        ""));
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body())
                .contains(
                        "A newer version of “Visitor map” was sent while you were looking",
                        "Please move the café again.");
    }

    @Test
    void refusesToSignWhileAChangeIsAskedFor() throws Exception {
        Version map = version("visitor-map-2.pdf");
        Panes.Row board = panes.ofProject(project("Visitor centre").id()).get(0);
        Visitor ottoline = Visitor.by(address(), linkOf("ottoline@penwether.example"));
        Map<String, String> signing = Map.of(
                "decision", "SIGN_OFF", "sha256", map.sha256().hex(), "sentence", "", "typedName", "Ottoline Vance");
        HttpResponse<String> answer = ottoline.post(
                "/c/panes/" + board.id() + "/versions/" + map.id() + "/decisions", ottoline.token(), signing);
        assertThat(answer.body()).contains("A change is still asked for");
        assertThat(answer.statusCode()).isEqualTo(422);
        Visitor mirela = Visitor.by(address(), linkOf("mirela@penwether.example"));
        assertThat(mirela.post(
                                "/c/panes/" + board.id() + "/versions/" + map.id() + "/decisions",
                                mirela.token(),
                                signing)
                        .body())
                .contains("You are not asked to sign this", "Ottoline Vance");
    }

    private static final String IDEA = "page=2&shape=POINT&y1=0.5&x2=0&y2=0&intent=IDEA&audience=client&x1=";

    private String panels() {
        return "/c/panes/"
                + panes.ofProject(project("Visitor centre").id()).get(0).id() + "/versions/"
                + version("star-hall-panels-1.pdf").id();
    }

    /** Ten people press at the same time: marks are numbered without gap or double. */
    @Test
    void numbersMarksThatArriveTogether() throws Exception {
        Visitor mirela = Visitor.by(address(), linkOf("mirela@penwether.example"));
        String marks = panels() + "/marks";
        mirela.token();
        ExecutorService people = Executors.newFixedThreadPool(10);
        List<Future<HttpResponse<String>>> placed = people.invokeAll(Stream.<Callable<HttpResponse<String>>>generate(
                        () -> () -> mirela.sends(marks, IDEA + "0.5&note=at once"))
                .limit(10)
                .toList());
        for (Future<HttpResponse<String>> one : placed) {
            assertThat(one.get().statusCode()).isEqualTo(302);
        }
        people.shutdown();
        HttpResponse<String> table = mirela.get(panels() + "?page=2");
        assertThat(new String(table.body().getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.UTF_8))
                .contains("1·4", "1·13")
                .doesNotContain("1·14");
    }

    @Test
    void aMarkOutsideTheSheetIsRefusedAndItsWordsAreKept() throws Exception {
        Visitor mirela = Visitor.by(address(), linkOf("mirela@penwether.example"));
        assertThat(mirela.sends(panels() + "/marks", IDEA + "1.5&note=kept words")
                        .body())
                .contains("outside the sheet", "kept words");
    }

    @Test
    void endsALinkAtOnceAndSaysNoMoreThanThat() throws Exception {
        String once = keys.forContact(
                seats.ofPane(panes.ofProject(project("Ticket-hall signs").id())
                                .get(0)
                                .id())
                        .get(0)
                        .contact(),
                "/c");
        Visitor ludo = Visitor.by(address(), once);
        assertThat(ludo.open("/c").statusCode()).isEqualTo(200);
        HttpResponse<String> again = new Visitor(address()).get(once);
        assertThat(again.statusCode()).isEqualTo(404);
        assertThat(again.body()).contains("This link no longer opens anything", "Mail me a new link");
        HttpResponse<String> unknown = new Visitor(address()).get("/p/neverexisted");
        assertThat(unknown.statusCode()).isEqualTo(404);
        assertThat(unknown.body())
                .contains("This link no longer opens anything")
                .doesNotContain("Ludo");
    }

    @Test
    void givesBackWhatWasTypedWhenTheSeatIsGone() throws Exception {
        Panes.Row mill = panes.ofProject(project("Flour bags").id()).get(0);
        Visitor outsider = Visitor.by(address(), linkOf("ludo@saltgrass.example"));
        HttpResponse<String> gone = outsider.post(
                "/c/panes/" + mill.id() + "/versions/"
                        + version("wheat-1500g-1.pdf").id() + "/marks",
                outsider.token(),
                Map.of("note", "typed words"));
        assertThat(gone.statusCode()).isEqualTo(404);
        assertThat(new Visitor(address())
                        .post(
                                "/c/panes/" + mill.id() + "/versions/" + UUID.randomUUID() + "/marks",
                                "none",
                                Map.of("note", "x"))
                        .statusCode())
                .isEqualTo(403);
    }

    @Test
    void slowsDownGuessing() throws Exception {
        Visitor guesser = new Visitor(address());
        String token = Visitor.token(guesser.get("/sign-in").body());
        String last = "";
        for (int i = 0; i < 25; i++) {
            last = guesser.post(
                            "/sign-in", token, Map.of("email", "wanda@marram-finch.example", "password", "guess " + i))
                    .headers()
                    .firstValue("Location")
                    .orElse("");
        }
        assertThat(last).endsWith("/sign-in?often");
    }

    @Test
    void findsAndNamesOneAlteredByteInTheWholeHouse() throws Exception {
        assertThat(verify.report()).contains("each follows from the one before", "each hashes to its name");
        Path stored = data().resolve("vault/content")
                .resolve(version("rye-1kg-2.pdf").sha256().hex().substring(0, 2))
                .resolve(version("rye-1kg-2.pdf").sha256().hex());
        byte[] bytes = Files.readAllBytes(stored);
        bytes[bytes.length / 2] ^= 1;
        Files.write(stored, bytes);
        assertThat(verify.report())
                .contains("FAULT in the vault, file " + version("rye-1kg-2.pdf").sha256() + ": it is altered");
        bytes[bytes.length / 2] ^= 1;
        Files.write(stored, bytes);
        assertThat(verify.report()).doesNotContain("FAULT");
    }
}
