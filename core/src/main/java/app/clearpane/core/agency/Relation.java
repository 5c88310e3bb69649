package app.clearpane.core.agency;

/** How the agency stands to a client. */
public enum Relation {
    /** Nothing was agreed yet. */
    PROSPECT,
    ACTIVE,
    /** Nothing is worked on any more. */
    PAST,
    /** Nothing came of it. */
    LOST;

    public boolean isProspect() {
        return this == PROSPECT;
    }
}
