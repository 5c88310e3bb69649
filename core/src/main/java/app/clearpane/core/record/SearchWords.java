package app.clearpane.core.record;

import app.clearpane.core.people.Actor;
import java.text.Normalizer;
import java.util.Collections;
import java.util.Locale;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.regex.Pattern;

/** The words by which an entry of the Record is found again: without case or accents, each once. */
public final class SearchWords {
    /** More characters than this of one word are not kept; a digest fits. */
    public static final int LONGEST = 64;

    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}\\p{S}]+");
    private static final Pattern ACCENT = Pattern.compile("\\p{M}+");
    private static final Pattern OPAQUE_ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    private SearchWords() {}

    /** The words of a text: runs of letters, digits and signs. */
    public static SortedSet<String> of(String text) {
        SortedSet<String> words = new TreeSet<>();
        gather(text, words);
        return Collections.unmodifiableSortedSet(words);
    }

    /**
     * The words of whoever did something, of what it was done to, and of all that the payload says, and the act as it
     * stands; ids are not words.
     */
    public static SortedSet<String> of(RecordEntry.What what) {
        SortedSet<String> words = new TreeSet<>();
        words.add(cut(what.act()));
        if (!Actor.isKey(what.actor())) {
            gather(what.actor(), words);
        }
        gather(what.subject(), words);
        what.payload().strings().stream()
                .filter(said -> !OPAQUE_ID.matcher(said).matches())
                .forEach(said -> gather(said, words));
        return Collections.unmodifiableSortedSet(words);
    }

    private static void gather(String text, SortedSet<String> words) {
        String plain = ACCENT.matcher(Normalizer.normalize(text, Normalizer.Form.NFKD))
                .replaceAll("")
                .toLowerCase(Locale.ROOT);
        WORD.matcher(plain).results().forEach(word -> words.add(cut(word.group())));
    }

    private static String cut(String word) {
        if (word.length() <= LONGEST) {
            return word;
        }
        return word.substring(0, Character.isHighSurrogate(word.charAt(LONGEST - 1)) ? LONGEST - 1 : LONGEST);
    }
}
