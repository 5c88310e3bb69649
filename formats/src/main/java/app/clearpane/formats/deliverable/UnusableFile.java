package app.clearpane.formats.deliverable;

/** A file that cannot be looked at. Its message is a sentence for the person who sent it. */
public final class UnusableFile extends Exception {
    private static final long serialVersionUID = 1L;
    private final String sentence;

    public UnusableFile(String sentence) {
        super(sentence);
        this.sentence = sentence;
    }

    public UnusableFile(String sentence, Throwable cause) {
        super(sentence, cause);
        this.sentence = sentence;
    }

    /** What is wrong with it and what to do, for whoever sent it. */
    public String sentence() {
        return sentence;
    }
}
