package app.clearpane.core.exposure;

/** How much of one kind of content a pane lets through, from least to most (V1). */
public enum Aperture {
    /** Nothing. */
    CLOSED,
    /** Items that are Shown. */
    PICKED,
    /** Items that are Shown, and those that pass one of its filters. */
    FILTERED,
    /** Everything that is not held back. */
    OPEN;

    public boolean isFiltered() {
        return this == FILTERED;
    }
}
