package app.clearpane.core.markup;

import java.util.Optional;

/** What a mark is called (M2): "2·3" to everyone, or "2·b" for the team only, so that clients see no gap. */
public sealed interface MarkupLabel {

    /** The third mark on version 2. */
    record Numbered(int version, int number) implements MarkupLabel {
        @Override
        public String toString() {
            return version + "·" + number;
        }
    }

    /** The second mark for the team on version 2: letters a to z, then aa, ab and so on. */
    record Lettered(int version, int number) implements MarkupLabel {
        @Override
        public String toString() {
            return version + "·" + letters(number);
        }
    }

    /** The second mark for the team on a version that has no number yet. */
    record OnDraft(int number) implements MarkupLabel {
        @Override
        public String toString() {
            return letters(number);
        }
    }

    /** Its place among the marks that clients see, or among those for the team, from 1. */
    int number();

    /** The label of the next mark that clients see on a version. @param version its number; empty on a draft */
    static MarkupLabel forClients(Optional<Integer> version, int number) {
        return new Numbered(version.orElseThrow(), number);
    }

    /** The label of the next mark for the team on a version. @param version its number; empty on a draft */
    static MarkupLabel forTeam(Optional<Integer> version, int number) {
        return version.<MarkupLabel>map(sent -> new Lettered(sent, number)).orElseGet(() -> new OnDraft(number));
    }

    private static String letters(int number) {
        int zeroBased = number - 1;
        String last = String.valueOf((char) ('a' + zeroBased % 26));
        return zeroBased < 26 ? last : letters(zeroBased / 26) + last;
    }
}
