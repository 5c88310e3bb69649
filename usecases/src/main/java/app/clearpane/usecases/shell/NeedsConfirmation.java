package app.clearpane.usecases.shell;

import java.util.List;

/**
 * Something that does more than it looks like: what it does is said, and it is done once that is confirmed. Nothing was
 * changed yet.
 */
public final class NeedsConfirmation extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final List<String> sentences;
    private final String button;

    /** @param button what confirming does */
    public NeedsConfirmation(List<String> sentences, String button) {
        super(String.join(" ", sentences), null, false, false);
        this.sentences = List.copyOf(sentences);
        this.button = button;
    }

    /** What would happen. */
    public List<String> sentences() {
        return sentences;
    }

    /** What confirming does. */
    public String button() {
        return button;
    }
}
