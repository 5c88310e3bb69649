package app.clearpane.core.supply;

/** In what form something is given for a part of a request. */
public enum Takes {
    /** As a file, or as the address where one is kept. */
    FILES("a file"),
    /** As words, typed where they are wanted. */
    TEXT("typed here"),
    /** As one of several that are named. */
    CHOICE("one of"),
    /** As an address on an envelope. */
    ADDRESS("an address"),
    /** As access to something: sealed as it arrives, and shown to us one at a time. */
    ACCESS("access details"),
    /** As a day. */
    DAY("a day"),
    /** As an address on the web. */
    LINK("a link"),
    /** As answers to questions, which are handed in together. */
    ANSWERS("a questionnaire");

    private final String words;

    Takes(String words) {
        this.words = words;
    }

    public boolean isFile() {
        return this == FILES;
    }

    /** Whether it is answers to questions. */
    public boolean isQuestions() {
        return this == ANSWERS;
    }

    /** Whether it is typed or chosen at once. */
    public boolean isTyped() {
        return !isFile() && !isQuestions();
    }

    /** Whether it is typed in several lines. */
    public boolean isTypedLong() {
        return this == TEXT || this == ADDRESS || this == ACCESS;
    }

    /** Whether it is typed in one. */
    public boolean isTypedShort() {
        return this == DAY || this == LINK;
    }

    /** As it is said and typed: “a day”. */
    public String words() {
        return words;
    }
}
