package app.clearpane.core.clearance;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.deliverable.RoundCount;
import app.clearpane.core.signoff.Outcome;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClearanceTest {
  @ParameterizedTest(name = "{0}, {1} changes, {2} clashes, same bytes {3}: {4} open")
  @CsvSource({"SIGNED, 0, 0, true, 0", "SIGNED_WITH_NOTES, 0, 0, true, 0", "SIGNED, 1, 0, true, 1", "SIGNED, 0, 1, true, 1", "SIGNED, 0, 0, false, 1", "BACK, 0, 0, true, 2", "NOBODY_LEFT, 2, 0, true, 3",
    "BACK, 2, 1, true, 4", ", 0, 0, true, 2"})
  void isClearedOnlyWhenEveryConditionIsMet(Outcome outcome, int changes, int clashes, boolean sameBytes, int open) {
    Clearance clearance = Clearance.of(new Clearance.Facts(Optional.ofNullable(outcome), changes, clashes, sameBytes));
    assertThat(clearance.open()).isEqualTo(open);
    assertThat(clearance.cleared()).isEqualTo(open == 0);
    assertThat(clearance.findings()).extracting(Clearance.Finding::condition).containsExactly(Condition.values());
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
