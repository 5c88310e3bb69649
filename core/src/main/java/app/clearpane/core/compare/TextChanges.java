package app.clearpane.core.compare;

import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.Writing;
import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * What changed between two texts (C2): paragraph by paragraph and, where a paragraph was rewritten, word by word
 * (Myers, 1986). Paragraphs that only stand elsewhere are moved, not gone and added.
 *
 * @param passages in the order of the later text
 */
public record TextChanges(List<Passage> passages) {
    private static final Pattern WORD = Pattern.compile("\\s+|[\\p{L}\\p{N}\u2019\u0027]+|[^\\s\\p{L}\\p{N}]");
    /** Paragraphs that share less than this part of their words are not the same one, rewritten. */
    private static final double ALIKE = 0.4;
    /** Paragraphs far from each other share at least this part of their words if they are the same one. */
    private static final double MOVED_ALIKE = 0.5;
    /** More pairs than this are not weighed against each other. */
    private static final long MOST_PAIRS = 40_000;

    public TextChanges {
        passages = List.copyOf(passages);
    }

    /** What became of a paragraph. Paragraphs count from 0. */
    public sealed interface Passage {
        /** It stands as it stood. */
        record Same(int before, int after) implements Passage {}

        /** Its words stand elsewhere now. */
        record Moved(int before, int after) implements Passage {}

        /** It was here. */
        record MovedAway(int before) implements Passage {}

        /** It was rewritten. @param moved whether it stands elsewhere now, too */
        record Changed(int before, int after, List<Run> runs, boolean moved) implements Passage {
            public Changed {
                runs = List.copyOf(runs);
            }
        }

        /** It is gone. */
        record Gone(int before) implements Passage {}

        /** It is new. */
        record Added(int after) implements Passage {}
    }

    /** Some words that stayed, went or came. */
    public record Run(Kind kind, String text) {
        /** What became of them. */
        public enum Kind {
            KEPT,
            GONE,
            ADDED;

            public boolean isAdded() {
                return this == ADDED;
            }

            public boolean isGone() {
                return this == GONE;
            }

            public boolean isKept() {
                return this == KEPT;
            }
        }
    }

    /** Compares two texts. */
    public static TextChanges of(Writing before, Writing after) {
        List<String> earlier =
                before.paragraphs().stream().map(Writing.Paragraph::text).toList();
        List<String> later =
                after.paragraphs().stream().map(Writing.Paragraph::text).toList();
        List<Passage> passages = new ArrayList<>();
        int at = 0;
        for (AbstractDelta<String> delta : DiffUtils.diff(earlier, later).getDeltas()) {
            int from = delta.getSource().getPosition();
            int to = delta.getTarget().getPosition();
            for (int back = from - at; back > 0; back--) {
                passages.add(new Passage.Same(from - back, to - back));
            }
            passages.addAll(rewritten(
                    earlier,
                    from,
                    delta.getSource().size(),
                    later,
                    to,
                    delta.getTarget().size()));
            at = from + delta.getSource().size();
        }
        for (int back = earlier.size() - at; back > 0; back--) {
            passages.add(new Passage.Same(earlier.size() - back, later.size() - back));
        }
        return new TextChanges(moved(passages, earlier, later));
    }

    /** The pairs of paragraphs that are most alike, in their order; the others are gone or new. */
    private static List<Passage> rewritten(
            List<String> earlier, int from, int gone, List<String> later, int to, int added) {
        double[][] most = new double[gone + 1][added + 1];
        boolean weighed = (long) gone * added <= MOST_PAIRS;
        for (int i = gone - 1; i >= 0; i--) {
            for (int j = added - 1; j >= 0; j--) {
                double alike = alike(earlier, from, later, to, i, j, weighed);
                most[i][j] =
                        Math.max(Math.max(most[i + 1][j], most[i][j + 1]), alike > 0 ? alike + most[i + 1][j + 1] : 0);
            }
        }
        List<Passage> result = new ArrayList<>();
        int i = 0;
        int j = 0;
        while (i < gone || j < added) {
            double alike = i < gone && j < added ? alike(earlier, from, later, to, i, j, weighed) : 0;
            if (alike > 0 && most[i][j] == alike + most[i + 1][j + 1]) {
                result.add(
                        new Passage.Changed(from + i, to + j, runs(earlier.get(from + i), later.get(to + j)), false));
                i++;
                j++;
            } else if (i < gone && (j == added || most[i][j] == most[i + 1][j])) {
                result.add(new Passage.Gone(from + i++));
            } else {
                result.add(new Passage.Added(to + j++));
            }
        }
        return result;
    }

    private static double alike(
            List<String> earlier, int from, List<String> later, int to, int i, int j, boolean weighed) {
        if (!weighed && i != j) {
            return 0;
        }
        double alike = alike(earlier.get(from + i), later.get(to + j));
        return alike >= ALIKE ? alike : 0;
    }

    /** The part of their words that two paragraphs share (Dice). */
    private static double alike(String a, String b) {
        Map<String, Integer> counts = new HashMap<>();
        List<String> one = words(a).stream().filter(word -> !word.isBlank()).toList();
        List<String> other = words(b).stream().filter(word -> !word.isBlank()).toList();
        one.forEach(word -> counts.merge(word, 1, Integer::sum));
        int shared = 0;
        for (String word : other) {
            if (counts.merge(word, -1, Integer::sum) >= 0) {
                shared++;
            }
        }
        return one.isEmpty() && other.isEmpty() ? 1 : 2.0 * shared / (one.size() + other.size());
    }

