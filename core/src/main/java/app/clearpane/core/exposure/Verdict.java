package app.clearpane.core.exposure;

import java.util.Optional;

/**
 * Whether one person sees one item through one pane, and the rule that settled it.
 *
 * @param reason the rule
 * @param source the item whose setting it was, when it was a setting
 * @param setting who set it and when, when it was a setting
 * @param filter the one that let it pass
 * @param waits true when the item is not visible yet but will be once the pane is published
 */
public record Verdict(
        Reason reason, Optional<String> source, Optional<Setting> setting, Optional<Filter> filter, boolean waits) {

    static Verdict of(Reason reason) {
        return new Verdict(reason, Optional.empty(), Optional.empty(), Optional.empty(), false);
    }

    static Verdict of(Reason reason, String source, Setting setting) {
        return new Verdict(reason, Optional.of(source), Optional.of(setting), Optional.empty(), false);
    }

    static Verdict passing(Filter filter) {
        return new Verdict(Reason.PASSES_FILTER, Optional.empty(), Optional.empty(), Optional.of(filter), false);
    }

    Verdict waiting() {
        return new Verdict(reason, source, setting, filter, true);
    }

    /** Whether the item is seen now. */
    public boolean visible() {
        return reason.visible() && !waits;
    }
}
