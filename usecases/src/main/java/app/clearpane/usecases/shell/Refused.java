package app.clearpane.usecases.shell;

import java.util.List;

/**
 * Something a person asked for that cannot be done, with sentences that say what happened and what to do. Nothing was
 * changed.
 */
public final class Refused extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient List<String> sentences;
    private final boolean changedMeanwhile;

    private Refused(List<String> sentences, boolean changedMeanwhile) {
        super(String.join(" ", sentences));
        this.sentences = List.copyOf(sentences);
        this.changedMeanwhile = changedMeanwhile;
    }

    /** Refused for what was asked. */
    public static Refused because(String... sentences) {
        return new Refused(List.of(sentences), false);
    }

    /** Refused for all of these at once. */
    public static Refused because(List<String> sentences) {
        return new Refused(sentences, false);
    }

    /** Refused since something was changed meanwhile. */
    public static Refused changedMeanwhile(String... sentences) {
        return new Refused(List.of(sentences), true);
    }

    /** What to say. */
    public List<String> sentences() {
        return sentences;
    }

    /** Whether it failed only because somebody was faster. */
    public boolean isChangedMeanwhile() {
        return changedMeanwhile;
    }
}
