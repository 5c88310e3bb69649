package app.clearpane.core.signoff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Rule;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Who decides for whom while somebody is away. */
class StandInTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 5, 10);

    private static ContactId contact(String letter) {
        return new ContactId(new UUID(0, letter.charAt(0)));
    }

    private static StandIn away(String away, String by, int from, int until) {
        return new StandIn(contact(away), contact(by), MONDAY.plusDays(from), MONDAY.plusDays(until));
    }

    @ParameterizedTest(name = "day {0}: {1}")
    @CsvSource({"-1, false", "0, true", "2, true", "4, true", "5, false"})
    void holdsFromItsFirstDayToItsLast(int day, boolean on) {
        assertThat(away("A", "B", 0, 4).on(MONDAY.plusDays(day))).isEqualTo(on);
    }

    @Test
    void isOfTwoPeopleAndDaysInOrder() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> away("A", "A", 0, 4))
                .withMessageContaining("themselves");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> away("A", "B", 1, 0))
                .withMessageContaining("not before the first");
    }

    @ParameterizedTest(name = "{0} for {1} beside B for A from day 0 to 4, from day {2} to {3}: {4}")
    @CsvSource({
        "C, A, 4, 9, false",
        "C, A, 5, 9, true",
        "C, A, -3, -1, true",
        "C, A, -3, 0, false",
        "A, C, 2, 2, false",
        "A, C, 5, 6, true",
        "C, B, 2, 3, false",
        "C, B, 5, 6, true",
        "B, C, 0, 4, true",
        "D, C, 0, 4, true"
    })
    void fitsWhereNobodyIsDecidedForByTwoOrByWhoIsAway(String by, String away, int from, int until, boolean fits) {
        assertThat(away(away, by, from, until).fits(List.of(away("A", "B", 0, 4))))
                .isEqualTo(fits);
    }

    @Test
    void whoIsAwayDecidesForNobody() {
        List<StandIn> all = List.of(away("A", "C", 0, 4), away("B", "C", 3, 9), away("C", "D", 8, 9));
        assertThat(StandIn.of(contact("C"), MONDAY.minusDays(1), all)).isEmpty();
        assertThat(StandIn.of(contact("C"), MONDAY, all)).containsExactly(contact("A"));
        assertThat(StandIn.of(contact("C"), MONDAY.plusDays(3), all)).containsExactly(contact("A"), contact("B"));
        assertThat(StandIn.of(contact("C"), MONDAY.plusDays(8), all))
                .as("away herself")
                .isEmpty();
        assertThat(StandIn.of(contact("D"), MONDAY.plusDays(8), all))
                .as("for her, not for those she stood in for")
                .containsExactly(contact("C"));
    }

    /** However many are added, as long as each fits, on every day each person away has one who is there. */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void thoseThatFitNeverLeaveSomebodyWithTwoOrWithOneWhoIsAway(long seed) {
        Random random = new Random(seed);
        List<StandIn> all = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            int from = random.nextInt(40);
            String away = String.valueOf((char) ('A' + random.nextInt(6)));
            String by = String.valueOf((char) ('A' + random.nextInt(6)));
            if (!away.equals(by)) {
                StandIn one = away(away, by, from, from + random.nextInt(8));
                if (one.fits(all)) {
                    all.add(one);
                }
            }
        }
        for (int day = 0; day < 50; day++) {
            LocalDate on = MONDAY.plusDays(day);
            List<StandIn> now = all.stream().filter(one -> one.on(on)).toList();
            assertThat(now.stream().map(StandIn::away)).doesNotHaveDuplicates();
            assertThat(now).noneMatch(one -> now.stream()
                    .anyMatch(other -> other.away().equals(one.by())));
            assertThat(now).allMatch(one -> StandIn.of(one.by(), on, all).contains(one.away()));
        }
    }

    /**
     * Whose decision is made, of A, B and C who sign, D who does not. @param decided those who did already, letter
     * after letter
     */
    @ParameterizedTest(name = "{0}: {1}, standing in for “{2}”, after “{3}”: {4}")
    @CsvSource({
        "ALL, A, '', '', A",
        "ALL, A, '', A, A",
        "ALL, D, '', '', D",
        "ALL, A, B, '', A",
        "ALL, A, B, A, B",
        "ALL, A, B, AB, A",
        "ALL, A, BC, A, B",
        "ALL, A, BC, AB, C",
        "ALL, A, BC, ABC, A",
        "ALL, D, B, '', B",
        "ALL, D, B, B, B",
        "ALL, D, BC, B, C",
        "ALL, D, BC, BC, B",
        "ALL, A, D, A, A",
        "ALL, D, E, '', D",
        "IN_ORDER, A, '', '', A",
        "IN_ORDER, B, A, '', A",
        "IN_ORDER, B, A, A, B",
        "IN_ORDER, B, C, A, B",
        "IN_ORDER, B, C, AB, C",
        "IN_ORDER, A, B, '', A",
        "IN_ORDER, A, B, A, B",
        "IN_ORDER, A, C, A, C",
        "IN_ORDER, D, B, '', B",
        "IN_ORDER, D, AB, '', A",
        "IN_ORDER, D, AB, A, B",
        "IN_ORDER, D, BA, '', A",
        "IN_ORDER, C, AB, AB, C",
        "IN_ORDER, C, AB, A, B"
    })
    void decidesForWhomItIsTheTurn(String rule, String who, String standsInFor, String decided, String signer) {
        List<ContactId> all =
                Arrays.stream("A B C".split(" ")).map(StandInTest::contact).toList();
        Signatories signatories =
                new Signatories("ALL".equals(rule) ? new Rule.All() : new Rule.InOrder(), all, Optional.empty());
        Map<ContactId, Decision> decisions =
                letters(decided).stream().collect(Collectors.toMap(one -> one, one -> Decision.SIGN_OFF));
        assertThat(signatories.signer(contact(who), letters(standsInFor), decisions))
                .isEqualTo(contact(signer));
    }

    private static List<ContactId> letters(String word) {
        return IntStream.range(0, word.length())
                .mapToObj(i -> contact(word.substring(i, i + 1)))
                .toList();
    }
}
