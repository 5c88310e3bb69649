package app.clearpane.web.markup;

import app.clearpane.core.compare.TextChanges;
import app.clearpane.core.compare.TextChanges.Passage;
import app.clearpane.core.compare.TextChanges.Run;
import app.clearpane.core.compare.Touch;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.Writing;
import app.clearpane.usecases.markup.MarkWords;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * What changed between two texts, as a page shows it.
 *
 * @param rows the paragraphs of both, in the order of the later one
 * @param changes how many of them changed
 */
public record ChangedText(List<Row> rows, int changes, List<Asked> asked) {
    private static final Set<Intent> ASK = EnumSet.of(Intent.CHANGE, Intent.IDEA, Intent.QUESTION);

    /**
     * A paragraph.
     *
     * @param what "same", "moved", "away", "changed", "changed moved", "gone" or "added"
     * @param number of what changed, from 1; 0 if nothing did
     * @param unasked whether it changed although no mark asked for it
     */
    public record Row(String what, int number, String style, List<Run> runs, boolean unasked) {
        /** What stands beside it. */
        public String said() {
            return switch (what) {
                case "moved" -> "moved here";
                case "changed moved" -> "moved here and rewritten";
                case "away" -> "stood here";
                case "gone" -> "taken out";
                case "added" -> "new";
                default -> "";
            };
        }
    }

    /**
     * A mark on the earlier text, and what became of its words. @param covered how many of its characters went, in
     * percent
     */
    public record Asked(Mark mark, Touch.Kind kind, String became, long covered, String where) {
        /** "change", "question", "idea" or "keep". */
        public String intent() {
            return MarkWords.intent(mark.intent());
        }

        /** Whether what became of it is not what it asked for. */
        public boolean odd() {
            return mark.intent() == Intent.CHANGE && kind == Touch.Kind.UNTOUCHED
                    || mark.intent() == Intent.KEEP && kind == Touch.Kind.TOUCHED;
        }
    }

    /** How many changed paragraphs nobody asked for. */
    public long unasked() {
        return rows.stream().filter(Row::unasked).count();
    }

    /** Lays it out. @param marks those that stand on the earlier text */
    static ChangedText of(Writing before, Writing after, TextChanges changes, List<Mark> marks) {
        List<Mark> placed = marks.stream()
                .filter(mark -> mark.place() instanceof Place.TextRange)
                .toList();
        List<Place.TextRange> asking = placed.stream()
                .filter(mark -> ASK.contains(mark.intent()))
                .map(mark -> (Place.TextRange) mark.place())
                .toList();
        List<Row> rows = new ArrayList<>();
        int number = 0;
        for (Passage passage : changes.passages()) {
            boolean counts = !(passage instanceof Passage.Same || passage instanceof Passage.MovedAway);
            rows.add(row(passage, before, after, counts ? ++number : 0, asking));
        }
        return new ChangedText(
                rows,
                number,
                placed.stream().map(mark -> asked(mark, changes, before)).toList());
    }

    private static Row row(Passage passage, Writing before, Writing after, int number, List<Place.TextRange> asking) {
        if (passage instanceof Passage.Same same) {
            return plain("same", number, after.paragraphs().get(same.after()), Run.Kind.KEPT, false);
        }
        if (passage instanceof Passage.Moved moved) {
            return plain("moved", number, after.paragraphs().get(moved.after()), Run.Kind.KEPT, false);
        }
        if (passage instanceof Passage.MovedAway away) {
            return plain("away", number, before.paragraphs().get(away.before()), Run.Kind.KEPT, false);
        }
        if (passage instanceof Passage.Gone gone) {
            return plain(
                    "gone",
                    number,
                    before.paragraphs().get(gone.before()),
                    Run.Kind.GONE,
                    isUnasked(gone.before(), before, asking));
        }
        if (passage instanceof Passage.Changed changed) {
            return new Row(
                    changed.moved() ? "changed moved" : "changed",
                    number,
                    style(after.paragraphs().get(changed.after())),
                    changed.runs(),
                    isUnasked(changed.before(), before, asking));
        }
        return plain("added", number, after.paragraphs().get(((Passage.Added) passage).after()), Run.Kind.ADDED, false);
    }

    private static Row plain(String what, int number, Writing.Paragraph paragraph, Run.Kind kind, boolean unasked) {
        return new Row(what, number, style(paragraph), List.of(new Run(kind, paragraph.text())), unasked);
    }

    private static String style(Writing.Paragraph paragraph) {
        return paragraph.style().name().toLowerCase(Locale.ROOT);
    }

    private static boolean isUnasked(int paragraph, Writing before, List<Place.TextRange> asking) {
        int start = before.starts().get(paragraph);
        int end = start + before.paragraphs().get(paragraph).text().length();
        return asking.stream().noneMatch(range -> range.start() < end && range.end() > start);
    }

    private static Asked asked(Mark mark, TextChanges changes, Writing before) {
        Touch touch = changes.touch((Place.TextRange) mark.place(), before);
        return new Asked(
                mark,
                touch.kind(),
                MarkWords.touch(touch),
                Math.round(touch.covered() * 100),
                MarkWords.where(mark.place()));
    }
}
