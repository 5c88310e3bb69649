package app.clearpane.core.exposure;

/** How far a seat has come. */
public enum SeatState {
    /** Given, and a link was sent or will be; the contact has not come in yet. */
    INVITED,
    /** The contact came in by a link that only their mailbox had. */
    ACCEPTED,
    /** Taken away again. */
    ENDED;

    public boolean isAccepted() {
        return this == ACCEPTED;
    }

    public boolean isEnded() {
        return this == ENDED;
    }

    public boolean isInvited() {
        return this == INVITED;
    }
}
