package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.clearance.Condition;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.store.clearance.Checklists;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.files.Vault;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.record.RecordLines;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.PDFAParser;
import org.verapdf.pdfa.PDFAValidator;
import org.verapdf.pdfa.flavours.PDFAFlavour;
import org.verapdf.pdfa.results.TestAssertion;

/** Who signs, extra rounds, taking back, signing many, clearing, releasing, recalling, and checking, over HTTP. */
class SigningTest extends AtTheMill {
    @Autowired
    Seats seats;

    @Autowired
    Markups markups;

    @Autowired
    Releases releases;

    @Autowired
    Checklists checklists;

    @Autowired
    Vault vault;

    @Autowired
    RecordLines lines;

    private String contact(String name) {
        return seats.ofPane(pane().id()).stream()
                .filter(seat -> seat.name().startsWith(name))
                .map(SeatRow::contact)
                .findFirst()
                .orElseThrow()
                .toString();
    }

    private HttpResponse<String> signing(Visitor ines, ItemId deliverable, Map<String, String> wanted)
            throws Exception {
        Map<String, String> form = new HashMap<>(Map.of(
                "rule",
                "ALL",
                "reviewDays",
                "3",
                "rounds",
                "2",
                "fee",
                "0",
                "revision",
                String.valueOf(deliverables.find(deliverable).orElseThrow().revision())));
        form.putAll(wanted);
        return ines.post("/t/deliverables/" + deliverable + "/signing", ines.token(), form);
    }

    private HttpResponse<String> decide(Visitor who, Version version, String decision, Map<String, String> more)
            throws Exception {
        Map<String, String> form = new HashMap<>(Map.of(
                "decision",
                decision,
                "sha256",
                version.sha256().hex(),
                "sentence",
                decision.equals("SIGN_OFF") ? "" : "as it should be",
                "typedName",
                "Signed",
                "sure",
                "true"));
        form.putAll(more);
        return who.post("/c/panes/" + pane().id() + "/versions/" + version.id() + "/decisions", who.token(), form);
    }

    private HttpResponse<String> takeBack(Visitor who, Version version) throws Exception {
        return who.post("/c/panes/" + pane().id() + "/versions/" + version.id() + "/take-back", who.token(), Map.of());
    }

