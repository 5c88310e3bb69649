package app.clearpane.core.signoff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Rule;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who signs, in words, and what becomes of a round when that is changed while it is open (R3). */
class WhoSignsTest {
    private static final ContactId JASPER = contact(1);
    private static final ContactId MIRELA = contact(2);
    private static final ContactId PER = contact(3);
    private static final ContactId OTTOLINE = contact(4);
    private static final Map<ContactId, String> NAMES =
            Map.of(JASPER, "Jasper", MIRELA, "Mirela", PER, "Per", OTTOLINE, "Ottoline");

    private static ContactId contact(int number) {
        return new ContactId(new UUID(0, number));
    }

    private static Signatories panel(Rule rule, ContactId... who) {
        return new Signatories(
                rule, List.of(who), List.of(who).contains(OTTOLINE) ? Optional.of(OTTOLINE) : Optional.empty());
    }

    @Test
    void isSaidInASentence() {
        assertThat(panel(new Rule.All(), JASPER, OTTOLINE).inWords(NAMES::get)).isEqualTo("Jasper and Ottoline");
        assertThat(panel(new Rule.All(), JASPER).inWords(NAMES::get)).isEqualTo("Jasper");
        assertThat(panel(new Rule.Any(), JASPER, MIRELA, PER).inWords(NAMES::get))
                .isEqualTo("Any one of Jasper, Mirela and Per");
        assertThat(panel(new Rule.Any(), JASPER, OTTOLINE).inWords(NAMES::get))
                .as("the lead voice must have signed too")
                .isEqualTo("Ottoline, whoever else signs");
        assertThat(panel(new Rule.AtLeast(2), JASPER, MIRELA, PER, OTTOLINE).inWords(NAMES::get))
                .isEqualTo("Two of Jasper, Mirela, Per and Ottoline, and always Ottoline");
        assertThat(panel(new Rule.AtLeast(3), JASPER, MIRELA, PER).inWords(NAMES::get))
                .isEqualTo("Jasper, Mirela and Per");
        assertThat(panel(new Rule.InOrder(), JASPER, MIRELA, OTTOLINE).inWords(NAMES::get))
                .isEqualTo("Jasper, then Mirela, then Ottoline");
        assertThat(panel(new Rule.All()).inWords(NAMES::get)).isEqualTo("Nobody");
    }

    @ParameterizedTest(name = "at least {0} of 3: {1}")
    @CsvSource({"1, true", "3, true", "4, false"})
    void aRuleNobodyCanMeetIsKnown(int k, boolean canBeMet) {
        assertThat(panel(new Rule.AtLeast(k), JASPER, MIRELA, PER).canBeMet()).isEqualTo(canBeMet);
        assertThat(panel(new Rule.All()).canBeMet()).isFalse();
    }

    @Test
    void aSignatoryRemovedAfterSigningDoesNotCountAnyMore() {
        Signatories.Change change = panel(new Rule.All(), JASPER, MIRELA)
                .to(panel(new Rule.All(), JASPER, PER), Map.of(JASPER, Decision.SIGN_OFF, MIRELA, Decision.SIGN_OFF));
        assertThat(change)
                .isEqualTo(
                        new Signatories.Change(List.of(PER), List.of(MIRELA), Outcome.SIGNED, Outcome.PENDING, false));
    }

    @Test
    void takingAwayTheLastUndecidedClosesTheRound() {
        Signatories.Change change = panel(new Rule.All(), JASPER, MIRELA)
                .to(panel(new Rule.All(), JASPER), Map.of(JASPER, Decision.SEND_BACK));
        assertThat(change.closes()).isTrue();
        assertThat(change.after()).isEqualTo(Outcome.BACK);
        Signatories.Change any = panel(new Rule.All(), JASPER, MIRELA)
                .to(panel(new Rule.Any(), JASPER, MIRELA), Map.of(JASPER, Decision.SIGN_OFF));
        assertThat(any.before()).isEqualTo(Outcome.PENDING);
        assertThat(any.after()).isEqualTo(Outcome.SIGNED);
        assertThat(any.closes()).isTrue();
    }

    @Test
    void noChangeChangesNothing() {
        Signatories same = panel(new Rule.AtLeast(2), JASPER, MIRELA, OTTOLINE);
        Signatories.Change change = same.to(same, Map.of(JASPER, Decision.SIGN_OFF));
        assertThat(change.added()).isEmpty();
        assertThat(change.removed()).isEmpty();
        assertThat(change.before()).isEqualTo(change.after());
        assertThat(change.closes()).isFalse();
    }

    @Test
    void rulesAreKeptByName() {
        for (Rule rule : List.of(new Rule.All(), new Rule.Any(), new Rule.AtLeast(3), new Rule.InOrder())) {
            assertThat(Rule.of(rule.keptAs(), 3)).isEqualTo(rule);
        }
        assertThatThrownBy(() -> Rule.of("MOST", 1))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("MOST");
    }

    private static StandIn standIn(ContactId away, ContactId by, int from, int until) {
        return new StandIn(away, by, LocalDate.of(2027, 3, from), LocalDate.of(2027, 3, until));
    }

    @ParameterizedTest(name = "on the {0}th: {1}")
    @CsvSource({"9, 0", "10, 1", "14, 1", "15, 0"})
    void somebodyStandsInOnTheDaysAwayOnly(int day, int forHowMany) {
        assertThat(StandIn.of(MIRELA, LocalDate.of(2027, 3, day), List.of(standIn(OTTOLINE, MIRELA, 10, 14))))
                .hasSize(forHowMany);
        assertThat(StandIn.of(JASPER, LocalDate.of(2027, 3, day), List.of(standIn(OTTOLINE, MIRELA, 10, 14))))
                .isEmpty();
    }

    @Test
    void nobodyStandsInForAStandIn() {
        List<StandIn> ottolineAway = List.of(standIn(OTTOLINE, MIRELA, 10, 14));
        assertThat(standIn(MIRELA, PER, 12, 20).fits(ottolineAway))
                .as("the stand-in is away too")
                .isFalse();
        assertThat(standIn(JASPER, OTTOLINE, 9, 10).fits(ottolineAway))
                .as("by somebody who is away")
                .isFalse();
        assertThat(standIn(OTTOLINE, JASPER, 14, 20).fits(ottolineAway))
                .as("two for one")
                .isFalse();
        assertThat(standIn(MIRELA, PER, 15, 20).fits(ottolineAway))
                .as("on other days")
                .isTrue();
        assertThat(standIn(JASPER, MIRELA, 12, 13).fits(ottolineAway))
                .as("one for two")
                .isTrue();
        assertThat(StandIn.of(
                        MIRELA,
                        LocalDate.of(2027, 3, 12),
                        List.of(standIn(OTTOLINE, MIRELA, 10, 14), standIn(MIRELA, PER, 11, 13))))
                .as("however it came about")
                .isEmpty();
        assertThatThrownBy(() -> standIn(OTTOLINE, MIRELA, 14, 10)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> standIn(OTTOLINE, OTTOLINE, 10, 14)).isInstanceOf(IllegalArgumentException.class);
    }
}
