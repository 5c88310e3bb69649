package app.clearpane.core.signoff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.files.Sha256;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SignatoriesTest {
    private static final List<ContactId> PEOPLE = java.util.stream.Stream.generate(
                    () -> new ContactId(UUID.randomUUID()))
            .limit(4)
            .toList();
    private static final Sha256 FILE = Sha256.ofText("file");

    private static Signatories of(String rule, int n, int lead) {
        Rule parsed = rule.equals("ALL")
                ? new Rule.All()
                : rule.equals("ANY")
                        ? new Rule.Any()
                        : rule.equals("ORDER") ? new Rule.InOrder() : new Rule.AtLeast(Integer.parseInt(rule));
        return new Signatories(
                parsed, PEOPLE.subList(0, n), lead < 0 ? Optional.empty() : Optional.of(PEOPLE.get(lead)));
    }

    private static Map<ContactId, Decision> said(String decisions) {
        Map<ContactId, Decision> said = new HashMap<>();
        for (int i = 0; i < decisions.length(); i++) {
            Decision decision = decision(decisions.charAt(i));
            if (decision != null) {
                said.put(PEOPLE.get(i), decision);
            }
        }
        return said;
    }

    private static @Nullable Decision decision(char letter) {
        return switch (letter) {
            case 'y' -> Decision.SIGN_OFF;
            case 'w' -> Decision.SIGN_OFF_WITH_NOTES;
            case 'n' -> Decision.SEND_BACK;
            case 'a' -> Decision.STAND_ASIDE;
            default -> null;
        };
    }

    @ParameterizedTest(name = "{0} of {1}, lead {2}: {3} is {4}")
    @CsvSource({
        "ALL, 3, -1, yy-, PENDING",
        "ALL, 3, -1, yn-, BACK",
        "ALL, 3, -1, ywa, SIGNED_WITH_NOTES",
        "ANY, 3, -1, n-y, SIGNED",
        "2, 4, -1, nn-y, PENDING",
        "2, 4, -1, nnny, BACK",
        "2, 4, -1, aaay, NOBODY_LEFT",
        "2, 3, -1, aan, BACK",
        "ANY, 3, 2, y--, PENDING",
        "ANY, 3, 2, y-n, BACK",
        "ALL, 2, -1, aa, NOBODY_LEFT",
        "ORDER, 3, -1, yyy, SIGNED",
        "ORDER, 3, -1, yn-, BACK",
        "ANY, 2, -1, nn, BACK",
        "ANY, 2, -1, na, BACK",
        "ALL, 3, 0, -yy, PENDING"
    })
    void comesToWhatTheTableSays(String rule, int n, int lead, String decisions, Outcome expected) {
        assertThat(of(rule, n, lead).outcome(said(decisions))).isEqualTo(expected);
    }

    /** Every rule, lead voice and set of decisions of up to four people, against the rule written out by counting. */
    @Test
    void agreesWithCountingInEveryCase() {
        int cases = 0;
        for (int n = 1; n <= 4; n++) {
            for (String rule : List.of("ALL", "ANY", "ORDER", "1", "2", "3", "4")) {
                for (int lead = -1; lead < n; lead++) {
                    for (String decisions : every(n)) {
                        if (lead < 0 || decisions.charAt(lead) != 'a') {
                            assertThat(of(rule, n, lead).outcome(said(decisions)))
                                    .as(rule + " of " + n + ", lead " + lead + ": " + decisions)
                                    .isEqualTo(counted(rule, lead, decisions));
                            cases++;
                        }
                    }
                }
            }
        }
        assertThat(cases).isGreaterThan(20_000);
    }

    @ParameterizedTest(name = "{0} of 3: with {1}, {2} are asked")
    @CsvSource({
        "ALL, ---, 0 1 2",
        "ALL, y--, 1 2",
        "ANY, n-a, 1",
        "ORDER, ---, 0",
        "ORDER, y--, 1",
        "ORDER, -y-, 0",
        "ORDER, yyy, ''"
    })
    void asksOnlyWhosePlaceItIs(String rule, String decisions, String asked) {
        assertThat(of(rule, 3, -1).askedNow(said(decisions)).stream()
                        .map(one -> String.valueOf(PEOPLE.indexOf(one)))
                        .toList())
                .isEqualTo(asked.isEmpty() ? List.of() : List.of(asked.split(" ")));
    }

    @ParameterizedTest(name = "{0}, lead {1}: {2}, then {3} by {4}: {5}, closes {6}")
    @CsvSource({
        "ALL, 0, -n, y, 0, BACK, true",
        "ALL, 0, --, y, 0, PENDING, false",
        "ALL, -1, y-, y, 1, SIGNED, true",
        "ALL, -1, n--, y, 1, BACK, false",
        "ANY, -1, n-, y, 1, SIGNED, true",
        "ALL, -1, a-, a, 1, NOBODY_LEFT, true"
    })
    void foretellsWhatOneMoreDecisionDoes(
            String rule, int lead, String before, char decision, int by, Outcome outcome, boolean closes) {
        assertThat(of(rule, before.length(), lead).with(PEOPLE.get(by), decision(decision), said(before)))
                .isEqualTo(new Signatories.Effect(outcome, closes));
    }

    private static List<String> every(int n) {
        List<String> all = List.of("");
        for (int i = 0; i < n; i++) {
            List<String> longer = new ArrayList<>();
            all.forEach(start -> "-ywna".chars().forEach(c -> longer.add(start + (char) c)));
            all = longer;
        }
        return all;
    }

    private static Outcome counted(String rule, int lead, String decisions) {
        long yes = decisions.chars().filter(c -> c == 'y' || c == 'w').count();
        long no = decisions.chars().filter(c -> c == 'n').count();
        long open = decisions.chars().filter(c -> c == '-').count();
        long n = yes + no + open;
        long k =
                switch (rule) {
                    case "ALL", "ORDER" -> n;
                    case "ANY" -> 1;
                    default -> Long.parseLong(rule);
                };
        boolean everyone = rule.equals("ALL") || rule.equals("ORDER");
        if (lead >= 0 && decisions.charAt(lead) == 'n') {
            return Outcome.BACK;
        }
        if (n == 0) {
            return Outcome.NOBODY_LEFT;
        }
        if (everyone ? no > 0 : yes < k && (n < k ? no > 0 : yes + open < k)) {
            return Outcome.BACK;
        }
        if (yes < k) {
            return n < k ? Outcome.NOBODY_LEFT : Outcome.PENDING;
        }
        boolean leadSigned = lead < 0 || decisions.charAt(lead) == 'y' || decisions.charAt(lead) == 'w';
        return !leadSigned ? Outcome.PENDING : decisions.contains("w") ? Outcome.SIGNED_WITH_NOTES : Outcome.SIGNED;
    }

    @Test
    void goesInOrderAndLetsTheLastChangeTheirMind() {
        Signatories inOrder = of("ORDER", 3, -1);
        assertThat(inOrder.isPlaceOf(PEOPLE.get(1), said("---"))).isFalse();
        assertThat(inOrder.nextInOrder(said("---"))).contains(PEOPLE.get(0));
        assertThat(inOrder.isPlaceOf(PEOPLE.get(0), said("y--"))).isTrue();
        assertThat(inOrder.isPlaceOf(PEOPLE.get(0), said("yy-"))).isFalse();
        assertThat(inOrder.nextInOrder(said("yyy"))).isEmpty();
        assertThat(of("ALL", 3, -1).isPlaceOf(PEOPLE.get(3), said(""))).isFalse();
    }

    @Test
    void refusesImpossiblePanels() {
        assertThatIllegalArgumentException()
                .isThrownBy(
                        () -> new Signatories(new Rule.All(), List.of(PEOPLE.get(0), PEOPLE.get(0)), Optional.empty()));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Signatories(new Rule.All(), PEOPLE.subList(0, 1), Optional.of(PEOPLE.get(1))));
        assertThatIllegalArgumentException().isThrownBy(() -> new Rule.AtLeast(0));
    }

    private static RoundState round(
            String rule, int n, int lead, String decisions, int unsettled, int own, int clashes) {
        return new RoundState(FILE, false, of(rule, n, lead), said(decisions), unsettled, own, clashes);
    }

    private static RoundState.Answer tries(RoundState state, int who, Decision decision, String sentence) {
        return state.answer(new Attempt(PEOPLE.get(who), decision, FILE, sentence));
    }

    private static RoundState.Answer refused(RoundState.Refusal why) {
        return new RoundState.Answer.Refused(why);
    }

    @Test
    void refusesWhatCannotStand() {
        RoundState open = round("ALL", 2, 0, "--", 0, 0, 0);
        assertThat(open.answer(new Attempt(PEOPLE.get(0), Decision.SIGN_OFF, Sha256.ofText("older"), "")))
                .isEqualTo(refused(RoundState.Refusal.VERSION_REPLACED));
        assertThat(new RoundState(FILE, true, of("ALL", 2, 0), said("--"), 0, 0, 0)
                        .answer(new Attempt(PEOPLE.get(0), Decision.SIGN_OFF, FILE, "")))
                .isEqualTo(refused(RoundState.Refusal.ROUND_CLOSED));
        assertThat(tries(open, 3, Decision.SIGN_OFF, "")).isEqualTo(refused(RoundState.Refusal.NOT_A_SIGNATORY));
        assertThat(tries(round("ORDER", 3, -1, "---", 0, 0, 0), 1, Decision.SIGN_OFF, ""))
                .isEqualTo(refused(RoundState.Refusal.NOT_YOUR_PLACE));
        assertThat(tries(round("ALL", 2, 0, "--", 1, 0, 0), 0, Decision.SIGN_OFF, ""))
                .isEqualTo(refused(RoundState.Refusal.CHANGE_OPEN));
        assertThat(tries(round("ALL", 2, 0, "--", 0, 0, 1), 0, Decision.SIGN_OFF, ""))
                .isEqualTo(refused(RoundState.Refusal.CLASH_OPEN));
        assertThat(tries(open, 0, Decision.SIGN_OFF_WITH_NOTES, " "))
                .isEqualTo(refused(RoundState.Refusal.NOTES_MISSING));
        assertThat(tries(open, 1, Decision.SEND_BACK, "")).isEqualTo(refused(RoundState.Refusal.SAY_WHAT_TO_CHANGE));
        assertThat(tries(open, 0, Decision.STAND_ASIDE, "")).isEqualTo(refused(RoundState.Refusal.LEAD_VOICE_STAYS));
    }

    @Test
    void comesBackOnceAndWhole() {
        assertThat(tries(round("ALL", 2, 0, "--", 1, 1, 0), 1, Decision.SEND_BACK, ""))
                .isEqualTo(new RoundState.Answer.Taken(Outcome.BACK, false));
        assertThat(tries(round("ALL", 2, 0, "-n", 0, 0, 0), 0, Decision.SEND_BACK, "no"))
                .isEqualTo(new RoundState.Answer.Taken(Outcome.BACK, true));
        assertThat(tries(round("ALL", 2, 0, "-y", 0, 0, 0), 0, Decision.SIGN_OFF, ""))
                .isEqualTo(new RoundState.Answer.Taken(Outcome.SIGNED, true));
        assertThat(tries(round("ANY", 2, -1, "--", 0, 0, 0), 0, Decision.SIGN_OFF, ""))
                .isEqualTo(new RoundState.Answer.Taken(Outcome.SIGNED, true));
        assertThat(round("ALL", 2, 0, "-y", 0, 0, 0).closedByHand()).isEqualTo(Outcome.BACK);
        assertThat(round("ALL", 2, -1, "aa", 0, 0, 0).closedByHand()).isEqualTo(Outcome.NOBODY_LEFT);
    }
}
