package app.clearpane.core.signoff;

/** What the decisions on a version come to (R3). */
public enum Outcome {
    PENDING,
    BACK,
    SIGNED,
    SIGNED_WITH_NOTES,
    NOBODY_LEFT,
    /** It was sent by mistake: nobody outside sees it any more, and what was decided on it counts for nothing. */
    RECALLED;

    /** Whether the version is agreed, with notes or without. */
    public boolean agreed() {
        return this == SIGNED || this == SIGNED_WITH_NOTES;
    }

    public boolean isBack() {
        return this == BACK;
    }
}
