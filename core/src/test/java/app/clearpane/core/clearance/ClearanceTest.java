package app.clearpane.core.clearance;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Allowance;
import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.deliverable.RoundCount;
import app.clearpane.core.signoff.Outcome;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClearanceTest {
    @ParameterizedTest(name = "{0}, {1} changes, {2} clashes, same bytes {3}: {4} open")
    @CsvSource({
        "SIGNED, 0, 0, true, 0",
        "SIGNED_WITH_NOTES, 0, 0, true, 0",
        "SIGNED, 1, 0, true, 1",
        "SIGNED, 0, 1, true, 1",
        "SIGNED, 0, 0, false, 1",
        "BACK, 0, 0, true, 2",
        "NOBODY_LEFT, 2, 0, true, 3",
        "BACK, 2, 1, true, 4",
        ", 0, 0, true, 2"
    })
    void isClearedOnlyWhenEveryConditionIsMet(Outcome outcome, int changes, int clashes, boolean sameBytes, int open) {
        Clearance clearance = Clearance.of(
                new Clearance.Facts(Optional.ofNullable(outcome), changes, clashes, 0, 0, sameBytes, Set.of()));
        assertThat(clearance.open()).isEqualTo(open);
        assertThat(clearance.cleared()).isEqualTo(open == 0);
        assertThat(clearance.findings())
                .extracting(Clearance.Finding::condition)
                .containsExactly(Condition.values());
    }

    @ParameterizedTest(name = "{0}, {1} changes, {2} clashes, {3} lines: {4} is next")
    @CsvSource({
        ", 0, 0, 3, SIGNED",
        "BACK, 2, 1, 3, NO_CLASH_OPEN",
        "BACK, 2, 0, 3, NO_CHANGE_LEFT",
        "BACK, 0, 0, 3, SIGNED",
        "SIGNED, 0, 0, 3, CHECKLIST_DONE",
        "SIGNED, 0, 0, 0, "
    })
    void saysWhatComesNext(Outcome outcome, int changes, int clashes, int lines, Condition next) {
        assertThat(Clearance.of(new Clearance.Facts(
                                Optional.ofNullable(outcome), changes, clashes, 0, lines, true, Set.of()))
                        .next())
                .isEqualTo(Optional.ofNullable(next));
    }

    @ParameterizedTest(name = "{0} waived: {1} open")
    @CsvSource({
        "'', 4",
        "NO_CHANGE_LEFT, 3",
        "'NO_CHANGE_LEFT NO_CLASH_OPEN ROUNDS_AGREED CHECKLIST_DONE', 0",
        "'SIGNED SAME_BYTES', 4"
    })
    void anOwnerMayWaiveAllButWhatWasNeverSigned(String waived, int open) {
        Set<Condition> conditions = Arrays.stream(waived.split(" "))
                .filter(name -> !name.isEmpty())
                .map(Condition::valueOf)
                .collect(Collectors.toSet());
        Clearance clearance =
                Clearance.of(new Clearance.Facts(Optional.of(Outcome.SIGNED), 1, 1, 1, 1, true, conditions));
        assertThat(clearance.open()).isEqualTo(open);
        assertThat(Clearance.of(new Clearance.Facts(Optional.empty(), 0, 0, 0, 0, false, Set.of(Condition.values())))
                        .cleared())
                .as("never without a signature")
                .isFalse();
        assertThat(Clearance.of(new Clearance.Facts(Optional.of(Outcome.SIGNED), 0, 0, 0, 0, true, conditions))
                        .findings())
                .as("what is met needs no waiver")
                .allMatch(Clearance.Finding::met);
    }

    @ParameterizedTest(name = "{0} rounds of {1} at {2}: {3} more")
    @CsvSource({"0, 2, 180.00, 0", "2, 2, 180.00, 0", "3, 2, 180.00, 180.00", "4, 2, 180.00, 360.00", "9, 2, 0, 0"})
    void roundsBeyondThoseIncludedCostExtra(int used, int included, BigDecimal fee, BigDecimal extra) {
        assertThat(new Allowance(included, fee).extra(used)).isEqualByComparingTo(extra);
    }

    @Test
    void eachExtraRoundIsAcceptedOnce() {
        Allowance two = new Allowance(2, new BigDecimal("180.00"));
        assertThat(two.toAccept(2, Set.of())).isEmpty();
        assertThat(two.toAccept(4, Set.of())).containsExactly(3, 4);
        assertThat(two.toAccept(4, Set.of(3))).containsExactly(4);
        assertThat(two.inWords(List.of(3))).isEqualTo("It takes round 3 of 2: 180.00 more.");
        assertThat(two.inWords(List.of(3, 4))).isEqualTo("It takes rounds 3 to 4 of 2: 360.00 more.");
        assertThat(new Allowance(2, BigDecimal.ZERO).toAccept(4, Set.of()))
                .as("free rounds need no accepting")
                .isEmpty();
    }

    @Test
    void countsRoundsByWhatAskedForMore() {
        assertThat(RoundCount.used(List.of())).isZero();
        assertThat(RoundCount.used(List.of(true))).isEqualTo(1);
        assertThat(RoundCount.used(List.of(true, false))).isEqualTo(2);
        assertThat(RoundCount.used(List.of(false, true, true, false))).isEqualTo(3);
    }

    @Test
    void knowsAPagesShape() {
        assertThat(new PageSize(200, 100).ratio()).isEqualTo(0.5);
        org.assertj.core.api.Assertions.assertThatIllegalArgumentException().isThrownBy(() -> new PageSize(0, 1));
    }
}
