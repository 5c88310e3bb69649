package app.clearpane.core.signoff;

/** What a signatory may say of a version (R2). */
public enum Decision {
    SIGN_OFF,
    SIGN_OFF_WITH_NOTES,
    SEND_BACK,
    STAND_ASIDE;

    /**
     * The decision as it counts with these words beside it: a sign-off with words is one with notes. @param words may
     * be blank
     */
    public Decision saidWith(String words) {
        return this == SIGN_OFF && !words.isBlank() ? SIGN_OFF_WITH_NOTES : this;
    }

    /** Whether this is a sign-off, with notes or without. */
    public boolean signs() {
        return this == SIGN_OFF || this == SIGN_OFF_WITH_NOTES;
    }

    public boolean isSendBack() {
        return this == SEND_BACK;
    }

    public boolean isStandAside() {
        return this == STAND_ASIDE;
    }
}
