package app.clearpane.core.agency;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * The name of a person, firm, project or thing: 1 to 120 characters as a reader counts them, in Unicode form NFC,
 * without control characters and without the marks that turn the direction of text around.
 */
public record Name(String value) {
    /** The most characters a name may have; longer ones fit on no row of a list. */
    public static final int LONGEST = 120;

    /** @throws IllegalArgumentException if nothing is left after cleaning, or more than {@link #LONGEST} characters */
    public Name {
        value = Normalizer.normalize(value, Normalizer.Form.NFC)
                .replaceAll("[\\p{Cntrl}\\u202A-\\u202E\\u2066-\\u2069\\u200E\\u200F]", " ")
                .replaceAll("\\s+", " ")
                .strip();
        int length = value.codePointCount(0, value.length());
        if (length == 0) {
            throw new IllegalArgumentException("A name is needed.");
        }
        if (length > LONGEST) {
            throw new IllegalArgumentException(
                    "A name may have " + LONGEST + " characters; this one has " + length + ".");
        }
    }

    /** The letters that stand for a person in a small space: "Ines Okafor-Lindqvist" gives "IO". */
    public String initials() {
        String[] words = value.split("[ ]");
        String first = firstLetter(words[0]);
        return words.length == 1 ? first : first + firstLetter(words[words.length - 1]);
    }

    /** The first word: how one person calls another. */
    public String first() {
        return value.split(" ")[0];
    }

    /**
     * Whether what somebody typed can be meant for this name: every word of it is one of the name's, or the first
     * letter of one, and at least one is whole. Case, accents and punctuation do not matter: "J. Quill" is Jasper
     * Quill-Adeyemi.
     */
    public boolean isMeantBy(String typed) {
        List<String> own = words(value);
        List<String> said = words(typed);
        return said.stream().anyMatch(own::contains)
                && said.stream()
                        .allMatch(word -> own.contains(word)
                                || word.length() == 1 && own.stream().anyMatch(one -> one.startsWith(word)));
    }

    private static List<String> words(String text) {
        String plain = Normalizer.normalize(text, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT);
        return Arrays.stream(plain.split("[^\\p{L}\\p{N}]+"))
                .filter(word -> !word.isEmpty())
                .toList();
    }

    private static String firstLetter(String word) {
        return word.substring(0, word.offsetByCodePoints(0, 1)).toUpperCase(Locale.ROOT);
    }

    @Override
    public String toString() {
        return value;
    }
}
