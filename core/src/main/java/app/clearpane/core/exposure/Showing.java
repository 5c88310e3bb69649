package app.clearpane.core.exposure;

/** What was said of one item: for one pane or, held back only, for all of them. */
public enum Showing {
    /** Passes any aperture but Closed. */
    SHOWN,
    /** Out, whatever else is set. */
    HELD_BACK,
    /** Follows the aperture. */
    UNSET;

    public boolean isHeldBack() {
        return this == HELD_BACK;
    }

    public boolean isShown() {
        return this == SHOWN;
    }

    public boolean isUnset() {
        return this == UNSET;
    }
}
