package app.clearpane.formats.deliverable;

/** A file that cannot be looked at. Its message is a sentence for the person who sent it. */
public final class UnusableFile extends Exception {
    private static final long serialVersionUID = 1L;

    public UnusableFile(String sentence) {
        super(sentence);
    }

    public UnusableFile(String sentence, Throwable cause) {
        super(sentence, cause);
    }
}