    private static List<String> words(String text) {
        return WORD.matcher(text).results().map(match -> match.group()).toList();
    }

    /** Single spaces that stayed between two changes go with them, so that a rewritten phrase reads as one. */
    private static List<Run> runs(String before, String after) {
        List<String> earlier = words(before);
        List<String> later = words(after);
        List<Run> runs = new ArrayList<>();
        StringBuilder gone = new StringBuilder();
        StringBuilder added = new StringBuilder();
        int at = 0;
        for (AbstractDelta<String> delta : DiffUtils.diff(earlier, later).getDeltas()) {
            String kept = String.join("", earlier.subList(at, delta.getSource().getPosition()));
            if (kept.isBlank() && gone.length() + added.length() > 0) {
                gone.append(kept);
                added.append(kept);
            } else {
                flush(runs, gone, added);
                add(runs, Run.Kind.KEPT, kept);
            }
            delta.getSource().getLines().forEach(gone::append);
            delta.getTarget().getLines().forEach(added::append);
            at = delta.getSource().getPosition() + delta.getSource().size();
        }
        flush(runs, gone, added);
        add(runs, Run.Kind.KEPT, String.join("", earlier.subList(at, earlier.size())));
        return runs;
    }

    private static void flush(List<Run> runs, StringBuilder gone, StringBuilder added) {
        String kept = gone.toString().endsWith(" ") && added.toString().endsWith(" ") ? " " : "";
        add(runs, Run.Kind.GONE, gone.substring(0, gone.length() - kept.length()));
        add(runs, Run.Kind.ADDED, added.substring(0, added.length() - kept.length()));
        add(runs, Run.Kind.KEPT, kept);
        gone.setLength(0);
        added.setLength(0);
    }

    private static void add(List<Run> runs, Run.Kind kind, String text) {
        if (!text.isEmpty()) {
            runs.add(new Run(kind, text));
        }
    }

    /** What is gone in one place and new in another, word for word or nearly, was moved. */
    private static List<Passage> moved(List<Passage> passages, List<String> earlier, List<String> later) {
        List<Passage> result = new ArrayList<>(passages);
        long pairs = passages.stream().filter(Passage.Gone.class::isInstance).count()
                * passages.stream().filter(Passage.Added.class::isInstance).count();
        for (double alike : pairs <= MOST_PAIRS ? new double[] {1, MOVED_ALIKE} : new double[] {}) {
            for (int i = 0; i < result.size(); i++) {
                if (result.get(i) instanceof Passage.Gone gone
                        && !earlier.get(gone.before()).isBlank()) {
                    move(result, i, gone.before(), alike, earlier, later);
                }
            }
        }
        return result;
    }

    private static void move(
            List<Passage> passages, int away, int before, double alike, List<String> earlier, List<String> later) {
        for (int here = 0; here < passages.size(); here++) {
            if (passages.get(here) instanceof Passage.Added added
                    && alike(earlier.get(before), later.get(added.after())) >= alike) {
                boolean same = earlier.get(before).equals(later.get(added.after()));
                passages.set(
                        here,
                        same
                                ? new Passage.Moved(before, added.after())
                                : new Passage.Changed(
                                        before,
                                        added.after(),
                                        runs(earlier.get(before), later.get(added.after())),
                                        true));
                passages.set(away, new Passage.MovedAway(before));
                return;
            }
        }
    }

    /** Whether nothing differs. */
    public boolean same() {
        return passages.stream().allMatch(Passage.Same.class::isInstance);
    }

    /** How many paragraphs were rewritten, went, came or moved. */
    public int changes() {
        return (int) passages.stream()
                .filter(passage -> !(passage instanceof Passage.Same || passage instanceof Passage.MovedAway))
                .count();
    }

    /**
     * What changed at a place of the earlier text (C4): touched if words of it went or words came in it, nearby if its
     * paragraph was rewritten elsewhere.
     */
    public Touch touch(Place.TextRange place, Writing before) {
        List<Integer> starts = before.starts();
        int gone = 0;
        boolean came = false;
        boolean near = false;
        for (Passage passage : passages) {
            if (passage instanceof Passage.Gone whole) {
                gone += shared(
                        place,
                        starts.get(whole.before()),
                        before.paragraphs().get(whole.before()).text().length());
            } else if (passage instanceof Passage.Changed changed) {
                int at = starts.get(changed.before());
                near |= shared(
                                place,
                                at,
                                before.paragraphs().get(changed.before()).text().length())
                        > 0;
                for (Run run : changed.runs()) {
                    gone += run.kind() == Run.Kind.GONE
                            ? shared(place, at, run.text().length())
                            : 0;
                    came |= run.kind() == Run.Kind.ADDED && at > place.start() && at < place.end();
                    at += run.kind() == Run.Kind.ADDED ? 0 : run.text().length();
                }
            }
        }
        double covered = Math.min(1, (double) gone / place.quote().length());
        return new Touch(
                gone > 0 || came ? Touch.Kind.TOUCHED : near ? Touch.Kind.NEARBY : Touch.Kind.UNTOUCHED, covered);
    }

    private static int shared(Place.TextRange place, int start, int length) {
        return Math.max(0, Math.min(place.end(), start + length) - Math.max(place.start(), start));
    }
}
