package app.clearpane.core.project;

/** How a project ended. */
public enum Ending {
    /** What was agreed was made. */
    FINISHED("finished"),
    /** It was left off before its end. */
    STOPPED("stopped"),
    /** Nothing came of it: the client went to somebody else, or nowhere. */
    LOST("lost");

    private final String word;

    Ending(String word) {
        this.word = word;
    }

    /** The word of it, as it stands in a sentence. */
    public String word() {
        return word;
    }
}
