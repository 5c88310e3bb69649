package app.clearpane.core.exposure;

import app.clearpane.core.people.Actor;
import java.time.Instant;

/**
 * What somebody said of one item, with who and when, so that a reason can name them.
 *
 * @param showing what was said; never {@link Showing#UNSET}
 * @param by the member of the team who said it
 * @param at when
 */
public record Setting(Showing showing, Actor by, Instant at) {
    public Setting {
        if (showing == Showing.UNSET) {
            throw new IllegalArgumentException("an item that is unset has no setting");
        }
    }
}
