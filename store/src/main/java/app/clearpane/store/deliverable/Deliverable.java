package app.clearpane.store.deliverable;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Rule;
import java.time.Instant;

/**
 * A thing made for the client.
 *
 * @param pane the deciding pane
 * @param paneName its name
 * @param about a line for those who look at it
 * @param rule how many of the signatories have to sign: all or any
 * @param reviewDays working days a review may take, 1 or more
 */
public record Deliverable(ItemId id, ProjectId project, PaneId pane, String paneName, String name, String about, Rule rule, int reviewDays, Instant createdAt, int revision) {
  static Rule rule(String name) {
    return name.equals("ANY") ? new Rule.Any() : new Rule.All();
  }

  static String name(Rule rule) {
    return rule instanceof Rule.Any ? "ANY" : "ALL";
  }
}
