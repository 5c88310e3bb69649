package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.record.RecordLines;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.regex.Pattern;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Who signs, extra rounds, taking back and signing many, over HTTP. */
class SigningTest extends AtTheMill {
    @Autowired
    Seats seats;

    @Autowired
    Markups markups;

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

    /** A version that Grete signs first, and then Imre. */
    private Version sentInOrder(Visitor ines, ItemId deliverable) throws Exception {
        String order = contact("Grete") + "," + contact("Imre");
        signing(ines, deliverable, Map.of("rule", "IN_ORDER", "signer", contact("Grete"), "order", order));
        assertThat(deliverables.find(deliverable).orElseThrow().rule()).isEqualTo(new Rule.InOrder());
        return sent(ines, deliverable);
    }

    @Test
    void inOrderOnlyTheFirstUndecidedDecides() throws Exception {
        Version version = sentInOrder(ines(), deliverable(ines(), "In order", "ALL"));
        assertThat(round(version.deliverable()).whoSigns()).startsWith("Grete").contains(", then Imre");
        assertThat(decide(imre(), version, "SIGN_OFF", Map.of()).body()).contains("It is not your turn to sign yet");
        assertThat(imre().get(at(version)).body()).contains("decides before you");
        assertThat(imre().get("/c/panes/" + pane().id() + "/to-sign").body())
                .as("only whose place it is waits")
                .doesNotContain("In order");
        assertThat(imre().get("/c/panes/" + pane().id()).body()).contains("others sign first");
        assertThat(mailsAbout("imre@", "Your turn to sign: In order")).isZero();
    }

    @Test
    void inOrderTheNextIsAskedAndTheFirstTakesNothingBack() throws Exception {
        Version version = sentInOrder(ines(), deliverable(ines(), "One by one", "ALL"));
        decide(grete(), version, "SIGN_OFF", Map.of());
        mailArrives("imre@", "Your turn to sign: One by one");
        assertThat(imre().get("/c/panes/" + pane().id() + "/to-sign").body()).contains("One by one");
        assertThat(decide(imre(), version, "SIGN_OFF", Map.of()).statusCode()).isEqualTo(302);
        assertThat(round(version.deliverable()).soFar()).isEqualTo(Outcome.SIGNED);
        assertThat(takeBack(grete(), version).statusCode())
                .as("the next has gone on from it")
                .isEqualTo(422);
    }

