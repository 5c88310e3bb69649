package app.clearpane.formats.supply;

import java.util.regex.Pattern;

/** Counts words as writers do: what stands between spaces and holds a letter or a digit. */
public final class WordCount {
    private static final Pattern WORD = Pattern.compile("\\S*[\\p{L}\\p{N}]\\S*");

    private WordCount() {}

    /** How many words a text has. */
    public static int of(CharSequence text) {
        return (int) WORD.matcher(text).results().count();
    }
}
