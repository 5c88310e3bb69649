package app.clearpane.core.exposure;

/** The rule that settled a decision, in the order in which they are asked (V8). */
public enum Reason {
    NO_SEAT,
    SEAT_NOT_ACCEPTED,
    SEAT_ENDED,
    PANE_NOT_PUBLISHED,
    PANE_NOT_OPEN_YET,
    PANE_EXPIRED,
    DELETED,
    NOT_SENT,
    TEAM_ONLY,
    HELD_BACK,
    HELD_BACK_ABOVE,
    BY_NAME,
    PARENT_NOT_SHOWN,
    CEILING_CLOSED,
    APERTURE_CLOSED,
    SHOWN,
    SHOWN_ABOVE,
    PASSES_FILTER,
    NO_FILTER_PASSES,
    CEILING_FILTERED,
    APERTURE_OPEN,
    CEILING_PICKED,
    NOT_PICKED;

    /** Whether an item settled by this reason is visible. */
    public boolean visible() {
        return this == BY_NAME
                || this == SHOWN
                || this == SHOWN_ABOVE
                || this == PASSES_FILTER
                || this == APERTURE_OPEN;
    }
}