    @Test
    void aRuleNobodyCanMeetIsRefused() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Never met", "ALL");
        assertThat(signing(ines, bag, Map.of("rule", "AT_LEAST", "least", "9")).body())
                .contains("Nobody could ever meet this");
        assertThat(signing(ines, bag, Map.of("rule", "AT_LEAST", "least", "x", "reviewDays", "0", "fee", "much"))
                        .body())
                .contains("How many have to sign", "The days to review it", "The fee for a further round");
    }

    @Test
    void aChangeOfAnOpenRoundIsExplainedFirst() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Changed midway", "ALL");
        Version version = sent(ines, bag);
        decide(grete(), version, "SIGN_OFF", Map.of());
        String explained = signing(ines, bag, Map.of("signer", contact("Imre"))).body();
        assertThat(explained).contains("is no longer asked; “signed off” does not count any more", "Change who signs");
        assertThat(round(bag).signatories())
                .as("nothing is changed before one is sure")
                .hasSize(2);
        signing(ines, bag, Map.of("signer", contact("Imre"), "sure", "true"));
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
    void aStandInStandsInForSomebodyElseInDaysThatAre() throws Exception {
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
        String again =
                standIn(ines, contact("Imre"), contact("Grete"), from, until).body();
        endStandIns(ines);
        assertThat(again).contains("A stand-in has no stand-in");
    }

    /** While one of the two is away and the other stands in. */
    private void whileAway(String away, String standIn, Callable<Object> does) throws Exception {
        Visitor ines = ines();
        String from = today().minusDays(1).toString();
        standIn(ines, contact(away), contact(standIn), from, today().plusDays(1).toString());
        try {
            does.call();
        } finally {
            endStandIns(ines);
        }
    }

    @Test
    void aStandInSignsInOrderBeforeTheirOwnPlace() throws Exception {
        ItemId bag = deliverable(ines(), "Stood in", "ALL");
        whileAway("Grete", "Imre", () -> {
            Version version = sentInOrder(ines(), bag);
            decide(imre(), version, "SIGN_OFF", Map.of());
            assertThat(round(bag).said())
                    .as("it was Grete’s place, and her stand-in took it")
                    .singleElement()
                    .satisfies(said -> assertThat(said.by()).startsWith("Imre").contains("standing in for Grete"));
            return decide(imre(), version, "SIGN_OFF", Map.of());
        });
        assertThat(round(bag).soFar()).as("then his own").isEqualTo(Outcome.SIGNED);
    }

    @Test
    void aStandInSignsInOrderAfterTheirOwnPlace() throws Exception {
        ItemId bag = deliverable(ines(), "Stood in, later", "ALL");
        whileAway("Imre", "Grete", () -> {
            Version version = sentInOrder(ines(), bag);
            decide(grete(), version, "SIGN_OFF", Map.of());
            assertThat(grete().get(at(version)).body()).contains("standing in for Imre");
            return decide(grete(), version, "SIGN_OFF", Map.of());
        });
        assertThat(round(bag).soFar()).isEqualTo(Outcome.SIGNED);
        assertThat(round(bag).said().get(1).by()).startsWith("Grete").contains("standing in for Imre");
        assertThat(lines.linesOf(mill(), bag.value())).contains("\"insteadOf\":\"Imre");
        assertThat(ines().get("/t/deliverables/" + bag + "/clearance").body()).contains("standing in for Imre");
    }

    private HttpResponse<String> away(Visitor who, String by, String until) throws Exception {
        Map<String, String> days = Map.of("by", contact(by), "from", today().toString(), "until", until);
        return who.post("/c/panes/" + pane().id() + "/away", who.token(), days);
    }

    @Test
    void aSignatoryNamesAnotherAsTheirStandInForDaysThatAre() throws Exception {
        Visitor grete = grete();
        String away = "/c/panes/" + pane().id() + "/away";
        assertThat(grete.get("/c/panes/" + pane().id() + "/to-sign").body()).contains(away);
        String page = grete.get(away).body();
        assertThat(page.substring(page.indexOf("<h1>")))
                .contains("Imre Vadas")
                .doesNotContain(">Grete Lindholm</option>");
        assertThat(away(grete, "Grete", today().toString()).statusCode()).isEqualTo(422);
        assertThat(away(grete, "Imre", "2020-01-01").body()).contains("before the first");
    }

    @Test
    void theManagerIsToldOfAStandInWhoSignsInBothPlaces() throws Exception {
        long told = mailsAbout("ines@marram-finch.example", "Grete Lindholm is away");
        away(grete(), "Imre", today().toString());
        Visitor imre = imre();
        assertThat(away(imre, "Grete", today().toString()).body()).contains("A stand-in has no stand-in");
        Awaitility.await().until(() -> mailsAbout("ines@marram-finch.example", "Grete Lindholm is away") > told);
        Version version = sent(ines(), deliverable(ines(), "Away", "ALL"));
        decide(imre, version, "SIGN_OFF", Map.of());
        String table = imre.get(at(version)).body();
        endStandIns(ines());
        assertThat(table).as("his own place first, then hers").contains("standing in for Grete");
    }

    @Test
    void aStandInIsSeenAndEndedByWhoeverNamedThem() throws Exception {
        String away = "/c/panes/" + pane().id() + "/away";
        Visitor grete = grete();
        away(grete, "Imre", today().toString());
        assertThat(grete.get(away).body()).contains("Imre Vadas decides for you");
        Visitor imre = imre();
        assertThat(imre.get(away).body()).as("only their own").doesNotContain("decides for you</span>");
        String row = Pattern.compile(away + "/([0-9a-f-]{36})/end")
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

    /** The second version of a bag, in which a change that Imre asked for is fixed, signed by him. */
    private Version signedAsFixed(Visitor ines, String name) throws Exception {
        ItemId bag = deliverable(ines, name, "ANY");
        marks(imre(), sent(ines, bag), "CHANGE", "Lighter.", 0.5);
        Version second = sent(ines, bag, "flour-rye-2.pdf");
        Mark mark = markups.marksOf(bag).get(0);
        String revision = String.valueOf(mark.revision());
        ines.post(
                "/t/marks/" + mark.id() + "/answers",
                ines.token(),
                Map.of(
                        "act",
                        "FIX",
                        "said",
                        "",
                        "revision",
                        revision,
                        "on",
                        second.id().toString()));
        decide(imre(), second, "SIGN_OFF", Map.of());
        assertThat(markups.marksOf(bag).get(0).progress()).isEqualTo(MarkupProgress.CONFIRMED);
        assertThat(round(bag).open()).isFalse();
        return second;
    }

    @Test
    void aDecisionIsTakenBackWithAllThatItDid() throws Exception {
        Version second = signedAsFixed(ines(), "Taken back");
        ItemId bag = second.deliverable();
        assertThat(takeBack(imre(), second).statusCode()).isEqualTo(302);
        assertThat(round(bag).open()).isTrue();
        assertThat(round(bag).said()).isEmpty();
        assertThat(markups.marksOf(bag).get(0).progress()).isEqualTo(MarkupProgress.FIXED);
        assertThat(lines.linesOf(mill(), bag.value())).contains("signoff.taken-back");
        assertThat(takeBack(imre(), second).statusCode())
                .as("there is nothing to take back any more")
                .isEqualTo(404);
    }

    @Test
    void aDecisionThatTheStudioHasGoneOnFromIsNotTakenBack() throws Exception {
        Visitor ines = ines();
        Version second = signedAsFixed(ines, "Gone on from");
        upload(ines, second.deliverable(), "flour-wheat-1.pdf");
        assertThat(takeBack(imre(), second).statusCode()).isEqualTo(409);
    }

    /** Versions of so many bags that wait for a signature. */
    private List<Version> several(int many, String name) throws Exception {
        Visitor ines = ines();
        List<Version> versions = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            versions.add(sent(ines, deliverable(ines, name + " " + i, "ANY")));
        }
        return versions;
    }

    /** Each as it is chosen on the sheet of what is to sign, the last as if it had been seen otherwise. */
    private static List<String> picks(List<Version> versions) {
        List<String> picks = new ArrayList<>();
        versions.forEach(
                version -> picks.add(version.id() + ":" + version.sha256().hex()));
        Version last = versions.get(versions.size() - 1);
        picks.set(
                picks.size() - 1,
                last.id() + ":" + Sha256.ofText("seen otherwise").hex());
        return picks;
    }

    private HttpResponse<String> toSign(Visitor who, Map<String, List<String>> form) throws Exception {
        return who.postMany("/c/panes/" + pane().id() + "/to-sign", who.token(), form);
    }

    @Test
    void twelveAreSignedAtOnceAndWhatCannotBeIsLeftOut() throws Exception {
        List<Version> versions = several(12, "Bulk");
        marks(grete(), versions.get(0), "CHANGE", "Larger.", 0.2);
        marks(imre(), versions.get(0), "KEEP", "Just so.", 0.2);
        sent(ines(), versions.get(1).deliverable(), "flour-rye-2.pdf");
        Map<String, List<String>> form = Map.of("typedName", List.of("Imre"), "pick", picks(versions));
        assertThat(toSign(imre(), form).body())
                .contains("Left out:", "Bulk 0, version 1", "A change is still asked for", "Bulk 11, version 1")
                .contains("Bulk 1, version 1", "A newer version of");
        assertThat(versions.subList(2, 11))
                .allSatisfy(version ->
                        assertThat(round(version.deliverable()).soFar()).isEqualTo(Outcome.SIGNED));
        assertThat(versions.subList(2, 11))
                .extracting(
                        version -> round(version.deliverable()).said().get(0).batch())
                .doesNotContainNull()
                .containsOnly(round(versions.get(2).deliverable()).said().get(0).batch());
        assertThat(round(versions.get(0).deliverable()).open()).isTrue();
        assertThat(round(versions.get(1).deliverable()).said()).isEmpty();
    }

    @Test
    void whoeverChoosesNothingOrSaysNotWhyIsToldSo() throws Exception {
        List<String> picks = picks(several(1, "Said badly"));
        assertThat(toSign(imre(), Map.of("typedName", List.of("Imre"))).statusCode())
                .as("nothing chosen")
                .isEqualTo(422);
        assertThat(toSign(imre(), Map.of("decision", List.of("SEND_BACK"), "pick", picks))
                        .body())
                .contains("Say in a sentence what is not right yet");
        assertThat(toSign(imre(), Map.of("decision", List.of("STAND_ASIDE"), "pick", picks))
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void severalAreSentBackAtOnceWithOneSentence() throws Exception {
        List<Version> versions = several(3, "Back at once");
        List<String> why = List.of("The mill's name is missing.");
        String answer = toSign(
                        imre(), Map.of("decision", List.of("SEND_BACK"), "sentence", why, "pick", picks(versions)))
                .body();
        assertThat(Texts.of(answer))
                .contains("Sent back: Back at once 0 and Back at once 1.", "Left out:", "Back at once 2, version 1");
        List<Round.Said> said = versions.stream()
                .flatMap(version -> round(version.deliverable()).said().stream())
                .toList();
        assertThat(said).hasSize(2).allSatisfy(one -> {
            assertThat(one.decision()).isEqualTo(Decision.SEND_BACK);
            assertThat(one.sentence()).isEqualTo(why.get(0));
            assertThat(one.batch()).isNotNull().isEqualTo(said.get(0).batch());
        });
        assertThat(round(versions.get(2).deliverable()).said()).isEmpty();
    }
}
