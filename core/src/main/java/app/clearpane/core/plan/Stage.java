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

    public boolean isDone() {
        return this == DONE;
    }

    public boolean isDropped() {
        return this == DROPPED;
    }

    public boolean isInCheck() {
        return this == IN_CHECK;
    }

    public boolean isToDo() {
        return this == TO_DO;
    }

    public boolean isUnderWay() {
        return this == UNDER_WAY;
    }
}
