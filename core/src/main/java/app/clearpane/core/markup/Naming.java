package app.clearpane.core.markup;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** People and things that a text calls by their names: "@Teo Brandt", "#Visitor map". */
public final class Naming {
    /** Before the name of a person. */
    public static final char PERSON = '@';
    /** Before the name of a thing. */
    public static final char THING = '#';

    private Naming() {}

    /**
     * What can be named.
     *
     * @param sign {@link #PERSON} or {@link #THING}
     * @param name as it is written after the sign
     */
    public record Known<T>(char sign, String name, T what) {
        /** As it stands in a text. */
        public String written() {
            return sign + name;
        }
    }

    /** A part of a text. @param named what it names; empty for words that name nothing */
    public record Piece<T>(String text, Optional<T> named) {}

    /**
     * Cuts a text where it names something: the pieces put together are the text again. A sign counts at the beginning
     * of a word only, so that an address such as mia@example is none; of names that begin alike the longest counts, of
     * equal names the first known. Case is not looked at.
     */
    public static <T> List<Piece<T>> cut(String text, List<Known<T>> known) {
        List<Known<T>> longestFirst = known.stream()
                .sorted(Comparator.comparingInt((Known<T> one) -> -one.name().length()))
                .toList();
        List<Piece<T>> pieces = new ArrayList<>();
        int plain = 0;
        int at = 0;
        while (at < text.length()) {
            Optional<Known<T>> named = namedAt(text, at, longestFirst);
            if (named.isEmpty()) {
                at++;
                continue;
            }
            if (plain < at) {
                pieces.add(new Piece<>(text.substring(plain, at), Optional.empty()));
            }
            plain = at + named.get().written().length();
            pieces.add(new Piece<>(text.substring(at, plain), named.map(Known::what)));
            at = plain;
        }
        if (plain < text.length()) {
            pieces.add(new Piece<>(text.substring(plain), Optional.empty()));
        }
        return pieces;
    }

    private static <T> Optional<Known<T>> namedAt(String text, int at, List<Known<T>> known) {
        char sign = text.charAt(at);
        boolean begins =
                (sign == PERSON || sign == THING) && (at == 0 || !Character.isLetterOrDigit(text.codePointBefore(at)));
        return !begins
                ? Optional.empty()
                : known.stream()
                        .filter(one -> one.sign() == sign
                                && !one.name().isEmpty()
                                && text.regionMatches(
                                        true, at + 1, one.name(), 0, one.name().length())
                                && ends(text, at + one.written().length()))
                        .findFirst();
    }

    private static boolean ends(String text, int at) {
        return at >= text.length() || !Character.isLetterOrDigit(text.codePointAt(at));
    }
}
