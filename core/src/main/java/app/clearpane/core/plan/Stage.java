package app.clearpane.core.plan;

import java.util.Locale;

/** The five fixed steps behind whatever a team calls the state of a task. */
public enum Stage {
    TO_DO,
    UNDER_WAY,
    IN_CHECK,
    DONE,
    DROPPED;

    /** Its name as people read it: "to do", "under way", "in check", "done" or "dropped". */
    public String words() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** Whether something is still to be done. */
    public boolean open() {
        return this != DONE && this != DROPPED;
    }
}
