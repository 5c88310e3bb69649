package app.clearpane.core.exposure;

/** What the holder of a seat may do, from least to most. */
public enum SeatRole {
    /** Sees. */
    READER,
    /** Also marks up and talks. */
    REVIEWER,
    /** Also signs. */
    SIGNATORY;

    /** Whether this seat may place marks and answer them. */
    public boolean mayMarkUp() {
        return this != READER;
    }

    /** Whether this seat may be asked to sign. */
    public boolean maySign() {
        return this == SIGNATORY;
    }

    public boolean isReader() {
        return this == READER;
    }

    public boolean isReviewer() {
        return this == REVIEWER;
    }

    public boolean isSignatory() {
        return this == SIGNATORY;
    }
}
