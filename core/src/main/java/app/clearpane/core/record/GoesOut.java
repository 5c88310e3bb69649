package app.clearpane.core.record;

import java.util.Set;

/**
 * Which entries of a Record are told in a bundle, which leaves the house: those that clients took part in or were told of. Of all others only the
 * hash goes out, so that the chain can be followed without anything being told that was said among the team.
 */
public final class GoesOut {
  private static final Set<String> ACTS = Set.of("deliverable.added", "version.sent", "version.released", "mark.placed", "mark.edited", "mark.answered", "mark.take-on", "mark.fix", "mark.set-aside",
      "mark.confirm", "mark.reopen", "mark.withdraw", "marks.brought", "clash.ruled", "signoff.made", "signoff.taken-back", "round.closed", "extra.accepted", "signing.changed", "stand-in.named",
      "stand-in.ended", "condition.waived", "checklist.ticked", "checklist.unticked", "release.recalled");
  /** As canonical JSON writes it: within a text its quotes would be escaped. */
  private static final String FOR_TEAM = "\"forTeam\":true";

  private GoesOut() {}

  /** Whether an entry is told. @param payload its canonical text */
  public static boolean told(String act, String payload) {
    return ACTS.contains(act) && !payload.contains(FOR_TEAM);
  }
}
