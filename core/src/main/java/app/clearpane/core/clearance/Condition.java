package app.clearpane.core.clearance;

/** A condition of release (R6). */
public enum Condition {
    /** (1) Signed, on the current version. */
    SIGNED,
    /** (2) No Change markup open, taken on or fixed. */
    NO_CHANGE_LEFT,
    /** (3) No clash without a ruling. */
    NO_CLASH_OPEN,
    /** (4) Rounds within the allowance, or the extra accepted. */
    ROUNDS_AGREED,
    /** (5) The release checklist ticked. */
    CHECKLIST_DONE,
    /** (6) The stored bytes still hash to the signed SHA-256. */
    SAME_BYTES;

    /** Whether an owner may waive it: what was never signed, or is not what was signed, is not released. */
    public boolean mayBeWaived() {
        return this != SIGNED && this != SAME_BYTES;
    }

    public boolean isSigned() {
        return this == SIGNED;
    }

    public boolean isRoundsAgreed() {
        return this == ROUNDS_AGREED;
    }

    public boolean isSameBytes() {
        return this == SAME_BYTES;
    }

    public boolean isChecklistDone() {
        return this == CHECKLIST_DONE;
    }

    public boolean isNoChangeLeft() {
        return this == NO_CHANGE_LEFT;
    }

    public boolean isNoClashOpen() {
        return this == NO_CLASH_OPEN;
    }
}
