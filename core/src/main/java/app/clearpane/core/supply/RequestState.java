package app.clearpane.core.supply;

/** How a request stands as a whole. */
public enum RequestState {
    DRAFT("draft"),
    WITH_CLIENT("with the client"),
    /** It is the client's, and its time is over. */
    LATE("late"),
    TO_LOOK_AT("to look at"),
    ALL_ACCEPTED("all accepted"),
    WITHDRAWN("withdrawn");

    private final String words;

    RequestState(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
