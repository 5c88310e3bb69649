package app.clearpane.core.supply;

/** What became of something that was given: what its checks came to, and what each side made of that. */
public enum Verdict {
    GOOD("good"),
    /** It will do, and there is something to be said of it. */
    WITH_A_WORD("good, with a word"),
    WILL_NOT_DO("will not do"),
    /** It fails a check, and its side said why it is to be looked at all the same. */
    ALL_THE_SAME("sent all the same"),
    ACCEPTED("accepted"),
    ANOTHER_WANTED("another is wanted"),
    TAKEN_BACK("taken back");

    private final String words;

    Verdict(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
