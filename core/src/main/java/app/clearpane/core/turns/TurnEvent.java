package app.clearpane.core.turns;

/** What moves the turn of an item from one side to the other (T1). */
public enum TurnEvent {
    VERSION_SENT(Turn.CLIENTS),
    ROUND_CLOSED(Turn.OURS),
    RECALLED(Turn.OURS),
    RELEASED(Turn.NOBODYS),
    TASK_GIVEN_TO_CLIENT(Turn.CLIENTS),
    TASK_WITH_US(Turn.OURS),
    TASK_DONE(Turn.NOBODYS),
    TASK_DROPPED(Turn.NOBODYS),
    /** Two wishes cannot both be followed, and somebody speaks for the client. */
    CLASH_WITH_CLIENT(Turn.CLIENTS),
    /** The same where nobody does, so that we rule. */
    CLASH_WITH_US(Turn.OURS),
    /** A clash that waited with the client waits no longer. */
    CLASH_LEFT_CLIENT(Turn.CLIENTS),
    /** A clash that waited with us waits no longer. */
    CLASH_LEFT_US(Turn.OURS);

    private final Turn holder;

    TurnEvent(Turn holder) {
        this.holder = holder;
    }

    /** Who holds the item after this, or held the clash that it ends. */
    Turn holder() {
        return holder;
    }

    /** Whether a clash waits from then on. */
    boolean opensClash() {
        return this == CLASH_WITH_CLIENT || this == CLASH_WITH_US;
    }

    /** Whether a clash waits no longer; once none is left, the item is with whoever had it before. */
    boolean endsClash() {
        return this == CLASH_LEFT_CLIENT || this == CLASH_LEFT_US;
    }
}
