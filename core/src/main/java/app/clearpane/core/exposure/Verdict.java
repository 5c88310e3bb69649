package app.clearpane.core.exposure;

import java.util.Optional;

/**
 * Whether one person sees one item through one pane, and the rule that settled it.
 *
 * @param reason the rule
 * @param source the item whose setting it was, when it was a setting; the folder, when it was a filter
 * @param setting who set it and when, when it was a setting
 * @param waits true when the item is not visible yet but will be once the pane is published
 */
public record Verdict(Reason reason, Optional<String> source, Optional<Setting> setting, boolean waits) {

  static Verdict of(Reason reason) {
    return new Verdict(reason, Optional.empty(), Optional.empty(), false);
  }

  static Verdict of(Reason reason, String source, Setting setting) {
    return new Verdict(reason, Optional.of(source), Optional.of(setting), false);
  }

  static Verdict passing(Filter filter) {
    return new Verdict(Reason.PASSES_FILTER, Optional.of(filter.text()), Optional.empty(), false);
  }

  Verdict waiting() {
    return new Verdict(reason, source, setting, true);
  }

  /** Whether the item is seen now. */
  public boolean visible() {
    return reason.visible() && !waits;
  }
}