    @Test
    void inOrderOnlyTheFirstUndecidedDecides() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "In order", "ALL");
        signing(
                ines,
                bag,
                Map.of(
                        "rule",
                        "IN_ORDER",
                        "signer",
                        contact("Grete"),
                        "order",
                        contact("Grete") + "," + contact("Imre")));
        Deliverable changed = deliverables.find(bag).orElseThrow();
        assertThat(changed.rule()).isEqualTo(new Rule.InOrder());
        Version version = sent(ines, bag);
        assertThat(round(bag).whoSigns()).startsWith("Grete").contains(", then Imre");
        assertThat(decide(imre(), version, "SIGN_OFF", Map.of()).body()).contains("It is not your turn to sign yet");
        assertThat(imre().get("/c/panes/" + pane().id() + "/versions/" + version.id())
                        .body())
                .contains("decides before you");
        assertThat(imre().get("/c/panes/" + pane().id() + "/to-sign").body())
                .as("only whose place it is waits")
                .doesNotContain("In order");
        assertThat(imre().get("/c/panes/" + pane().id()).body()).contains("others sign first");
        assertThat(mailsAbout("imre@", "Your turn to sign: In order")).isZero();
        decide(grete(), version, "SIGN_OFF", Map.of());
        mailArrives("imre@", "Your turn to sign: In order");
        assertThat(imre().get("/c/panes/" + pane().id() + "/to-sign").body()).contains("In order");
        assertThat(decide(imre(), version, "SIGN_OFF", Map.of()).statusCode()).isEqualTo(302);
        assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
        assertThat(takeBack(grete(), version).statusCode())
                .as("the next has gone on from it")
                .isEqualTo(422);
    }

    @Test
    void aRuleNobodyCanMeetIsRefusedAndAChangeOfAnOpenRoundIsExplainedFirst() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Changed midway", "ALL");
        assertThat(signing(ines, bag, Map.of("rule", "AT_LEAST", "least", "9")).body())
                .contains("Nobody could ever meet this");
        assertThat(signing(ines, bag, Map.of("rule", "AT_LEAST", "least", "x", "reviewDays", "0", "fee", "much"))
                        .body())
                .contains("How many have to sign", "The days to review it", "The fee for a further round");
        Version version = sent(ines, bag);
        decide(grete(), version, "SIGN_OFF", Map.of());
        String explained = signing(ines, bag, Map.of("signer", contact("Imre"))).body();
        assertThat(explained).contains("is no longer asked; “signed off” does not count any more", "Change who signs");
        assertThat(round(bag).signatories())
                .as("nothing is changed before one is sure")
                .hasSize(2);
        assertThat(signing(ines, bag, Map.of("signer", contact("Imre"), "sure", "true"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(round(bag).signatories()).singleElement().satisfies(one -> assertThat(one.name())
                .startsWith("Imre"));
        assertThat(round(bag).soFar()).isEqualTo(Outcome.PENDING);
        assertThat(signing(ines, bag, Map.of("revision", "1", "sure", "true")).statusCode())
                .as("changed since it was read")
                .isEqualTo(409);
        assertThat(decide(grete(), version, "SIGN_OFF", Map.of()).statusCode())
                .as("a signatory removed after signing")
                .isEqualTo(422);
        decide(imre(), version, "SIGN_OFF", Map.of());
        assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
    }

    @Test
    void aStandInSignsInOrderForWhoeverIsAway() throws Exception {
        Visitor ines = ines();
        String from = today().minusDays(1).toString();
        String until = today().plusDays(1).toString();
        assertThat(standIn(ines, contact("Grete"), contact("Grete"), from, until)
                        .statusCode())
                .isEqualTo(422);
        assertThat(standIn(ines, contact("Grete"), contact("Imre"), from, "2020-01-01")
                        .statusCode())
                .isEqualTo(422);
        standIn(ines, contact("Grete"), contact("Imre"), from, until);
        try {
            assertThat(standIn(ines, contact("Imre"), contact("Grete"), from, until)
                            .body())
                    .contains("A stand-in has no stand-in");
            ItemId bag = deliverable(ines, "Stood in", "ALL");
            signing(
                    ines,
                    bag,
                    Map.of(
                            "rule",
                            "IN_ORDER",
                            "signer",
                            contact("Grete"),
                            "order",
                            contact("Grete") + "," + contact("Imre")));
            Version version = sent(ines, bag);
            decide(imre(), version, "SIGN_OFF", Map.of());
            assertThat(round(bag).said())
                    .as("it was Grete’s place, and her stand-in took it")
                    .singleElement()
                    .satisfies(said -> assertThat(said.by()).startsWith("Imre").contains("standing in for Grete"));
            decide(imre(), version, "SIGN_OFF", Map.of());
            assertThat(round(bag).soFar()).as("then his own").isEqualTo(Outcome.SIGNED);
        } finally {
            endStandIns(ines);
        }
        standIn(ines, contact("Imre"), contact("Grete"), from, until);
        try {
            ItemId bag = deliverable(ines, "Stood in, later", "ALL");
            signing(
                    ines,
                    bag,
                    Map.of(
                            "rule",
                            "IN_ORDER",
                            "signer",
                            contact("Grete"),
                            "order",
                            contact("Grete") + "," + contact("Imre")));
            Version version = sent(ines, bag);
            decide(grete(), version, "SIGN_OFF", Map.of());
            assertThat(grete().get("/c/panes/" + pane().id() + "/versions/" + version.id())
                            .body())
                    .contains("standing in for Imre");
            decide(grete(), version, "SIGN_OFF", Map.of());
            assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
            assertThat(round(bag).said().get(1).by()).startsWith("Grete").contains("standing in for Imre");
            assertThat(lines.linesOf(mill(), bag.value())).contains("\"insteadOf\":\"Imre");
            assertThat(ines.get("/t/deliverables/" + bag + "/clearance").body()).contains("standing in for Imre");
        } finally {
            endStandIns(ines);
        }
    }

    @Test
    void aSignatoryNamesTheirOwnStandInAndTheManagerIsTold() throws Exception {
        Visitor grete = grete();
        String away = "/c/panes/" + pane().id() + "/away";
        String today = today().toString();
        assertThat(grete.get("/c/panes/" + pane().id() + "/to-sign").body()).contains(away);
        String page = grete.get(away).body();
        assertThat(page.substring(page.indexOf("<h1>")))
                .contains("Imre Vadas")
                .doesNotContain(">Grete Lindholm</option>");
        assertThat(grete.post(away, grete.token(), Map.of("by", contact("Grete"), "from", today, "until", today))
                        .statusCode())
                .isEqualTo(422);
        assertThat(grete.post(away, grete.token(), Map.of("by", contact("Imre"), "from", today, "until", "2020-01-01"))
                        .body())
                .contains("before the first");
        assertThat(grete.post(away, grete.token(), Map.of("by", contact("Imre"), "from", today, "until", today))
                        .statusCode())
                .isEqualTo(302);
        try {
            assertThat(grete.get(away).body()).contains("Imre Vadas decides for you");
            Visitor imre = imre();
            assertThat(imre.get(away).body()).as("only their own").doesNotContain("decides for you</span>");
            assertThat(imre.post(away, imre.token(), Map.of("by", contact("Grete"), "from", today, "until", today))
                            .body())
                    .contains("A stand-in has no stand-in");
            org.awaitility.Awaitility.await()
                    .until(() -> mailsAbout("ines@marram-finch.example", "Grete Lindholm is away") >= 1);
            ItemId bag = deliverable(ines(), "Away", "ALL");
            Version version = sent(ines(), bag);
            decide(imre, version, "SIGN_OFF", Map.of());
            assertThat(imre.get("/c/panes/" + pane().id() + "/versions/" + version.id())
                            .body())
                    .as("his own place first, then hers")
                    .contains("standing in for Grete");
            String row = java.util.regex.Pattern.compile(away + "/([0-9a-f-]{36})/end")
                    .matcher(grete.get(away).body())
                    .results()
                    .findFirst()
                    .orElseThrow()
                    .group();
            assertThat(imre.post(row, imre.token(), Map.of()).statusCode())
                    .as("not his")
                    .isEqualTo(404);
            assertThat(grete.post(row, grete.token(), Map.of()).statusCode()).isEqualTo(302);
            assertThat(grete.get(away).body()).contains("No days are noted");
        } finally {
            endStandIns(ines());
        }
    }

    private HttpResponse<String> standIn(Visitor ines, String away, String by, String from, String until)
            throws Exception {
        return ines.post(
                "/t/projects/" + mill() + "/stand-ins",
                ines.token(),
                Map.of("away", away, "by", by, "from", from, "until", until));
    }

    private void endStandIns(Visitor ines) throws Exception {
        java.util.regex.Matcher ends = java.util.regex.Pattern.compile("/t/stand-ins/[0-9a-f-]{36}/end")
                .matcher(ines.get("/t/projects/" + mill() + "/stand-ins").body());
        while (ends.find()) {
            ines.post(ends.group(), ines.token(), Map.of());
        }
    }

    @Test
    void anExtraRoundIsAcceptedByWhoeverCausesIt() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "One round", "ANY");
        signing(ines, bag, Map.of("rule", "ANY", "rounds", "1", "fee", "180"));
        Version first = sent(ines, bag);
        assertThat(decide(imre(), first, "SEND_BACK", Map.of()).body()).contains("It takes round 2 of 1: 180.00 more.");
        assertThat(round(bag).said()).isEmpty();
        assertThat(imre().get("/c/panes/" + pane().id() + "/versions/" + first.id())
                        .body())
                .contains("It takes round 2 of 1: 180.00 more. I accept that.");
        decide(imre(), first, "SEND_BACK", Map.of("acceptExtra", "true"));
        assertThat(lines.linesOf(mill(), bag.value())).contains("extra.accepted");
        ines.post("/t/versions/" + first.id() + "/close-round", ines.token(), Map.of("reason", "heard enough"));
        upload(ines, bag, "flour-rye-2.pdf");
        assertThat(ines.get("/t/deliverables/" + bag).body())
                .contains("This is round 2 of 1: 180.00 more. It was accepted.");
        Version second = sent(ines, bag, "flour-wheat-1.pdf");
        assertThat(round(bag).number()).isEqualTo(2);
        decide(imre(), second, "SIGN_OFF", Map.of());
        assertThat(ines.get("/t/deliverables/" + bag + "/clearance").body())
                .contains("1 more was accepted by Imre")
                .doesNotContain("is not accepted yet");
    }

    @Test
    void aDecisionIsTakenBackWithAllThatItDid() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Taken back", "ANY");
        Version first = sent(ines, bag);
        Visitor marks = imre();
        marks.post(
                "/c/panes/" + pane().id() + "/versions/" + first.id() + "/marks",
                marks.token(),
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
                        "Lighter.",
                        "audience",
                        "client"));
        Version second = sent(ines, bag, "flour-rye-2.pdf");
        Mark mark = markups.marksOf(bag).get(0);
        ines.post(
                "/t/marks/" + mark.id() + "/answers",
                ines.token(),
                Map.of(
                        "act",
                        "FIX",
                        "said",
                        "",
                        "revision",
                        String.valueOf(mark.revision()),
                        "on",
                        second.id().toString()));
        decide(imre(), second, "SIGN_OFF", Map.of());
        assertThat(markups.marksOf(bag).get(0).progress()).isEqualTo(MarkupProgress.CONFIRMED);
        assertThat(round(bag).open()).isFalse();
        assertThat(takeBack(imre(), second).statusCode()).isEqualTo(302);
        assertThat(round(bag).open()).isTrue();
        assertThat(round(bag).said()).isEmpty();
        assertThat(markups.marksOf(bag).get(0).progress()).isEqualTo(MarkupProgress.FIXED);
        assertThat(lines.linesOf(mill(), bag.value())).contains("signoff.taken-back");
        assertThat(takeBack(imre(), second).statusCode())
                .as("there is nothing to take back any more")
                .isEqualTo(404);
        decide(imre(), second, "SIGN_OFF", Map.of());
        upload(ines, bag, "flour-wheat-1.pdf");
        assertThat(takeBack(imre(), second).statusCode())
                .as("the studio has gone on from it")
                .isEqualTo(409);
    }

    @Test
    void twelveAreSignedAtOnceAndWhatCannotBeIsLeftOut() throws Exception {
        Visitor ines = ines();
        List<String> picks = new ArrayList<>();
        List<Version> versions = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            Version version = sent(ines, deliverable(ines, "Bulk " + i, "ANY"));
            versions.add(version);
            picks.add(version.id() + ":" + version.sha256().hex());
        }
        String open = "/c/panes/" + pane().id() + "/versions/" + versions.get(0).id() + "/marks";
        Visitor grete = grete();
        Visitor imre = imre();
        grete.post(
                open,
                grete.token(),
                Map.of(
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
                        "CHANGE",
                        "note",
                        "Larger.",
                        "audience",
                        "client"));
        imre.post(
                open,
                imre.token(),
                Map.of(
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
                        "KEEP",
                        "note",
                        "Just so.",
                        "audience",
                        "client"));
        Version replaced = versions.get(1);
        sent(ines, replaced.deliverable(), "flour-rye-2.pdf");
        picks.set(
                2, versions.get(2).id() + ":" + Sha256.ofText("seen otherwise").hex());
        String answer = imre.postMany(
                        "/c/panes/" + pane().id() + "/to-sign",
                        imre.token(),
                        Map.of("typedName", List.of("Imre"), "pick", picks))
                .body();
        assertThat(answer)
                .contains(
                        "Left out:",
                        "Bulk 0, version 1",
                        "A change is still asked for",
                        "Bulk 1, version 1",
                        "A newer version of",
                        "Bulk 2, version 1");
        for (int i = 3; i < 12; i++) {
            assertThat(round(versions.get(i).deliverable()).soFar())
                    .as("Bulk " + i)
                    .isEqualTo(Outcome.SIGNED);
        }
        assertThat(versions.subList(3, 12))
                .extracting(
                        version -> round(version.deliverable()).said().get(0).batch())
                .doesNotContainNull()
                .containsOnly(round(versions.get(3).deliverable()).said().get(0).batch());
        assertThat(round(versions.get(0).deliverable()).open()).isTrue();
        assertThat(round(replaced.deliverable()).said()).isEmpty();
        assertThat(imre.post("/c/panes/" + pane().id() + "/to-sign", imre.token(), Map.of("typedName", "Imre"))
                        .statusCode())
                .as("nothing chosen")
                .isEqualTo(422);
    }

    @Test
    void severalAreSentBackAtOnceWithOneSentence() throws Exception {
        Visitor ines = ines();
        List<String> picks = new ArrayList<>();
        List<Version> versions = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            versions.add(sent(ines, deliverable(ines, "Back at once " + i, "ANY")));
            picks.add(versions.get(i).id() + ":" + versions.get(i).sha256().hex());
        }
        picks.set(
                2, versions.get(2).id() + ":" + Sha256.ofText("seen otherwise").hex());
        String sheet = "/c/panes/" + pane().id() + "/to-sign";
        Visitor imre = imre();
        assertThat(imre.postMany(sheet, imre.token(), Map.of("decision", List.of("SEND_BACK"), "pick", picks))
                        .body())
                .contains("Say in a sentence what is not right yet");
        assertThat(imre.postMany(sheet, imre.token(), Map.of("decision", List.of("STAND_ASIDE"), "pick", picks))
                        .statusCode())
                .isEqualTo(422);
        String answer = imre.postMany(
                        sheet,
                        imre.token(),
                        Map.of(
                                "decision",
                                List.of("SEND_BACK"),
                                "sentence",
                                List.of("The mill's name is missing."),
                                "pick",
                                picks))
                .body();
        assertThat(Texts.of(answer))
                .contains("Sent back: Back at once 0 and Back at once 1.", "Left out:", "Back at once 2, version 1");
        assertThat(versions.subList(0, 2))
                .allSatisfy(version -> assertThat(round(version.deliverable()).said())
                        .singleElement()
                        .satisfies(said -> {
                            assertThat(said.decision()).isEqualTo(Decision.SEND_BACK);
                            assertThat(said.sentence()).isEqualTo("The mill's name is missing.");
                            assertThat(said.batch())
                                    .isEqualTo(round(versions.get(0).deliverable())
                                            .said()
                                            .get(0)
                                            .batch());
                        }));
        assertThat(round(versions.get(2).deliverable()).said()).isEmpty();
    }

    @Test
    void isClearedByTickingAndWaivingAndReleasedRecalledReleased() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Cleared", "ANY");
        ines.post(
                "/t/deliverables/" + bag + "/checklist",
                ines.token(),
                Map.of("lines", "Spelling read\n\n  Weights checked \nSpelling read"));
        Version version = sent(ines, bag);
        assertThat(decide(imre(), version, "SIGN_OFF", Map.of("drawn", "<script>"))
                        .body())
                .contains("The drawn signature cannot be read")
                .contains("Nothing was signed");
        decide(imre(), version, "SIGN_OFF", Map.of("drawn", "0.1000,0.5000 0.5000,0.2000 0.9000,0.6000"));
        assertThat(round(bag).said()).singleElement().satisfies(said -> assertThat(
                        said.signature().orElseThrow().path(300))
                .isEqualTo("M30.0 50.0L150.0 20.0L270.0 60.0"));
        assertThat(ines.get("/t/deliverables/" + bag + "/clearance").body())
                .contains("The signature of Imre Vadas", "M30.0 50.0L150.0 20.0L270.0 60.0");
        List<Checklists.Line> lines2 = checklists.linesOf(List.of(bag), List.of(version.id()));
        assertThat(lines2).extracting(Checklists.Line::words).containsExactly("Spelling read", "Weights checked");
        assertThat(ines.post("/t/deliverables/" + bag + "/release", ines.token(), Map.of())
                        .statusCode())
                .isEqualTo(422);
        ines.post(
                "/t/deliverables/" + bag + "/checklist/" + lines2.get(0).id(), ines.token(), Map.of("ticked", "true"));
        assertThat(ines.post(
                                "/t/deliverables/" + bag + "/waivers",
                                ines.token(),
                                Map.of("condition", "CHECKLIST_DONE", "reason", "In a hurry"))
                        .statusCode())
                .as("owners waive")
                .isEqualTo(403);
        Visitor bastian = Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
        assertThat(bastian.post(
                                "/t/deliverables/" + bag + "/waivers",
                                bastian.token(),
                                Map.of("condition", "SIGNED", "reason", "x"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(bastian.post(
                                "/t/deliverables/" + bag + "/waivers",
                                bastian.token(),
                                Map.of("condition", "CHECKLIST_DONE", "reason", " "))
                        .statusCode())
                .isEqualTo(422);
        bastian.post(
                "/t/deliverables/" + bag + "/waivers",
                bastian.token(),
                Map.of("condition", "CHECKLIST_DONE", "reason", "The scales are at the mill."));
        assertThat(checklists.waivers(List.of(version.id())))
                .singleElement()
                .satisfies(waiver -> assertThat(waiver.condition()).isEqualTo(Condition.CHECKLIST_DONE));
        ines.post("/t/projects/" + mill() + "/releases", ines.token(), Map.of("deliverable", bag.toString()));
        Releases.Release first = releases.ofDeliverable(bag).get(0);
        assertThat(ines.post("/t/releases/" + first.id() + "/recall", ines.token(), Map.of("reason", ""))
                        .statusCode())
                .isEqualTo(422);
        ines.post(
                "/t/releases/" + first.id() + "/recipients",
                ines.token(),
                Map.of("name", "The printer", "email", "press@printer.example"));
        Releases.Recipient printer = releases.recipients(bag).get(0);
        ines.post("/t/releases/" + first.id() + "/recall", ines.token(), Map.of("reason", "Wrong paper."));
        assertThat(releases.recipients(bag).get(0).expiresAt()).isBefore(printer.expiresAt());
        assertThat(new Visitor(address())
                        .get("/p/check?sha256=" + version.sha256().hex())
                        .body())
                .contains("It was recalled on");
        ines.post("/t/deliverables/" + bag + "/release", ines.token(), Map.of());
        assertThat(releases.ofDeliverable(bag)).hasSize(2);
        assertThat(releases.ofDeliverable(bag).get(0).replaces()).isEqualTo(first.id());
        Path bundle = unpacked(bag);
        assertThat(verified(bundle)).startsWith("Sound: ");
        assertThat(faultsAsPdfA(bundle.resolve("data/certificate.pdf"))).isEmpty();
        assertThat(faultsAsPdfA(bundle.resolve("data/released/mill-flour-spelt-1.pdf")))
                .as("the checker finds what is wrong with another")
                .isNotEmpty();
        alteredAnywhereIsFound(bundle);
        Sha256 certificate =
                Objects.requireNonNull(releases.ofDeliverable(bag).get(0).certificate());
        assertThat(new Visitor(address())
                        .get("/p/check?sha256=" + certificate.hex())
                        .body())
                .contains("this is a certificate that was made here", "by 1 person");
        assertThat(new Visitor(address())
                        .get("/p/check?sha256=" + Sha256.ofText("other").hex())
                        .body())
                .contains("these bytes were not signed here")
                .doesNotContain("Cleared");
        assertThat(new Visitor(address()).get("/p/check?sha256=short").statusCode())
                .isEqualTo(422);
    }

    /** The bundle of the newest release, unpacked. */
    private Path unpacked(ItemId deliverable) throws Exception {
        long patience = System.nanoTime() + 60_000_000_000L;
        while (releases.ofDeliverable(deliverable).get(0).bundle() == null && System.nanoTime() < patience) {
            Thread.onSpinWait();
        }
        Path folder = Files.createTempDirectory("bundle");
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(vault.path(Objects.requireNonNull(
                releases.ofDeliverable(deliverable).get(0).bundle()))))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                Path file = folder.resolve(entry.getName());
                Files.createDirectories(file.getParent());
                Files.copy(zip, file);
            }
        }
        try (var inside = Files.list(folder)) {
            return inside.findFirst().orElseThrow();
        }
    }

    /** What a checker of PDF/A-2u finds wrong. */
    private static List<String> faultsAsPdfA(Path certificate) throws Exception {
        VeraGreenfieldFoundryProvider.initialise();
        try (InputStream in = Files.newInputStream(certificate);
                PDFAParser parser = Foundries.defaultInstance().createParser(in, PDFAFlavour.PDFA_2_U);
                PDFAValidator validator = Foundries.defaultInstance().createValidator(PDFAFlavour.PDFA_2_U, false)) {
            return validator.validate(parser).getTestAssertions().stream()
                    .filter(one -> one.getStatus() == TestAssertion.Status.FAILED)
                    .map(one -> one.getRuleId().getClause() + ": " + one.getMessage())
                    .distinct()
                    .toList();
        }
    }

    /** What the bundle's own program says, run from its source as its reader would. */
    private static String verified(Path bundle) throws Exception {
        return said(bundle.resolve("data/Verify.java").toString(), bundle.toString());
    }

    private static String said(String... arguments) throws Exception {
        List<String> command = new ArrayList<>(
                List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString()));
        command.addAll(List.of(arguments));
        Process program = new ProcessBuilder(command).redirectErrorStream(true).start();
        try (InputStream out = program.getInputStream()) {
            return new String(out.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        }
    }

    /** One byte changed at a random place of any file is found, and the file named. */
    private static void alteredAnywhereIsFound(Path bundle) throws Exception {
        List<Path> files;
        try (var all = Files.walk(bundle)) {
            files = all.filter(Files::isRegularFile)
                    .filter(file -> !file.endsWith("Verify.java"))
                    .sorted()
                    .toList();
        }
        Path classes = Files.createTempDirectory("verify");
        assertThat(ToolProvider.getSystemJavaCompiler()
                        .run(
                                null,
                                null,
                                null,
                                "-d",
                                classes.toString(),
                                bundle.resolve("data/Verify.java").toString()))
                .isZero();
        Random random = new Random(17);
        for (Path file : files) {
            byte[] whole = Files.readAllBytes(file);
            byte[] altered = whole.clone();
            altered[random.nextInt(altered.length)] ^= 1;
            Files.write(file, altered);
            assertThat(said("-cp", classes.toString(), "Verify", bundle.toString()))
                    .as(file.getFileName().toString())
                    .startsWith("FAULT: ");
            Files.write(file, whole);
        }
        assertThat(verified(bundle)).startsWith("Sound: ");
    }
}
