package app.clearpane.store.deliverable;

import app.clearpane.core.deliverable.Rule;
import org.jspecify.annotations.Nullable;

/** A rule of signing as its two columns: its name, and how many have to sign where it says at least so many. */
final class RuleColumns {
    private RuleColumns() {}

    static @Nullable Integer least(Rule rule) {
        return rule instanceof Rule.AtLeast atLeast ? atLeast.k() : null;
    }

    static Rule rule(String name, @Nullable Integer least) {
        return Rule.of(name, least == null ? 1 : least);
    }
}
