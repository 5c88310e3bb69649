package app.clearpane.core.markup;

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

    private static String letters(int number) {
        int zeroBased = number - 1;
        String last = String.valueOf((char) ('a' + zeroBased % 26));
        return zeroBased < 26 ? last : letters(zeroBased / 26) + last;
    }
}
