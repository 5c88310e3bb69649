package app.clearpane.core.clearance;

import app.clearpane.core.signoff.Outcome;
import java.util.List;
import java.util.Optional;

/** The computed answer to "may this be released?", condition by condition (R6). */
public record Clearance(List<Finding> findings) {

  /** Whether one condition is met. */
  public record Finding(Condition condition, boolean met) {}

  public Clearance {
    findings = List.copyOf(findings);
  }

  /**
   * What is known of a deliverable when the question is asked.
   *
   * @param outcome of the current version's closed round; empty while no round of it is closed
   * @param changesLeft Change marks open, taken on or fixed
   * @param clashesOpen clashes on the current version that nobody ruled on
   * @param sameBytes whether the stored bytes of the current version still hash to what was signed
   */
  public record Facts(Optional<Outcome> outcome, int changesLeft, int clashesOpen, boolean sameBytes) {}

  /** Weighs the facts; conditions come in their own order. */
  public static Clearance of(Facts facts) {
    boolean signed = facts.outcome().map(Outcome::agreed).orElse(false);
    return new Clearance(List.of(new Finding(Condition.SIGNED, signed), new Finding(Condition.NO_CHANGE_LEFT, facts.changesLeft() == 0),
        new Finding(Condition.NO_CLASH_OPEN, facts.clashesOpen() == 0), new Finding(Condition.SAME_BYTES, signed && facts.sameBytes())));
  }

  /** Whether it may be released. */
  public boolean cleared() {
    return findings.stream().allMatch(Finding::met);
  }

  /** How many conditions are not met. */
  public int open() {
    return (int) findings.stream().filter(finding -> !finding.met()).count();
  }
}
