package app.clearpane.core.markup;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;

/** A text as it is read: its paragraphs one after another. Places in it count the characters of {@link #plain}. */
public record Writing(List<Paragraph> paragraphs) {
    /** What parts two paragraphs in the plain text. */
    private static final String BETWEEN = "\n";

    /** What a paragraph is. */
    public enum Style {
        TITLE,
        HEADING,
        BODY,
        ITEM,
        QUOTE,
        CODE
    }

    /** Some words of a paragraph that look the same. */
    public record Words(String text, boolean strong, boolean emphasised) {}

    /** A paragraph; never empty. */
    public record Paragraph(Style style, List<Words> words) {
        public Paragraph {
            words = List.copyOf(words);
        }

        /** Its words without their looks. */
        public String text() {
            StringBuilder text = new StringBuilder();
            words.forEach(part -> text.append(part.text));
            return text.toString();
        }
    }

    public Writing {
        paragraphs = List.copyOf(paragraphs);
    }

    /** The whole without any looks, a line for each paragraph. */
    public String plain() {
        StringBuilder plain = new StringBuilder();
        for (int i = 0; i < paragraphs.size(); i++) {
            plain.append(i == 0 ? "" : BETWEEN).append(paragraphs.get(i).text());
        }
        return plain.toString();
    }

    /** Where each paragraph begins in {@link #plain}. */
    public List<Integer> starts() {
        List<Integer> starts = new ArrayList<>();
        int at = 0;
        for (Paragraph paragraph : paragraphs) {
            starts.add(at);
            at += paragraph.text().length() + BETWEEN.length();
        }
        return starts;
    }

    /** How many words it has. */
    public int wordCount() {
        return (int) paragraphs.stream()
                .flatMap(paragraph -> List.of(paragraph.text().strip().split("\\s+")).stream())
                .filter(word -> !word.isEmpty())
                .count();
    }

    /**
     * A stretch that looks the same throughout and lies in the same places throughout.
     *
     * @param within which of the given places it lies in, by their order; the shortest place first
     */
    public record Cut(Words words, List<Integer> within) {}

    /** Each paragraph cut where a look or one of these places begins or ends. */
    public List<List<Cut>> cutAt(List<Place.TextRange> places) {
        List<List<Cut>> result = new ArrayList<>();
        List<Integer> starts = starts();
        for (int i = 0; i < paragraphs.size(); i++) {
            List<Cut> cuts = new ArrayList<>();
            int at = starts.get(i);
            for (Words words : paragraphs.get(i).words) {
                cuts.addAll(cut(words, at, places));
                at += words.text.length();
            }
            result.add(cuts);
        }
        return result;
    }

    private static List<Cut> cut(Words words, int start, List<Place.TextRange> places) {
        int end = start + words.text.length();
        TreeSet<Integer> edges = new TreeSet<>(List.of(start, end));
        places.forEach(place -> List.of(place.start(), place.end()).stream()
                .filter(edge -> edge > start && edge < end)
                .forEach(edges::add));
        List<Cut> cuts = new ArrayList<>();
        for (int from = start; from < end; from = edges.higher(from)) {
            int here = from;
            int to = edges.higher(from);
            List<Integer> within = new ArrayList<>();
            for (int i = 0; i < places.size(); i++) {
                if (places.get(i).start() <= here && places.get(i).end() >= to) {
                    within.add(i);
                }
            }
            within.sort(Comparator.comparingInt(
                    i -> places.get(i).end() - places.get(i).start()));
            cuts.add(new Cut(
                    new Words(words.text.substring(here - start, to - start), words.strong, words.emphasised),
                    List.copyOf(within)));
        }
        return cuts;
    }
}
