package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import app.clearpane.core.turns.Turn;
import app.clearpane.formats.markup.Annotation;
import app.clearpane.formats.markup.PdfAnnotations;
import app.clearpane.store.compare.Comparisons;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.record.RecordLines;
import app.clearpane.web.shell.frame.ActiveProjects;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Marks through the application: every shape, clashes and their rulings, what changed, and notes that travel. */
class MarkingUpTest extends AtTheMill {
    @Autowired
    private Markups markups;

    @Autowired
    private Comparisons comparisons;

    @Autowired
    private RecordLines lines;

    @Autowired
    private States states;

    @Autowired
    private ActiveProjects workedOn;

    private HttpResponse<String> mark(
            Visitor who, Version version, String intent, String note, Map<String, String> place) throws Exception {
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
                note,
                "audience",
                "client"));
        form.putAll(place);
        return who.post("/c/panes/" + pane().id() + "/versions/" + version.id() + "/marks", who.token(), form);
    }

    private Mark noted(ItemId deliverable, String note) {
        return markups.marksOf(deliverable).stream()
                .filter(mark -> mark.note().equals(note))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            value = {
                "POINT;0.3;0.4;0;0;",
                "RECTANGLE;0.3;0.4;0.2;0.1;",
                "ELLIPSE;0.3;0.4;0.2;0.1;",
                "LINE;0.3;0.4;0.9;0.8;",
                "ARROW;0.3;0.4;0.9;0.8;",
                "FREEHAND;0.1;0.1;0;0;0.1,0.1 0.2,0.15 0.3,0.4"
            },
            delimiter = ';')
    void everyShapeIsKeptWhereItWasDrawn(String shape, String x1, String y1, String x2, String y2, String spots)
            throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Shape " + shape, "ALL");
        Version version = sent(ines, bag);
        HttpResponse<String> answer = mark(
                grete(),
                version,
                "IDEA",
                "here",
                Map.of("shape", shape, "x1", x1, "y1", y1, "x2", x2, "y2", y2, "spots", spots == null ? "" : spots));
        assertThat(answer.statusCode()).isEqualTo(302);
        Place place = noted(bag, "here").place();
        assertThat(place.getClass().getSimpleName()).isEqualToIgnoringCase(shape);
        assertThat(place.bounds().x()).isCloseTo(Double.parseDouble(x1), org.assertj.core.data.Offset.offset(1e-9));
        assertThat(ines.get("/t/versions/" + version.id() + "/light-table").body())
                .contains("data-mark=\"" + noted(bag, "here").id() + "\"");
    }

    @Test
    void tenThousandSpotsAreTakenAndOneMoreIsNot() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Freehand", "ALL");
        Version version = sent(ines, bag);
        String many = IntStream.range(0, Place.Freehand.MOST_SPOTS)
                .mapToObj(i -> "0." + (10_000 + i % 7_000) + ",0." + (10_000 + i * 37 % 7_000))
                .collect(Collectors.joining(" "));
        assertThat(mark(grete(), version, "IDEA", "scribble", Map.of("shape", "FREEHAND", "spots", many))
                        .statusCode())
                .isEqualTo(302);
        HttpResponse<String> refused =
                mark(grete(), version, "IDEA", "scribble on", Map.of("shape", "FREEHAND", "spots", many + " 0.5,0.5"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Nothing was saved").contains("scribble on");
        assertThat(mark(grete(), version, "IDEA", "outside", Map.of("shape", "ELLIPSE", "x1", "0.95"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(mark(grete(), version, "IDEA", "nonsense", Map.of("shape", "FREEHAND", "spots", "here and there"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(markups.marksOf(bag)).hasSize(1);
    }

    private HttpResponse<String> rule(Visitor who, Version version, Mark first, Mark second, Mark holds)
            throws Exception {
        return who.post(
                "/c/panes/" + pane().id() + "/versions/" + version.id() + "/rulings",
                who.token(),
                Map.of(
                        "first",
                        first.id().toString(),
                        "second",
                        second.id().toString(),
                        "holds",
                        holds.id().toString(),
                        "reason",
                        "Grain first."));
    }

    @Test
    void aClashKeepsEverybodyFromSigningUntilTheLeadVoiceRules() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Clash", "ALL");
        Version version = sent(ines, bag);
        Visitor imre = imre();
        Visitor grete = grete();
        mark(imre, version, "KEEP", "Keep the ear of wheat.", Map.of());
        mark(grete, version, "CHANGE", "Make the ear smaller.", Map.of("shape", "ELLIPSE", "x1", "0.21"));
        Mark keep = noted(bag, "Keep the ear of wheat.");
        Mark change = noted(bag, "Make the ear smaller.");
        assertThat(grete.get("/c/panes/" + pane().id() + "/versions/" + version.id())
                        .body())
                .contains("want opposite things at one place", "until then nobody can sign");
        assertThat(ines.get("/t/versions/" + version.id() + "/letter").body())
                .contains("clashes with 1", "wait for the ruling");
        assertThat(rule(grete, version, keep, change, change).body()).contains("this is theirs to settle");
        theManagerDoesNotRule(ines, version, keep, change);
        assertThat(rule(imre, version, keep, change, keep).statusCode()).isEqualTo(302);
        theOtherIsSetAside(bag);
        assertThat(noted(bag, "Keep the ear of wheat.").progress()).isEqualTo(MarkupProgress.OPEN);
        assertThat(rule(imre, version, keep, change, change).body()).contains("settled already");
        assertThat(lines.linesOf(mill(), bag.value()).lines().filter(line -> line.contains("\"clash.ruled\"")))
                .hasSize(1);
        assertThat(deciding(grete, version, "SIGN_OFF").call().statusCode()).isEqualTo(302);
        assertThat(deciding(imre, version, "SIGN_OFF").call().statusCode()).isEqualTo(302);
        assertThat(round(bag).soFar().agreed()).isTrue();
    }

    private void theManagerDoesNotRule(Visitor ines, Version version, Mark keep, Mark change) throws Exception {
        assertThat(ines.post(
                                "/t/versions/" + version.id() + "/rulings",
                                ines.token(),
                                Map.of(
                                        "first",
                                        keep.id().toString(),
                                        "second",
                                        change.id().toString(),
                                        "holds",
                                        keep.id().toString()))
                        .body())
                .contains("speaks for the client");
    }

    private void theOtherIsSetAside(ItemId bag) throws Exception {
        assertThat(noted(bag, "Make the ear smaller.")).satisfies(mark -> {
            assertThat(mark.progress()).isEqualTo(MarkupProgress.SET_ASIDE);
            assertThat(mark.answers().get(0).said()).isEqualTo("1·1 is followed. Grain first.");
        });
    }

    /**
     * A clash is the turn of whoever speaks for the client, who is told of it, until it is settled; then of whoever had
     * it before (T1).
     */
    @Test
    void aClashIsTheLeadVoicesTurnUntilItIsSettled() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Clash turn", "ALL");
        Version version = sent(ines, bag);
        mark(imre(), version, "CHANGE", "A bigger ear.", Map.of());
        mark(imre(), version, "KEEP", "The ear as it is.", Map.of());
        assertThat(round(bag).clashes())
                .as("one person's own wishes do not clash")
                .isEmpty();
        mark(grete(), version, "KEEP", "I like the ear.", Map.of());
        assertThat(round(bag).clashesWith(true)).isEqualTo(1);
        await().until(() -> mailsAbout("imre@hobandbarley.example", "Wishes that clash: Clash turn, version 1") == 1
                && mailsAbout("grete@hobandbarley.example", "Wishes that clash: Clash turn") == 0);
        deciding(imre(), version, "SEND_BACK").call();
        deciding(grete(), version, "SEND_BACK").call();
        waitsForARuling(bag);
        assertThat(ines.get("/t").body()).contains("1 clash for Imre to settle");
        assertThat(imre().open("/c/panes/" + pane().id()).body()).contains("Settle: Clash turn, version 1");
        assertThat(grete().open("/c/panes/" + pane().id()).body()).doesNotContain("Settle: Clash turn");
        rule(imre(), version, noted(bag, "A bigger ear."), noted(bag, "I like the ear."), noted(bag, "A bigger ear."));
        assertThat(round(bag).clashes()).singleElement().satisfies(clash -> assertThat(clash.waits())
                .isFalse());
        assertThat(states.statesOf(bag).turn()).as("as before").isEqualTo(Turn.OURS);
        countsAgree();
        assertThat(imre().open("/c/panes/" + pane().id()).body()).doesNotContain("Settle: Clash turn");
    }

    private void waitsForARuling(ItemId bag) throws Exception {
        assertThat(round(bag).open()).isFalse();
        assertThat(states.statesOf(bag).turn())
                .as("it came back, but waits for a ruling")
                .isEqualTo(Turn.CLIENTS);
        countsAgree();
    }

    /** What is counted in the database is what the turns of the deliverables come to. */
    private void countsAgree() {
        assertThat(workedOn.in(projects.find(mill()).orElseThrow()).clients())
                .isEqualTo((int) states.statesOf(mill()).stream()
                        .filter(state -> state.turn() == Turn.CLIENTS)
                        .count());
        assertThat(workedOn.in(projects.find(mill()).orElseThrow()).ours())
                .isEqualTo((int) states.statesOf(mill()).stream()
                        .filter(state -> state.turn() == Turn.OURS)
                        .count());
    }

    @Test
    void aClashAloneRefusesASignature() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Clash again", "ALL");
        Version version = sent(ines, bag);
        mark(imre(), version, "KEEP", "Stay.", Map.of());
        mark(grete(), version, "CHANGE", "Go.", Map.of());
        HttpResponse<String> refused = deciding(imre(), version, "SIGN_OFF").call();
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(round(bag).said()).isEmpty();
        assertThat(ines.get("/t/deliverables/" + bag + "/clearance").body())
                .contains("No clash without a ruling", "Two people ask for things that cannot both be done");
    }

    private Comparisons.Kept compared(Version before, Version after) {
        Comparisons.Pair pair = new Comparisons.Pair(before.sha256(), after.sha256());
        await().atMost(Duration.ofSeconds(60)).until(() -> comparisons
                .find(pair)
                .filter(kept -> kept.state() != Comparisons.State.WAITING)
                .isPresent());
        return comparisons.find(pair).orElseThrow();
    }

    @Test
    void theNextVersionIsComparedAndMarksSayWhatBecameOfTheirPlaces() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Map at the mill", "ANY");
        Version first = sent(ines, bag, "visitor-map-1.pdf");
        Visitor grete = grete();
        mark(grete, first, "CHANGE", "Move the café.", Map.of("x1", "0.48", "y1", "0.43", "x2", "0.15", "y2", "0.15"));
        mark(grete, first, "KEEP", "Keep this corner.", Map.of("x1", "0.01", "y1", "0.01", "x2", "0.05", "y2", "0.05"));
        deciding(grete, first, "SEND_BACK").call();
        deciding(imre(), first, "SEND_BACK").call();
        Version second = sent(ines, bag, "visitor-map-2.pdf");
        assertThat(compared(first, second).state()).isEqualTo(Comparisons.State.DONE);
        String team = ines.get("/t/versions/" + second.id() + "/changes").body();
        assertThat(team).contains("places changed", "changed here", "nothing changed here", "nobody asked");
        assertThat(grete.get("/c/panes/" + pane().id() + "/versions/" + second.id() + "/changes?as=wipe")
                        .body())
                .contains("data-wiped");
        assertThat(grete.get("/c/panes/" + pane().id() + "/versions/" + second.id())
                        .body())
                .contains("changed here", "What changed since 1");
        assertThat(grete.get("/c/panes/" + pane().id() + "/versions/" + first.id() + "/changes")
                        .statusCode())
                .as("the first has none before it")
                .isEqualTo(404);
        nonsenseIsTheFirstSheet(ines, second);
    }

    private void nonsenseIsTheFirstSheet(Visitor ines, Version second) throws Exception {
        assertThat(new String(
                        ines.get("/t/versions/" + second.id() + "/changes?page=999&as=nonsense")
                                .body()
                                .getBytes(StandardCharsets.ISO_8859_1),
                        StandardCharsets.UTF_8))
                .contains("sheet");
    }

    @Test
    void clientsNeverCompareWithADraft() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Draft at the mill", "ALL");
        Version first = sent(ines, bag, "flour-rye-1.pdf");
        upload(ines, bag, "flour-rye-2.pdf");
        Version draft = deliverables.versions(bag).stream()
                .filter(Version::draft)
                .findFirst()
                .orElseThrow();
        Visitor grete = grete();
        assertThat(grete.get("/c/panes/" + pane().id() + "/versions/" + draft.id() + "/changes")
                        .statusCode())
                .isEqualTo(404);
        assertThat(grete.get("/c/panes/" + pane().id() + "/versions/" + first.id() + "/changes?since=" + draft.id())
                        .statusCode())
                .isEqualTo(404);
        assertThat(ines.get("/t/versions/" + draft.id() + "/changes").statusCode())
                .isEqualTo(200);
    }

    private HttpResponse<String> bring(Visitor ines, Version version, byte[] file) throws Exception {
        HttpResponse<String> answer = ines.upload(
                "/t/versions/" + version.id() + "/brought",
                ines.token(),
                "notes.pdf",
                () -> new ByteArrayInputStream(file),
                Map.of());
        return answer.statusCode() == 302
                ? ines.get(answer.headers().firstValue("Location").orElseThrow().replaceAll("^https?://[^/]*", ""))
                : answer;
    }

    /** A version as somebody marked it elsewhere: an ellipse by Grete, as a file says. */
    private static byte[] markedElsewhere(String note) throws Exception {
        Path marked = Files.createTempFile("marked", ".pdf");
        Path plain = Files.write(Files.createTempFile("plain", ".pdf"), demoFile("flour-spelt-1.pdf"));
        try (var out = Files.newOutputStream(marked)) {
            PdfAnnotations.write(
                    plain,
                    List.of(new Annotation(
                            "their-" + note,
                            "",
                            new Place.Ellipse(1, 0.4, 0.4, 0.2, 0.1),
                            new PageSize(1, 1),
                            Intent.CHANGE,
                            MarkupProgress.OPEN,
                            note,
                            "Grete Lindholm",
                            Instant.EPOCH,
                            List.of(),
                            Optional.empty())),
                    out);
        }
        return Files.readAllBytes(marked);
    }

    /** Adds what a file brings, as said to be by Grete. */
    private HttpResponse<String> add(Visitor who, Version version, String shown) throws Exception {
        String file = shown.replaceAll("(?s).*name=\"file\" value=\"([0-9a-f]{64})\".*", "$1");
        String grete = shown.replaceAll("(?s).*<option value=\"([0-9a-f-]{36})\" selected=\"selected\">Grete.*", "$1");
        return who.sends("/t/versions/" + version.id() + "/brought/add", "file=" + file + "&by=" + grete);
    }

    @Test
    void notesMadeElsewhereAreShownBeforeTheyAreAdded() throws Exception {
        Visitor ines = ines();
        Version version = sent(ines, deliverable(ines, "Brought along", "ALL"));
        String shown = bring(ines, version, markedElsewhere("A warmer brown.")).body();
        assertThat(shown)
                .contains("1 new note", "A warmer brown.", "Add 1 note")
                .doesNotContain("another document");
        assertThat(markups.marksOf(version.deliverable()))
                .as("nothing is added before it is wanted")
                .isEmpty();
        String file = shown.replaceAll("(?s).*name=\"file\" value=\"([0-9a-f]{64})\".*", "$1");
        assertThat(ines.sends("/t/versions/" + version.id() + "/brought/add", "file=" + file)
                        .body())
                .contains("whose notes these are");
    }

    @Test
    void notesMadeElsewhereAreByWhoeverBringsThem() throws Exception {
        Visitor ines = ines();
        Version version = sent(ines, deliverable(ines, "Brought by Ines", "ALL"));
        mark(imre(), version, "IDEA", "Ours already.", Map.of());
        add(
                ines,
                version,
                bring(ines, version, markedElsewhere("A darker brown.")).body());
        assertThat(noted(version.deliverable(), "A darker brown.")).satisfies(mark -> {
            assertThat(mark.author().name()).isEqualTo("Ines Okafor-Lindqvist, said to be by Grete Lindholm");
            assertThat(mark.author().contact()).as("a file proves nothing").isEmpty();
            assertThat(mark.label()).hasToString("1·2");
            assertThat(mark.place()).isInstanceOf(Place.Ellipse.class);
        });
        assertThat(grete().get(at(version)).body()).contains("said to be by Grete Lindholm");
        String record = lines.linesOf(mill(), version.deliverable().value());
        assertThat(record.lines().filter(line -> line.contains("\"marks.brought\"")))
                .singleElement()
                .asString()
                .contains("team:", "\"saidToBeBy\":\"Grete Lindholm\"");
    }

    @Test
    void notesMadeElsewhereOrWrittenHereAreAddedOnce() throws Exception {
        Visitor ines = ines();
        Version version = sent(ines, deliverable(ines, "Brought twice", "ALL"));
        byte[] marked = markedElsewhere("A redder brown.");
        add(ines, version, bring(ines, version, marked).body());
        assertThat(bring(ines, version, marked).body()).contains("nothing new in this file", "1 note is here already");
        mark(imre(), version, "IDEA", "Ours already.", Map.of());
        HttpResponse<String> ours = ines.get("/t/versions/" + version.id() + "/marks.jsonld");
        assertThat(bring(ines, version, ours.body().getBytes(StandardCharsets.ISO_8859_1))
                        .body())
                .as("what we wrote ourselves")
                .contains("nothing new in this file", "2 notes are here already");
    }

    @Test
    void makersBringNothingAlong() throws Exception {
        Visitor ines = ines();
        Version version = sent(ines, deliverable(ines, "Brought by Teo", "ALL"));
        byte[] marked = markedElsewhere("A greener brown.");
        String shown = bring(ines, version, marked).body();
        Visitor teo = Visitor.by(address(), linkOfTeam("teo@marram-finch.example"));
        assertThat(add(teo, version, shown).statusCode()).isEqualTo(403);
        assertThat(bring(teo, version, marked).statusCode()).isEqualTo(403);
    }

    @Test
    void anotherDocumentIsNoticedAndTakenOnlyIfOneInsists() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Another document", "ALL");
        Version version = sent(ines, bag);
        assertThat(bring(ines, version, demoFile("visitor-map-1.pdf")).body())
                .contains("nothing new in this file", "another document");
        assertThat(bring(ines, version, "not a PDF".getBytes(StandardCharsets.UTF_8))
                        .body())
                .contains("neither a PDF nor Web Annotations");
        assertThat(bring(ines, version, "%PDF-1.7 cut off".getBytes(StandardCharsets.UTF_8))
                        .body())
                .contains("could not be read");
        assertThat(bring(ines, version, "{\"type\": \"Annotation\"}".getBytes(StandardCharsets.UTF_8))
                        .body())
                .contains("nothing new");
        assertThat(ines.get("/t/versions/" + version.id() + "/brought?file=" + "0".repeat(64))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void notesLeaveWithoutWhatIsForTheTeam() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Going out", "ALL");
        Version version = sent(ines, bag);
        mark(grete(), version, "CHANGE", "Told to all.", Map.of());
        whispers(ines, version);
        nothingInsideLeaves(ines, version);
        assertThat(ines.get("/t/versions/" + version.id() + "/marks.csv").body())
                .contains("Told to all.");
        assertThat(ines.get("/t/versions/" + version.id() + "/letter").body())
                .contains("Told to all.", "Whispered inside.", "team only");
        assertThat(ines.get("/t/versions/" + version.id() + "/letter.pdf").body())
                .startsWith("%PDF-");
    }

    private void whispers(Visitor ines, Version version) throws Exception {
        ines.post(
                "/t/versions/" + version.id() + "/marks",
                ines.token(),
                Map.of(
                        "page",
                        "1",
                        "shape",
                        "POINT",
                        "x1",
                        "0.5",
                        "y1",
                        "0.5",
                        "x2",
                        "0",
                        "y2",
                        "0",
                        "intent",
                        "CHANGE",
                        "note",
                        "Whispered inside.",
                        "audience",
                        "team"));
    }

    private void nothingInsideLeaves(Visitor ines, Version version) throws Exception {
        for (String file :
                List.of("marks.pdf", "marks.jsonld", "marks.csv", "marks.xlsx", "marked/1.png", "marked/1.svg")) {
            HttpResponse<String> answer = ines.get("/t/versions/" + version.id() + "/" + file);
            assertThat(answer.statusCode()).as(file).isEqualTo(200);
            assertThat(answer.headers().firstValue("Content-Disposition").orElse(""))
                    .as(file)
                    .contains("attachment", "notes");
            assertThat(answer.body()).as(file).doesNotContain("Whispered inside");
        }
    }
}
