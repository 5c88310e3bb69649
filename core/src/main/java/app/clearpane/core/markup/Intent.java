package app.clearpane.core.markup;

/** What a mark wants. */
public enum Intent {
    CHANGE,
    QUESTION,
    IDEA,
    KEEP;

    /** Whether it asks for something to be done or said; what is to be kept asks for nothing. */
    public boolean asks() {
        return this != KEEP;
    }
}
