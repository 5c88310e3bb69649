package app.clearpane.core.supply;

/**
 * What a check says of a file.
 *
 * @param figures what was found, in words
 * @param remedy how it can be put right, in one sentence; empty where it passes
 */
public record Finding(Grade grade, String figures, String remedy) {
    /** How well a file does. */
    public enum Grade {
        PASSES,
        /** It will do, but is not quite what was asked for. */
        WARNS,
        FAILS
    }

    /** Of what was given as an address: nothing could be found out. */
    public static final Finding KEPT_ELSEWHERE = warns("It is kept elsewhere", "We fetch it and look at it ourselves.");

    static Finding passes(String figures) {
        return new Finding(Grade.PASSES, figures, "");
    }

    static Finding warns(String figures, String remedy) {
        return new Finding(Grade.WARNS, figures, remedy);
    }

    static Finding fails(String figures, String remedy) {
        return new Finding(Grade.FAILS, figures, remedy);
    }

    public boolean fails() {
        return grade == Grade.FAILS;
    }

    public boolean warns() {
        return grade == Grade.WARNS;
    }
}
