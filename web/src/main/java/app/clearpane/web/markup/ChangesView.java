package app.clearpane.web.markup;

import app.clearpane.core.compare.ChangeMap;
import app.clearpane.core.compare.Comparison;
import app.clearpane.core.compare.PageMatch;
import app.clearpane.core.compare.Region;
import app.clearpane.core.compare.Touch;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.Place;
import app.clearpane.store.compare.Comparisons;
import app.clearpane.usecases.markup.MarkWords;
import app.clearpane.usecases.markup.ShapeOnSheet;
import app.clearpane.usecases.markup.ViewBox;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What changed between two versions, as a page shows it.
 *
 * @param base where its links begin
 * @param versions those that may be looked at, oldest first
 * @param kept how far the comparison is; empty while a version is still being drawn
 * @param tabs one for each page of either version
 * @param leaf the page in hand; empty until the comparison is done
 * @param text what changed in the words; empty unless both are texts
 */
public record ChangesView(
        String base,
        boolean ofTeam,
        String deliverable,
        Version before,
        Version after,
        List<Version> versions,
        As as,
        Optional<Comparisons.Kept> kept,
        List<Tab> tabs,
        int chosen,
        Optional<Leaf> leaf,
        Optional<ChangedText> text) {

    /** Whether both are played: they are laid side by side, second by second. */
    public boolean played() {
        return before.kind().played() && before.kind() == after.kind();
    }

    /** How two pages are laid out. */
    public enum As {
        CHANGES,
        BESIDE,
        WIPE,
        OVERLAY;

        /** As an address says it. */
        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        static As of(@Nullable String word) {
            for (As as : values()) {
                if (as.word().equals(word)) {
                    return as;
                }
            }
            return CHANGES;
        }
    }

    /**
     * A page one can go to.
     *
     * @param number its place in the list, from 1
     * @param label what it is called
     * @param what what became of it
     */
    public record Tab(int number, String label, String what, boolean changed) {}

    /**
     * Two pages laid on each other, in a drawing that is 1,000 wide.
     *
     * @param beforePage null for a page that is new
     * @param afterPage null for a page that is gone
     * @param share of the page that differs, in percent
     * @param laid how they lie on each other; empty if there is nothing to say of it
     */
    public record Leaf(
            @Nullable Integer beforePage,
            @Nullable Integer afterPage,
            double height,
            Box beforeAt,
            Box afterAt,
            String share,
            String laid,
            List<Part> parts,
            List<Asked> asked) {
        /** How many parts nobody asked for. */
        public long unasked() {
            return parts.stream().filter(Part::unasked).count();
        }
    }

    /**
     * A part of the page that differs.
     *
     * @param number from 1, the largest first
     * @param box in the drawing
     * @param share how much of it differs, in percent
     * @param words whether only its words differ
     * @param unasked whether no mark on the earlier version asked for anything here
     * @param cut what of the drawing to show of it, as a view box
     */
    public record Part(int number, Box box, String share, boolean words, boolean unasked, String cut) {}

    /**
     * A mark on the earlier version, and what became of its place.
     *
     * @param covered how much of its place differs, in percent
     * @param cut what of the drawing to show of it, as a view box
     */
    public record Asked(Mark mark, Touch.Kind kind, String became, String covered, String cut, ShapeOnSheet drawn) {
        /** "change", "question", "idea" or "keep". */
        public String intent() {
            return MarkWords.intent(mark.intent());
        }

        /**
         * Whether what became of it is not what it asked for: a change where nothing happened, or something to be kept
         * that was touched.
         */
        public boolean odd() {
            return mark.intent() == Intent.CHANGE && kind == Touch.Kind.UNTOUCHED
                    || mark.intent() == Intent.KEEP && kind == Touch.Kind.TOUCHED;
        }
    }

    /** Whether both pages are there. */
    public boolean both() {
        return leaf.isPresent() && leaf.get().beforePage() != null && leaf.get().afterPage() != null;
    }

    private static final Set<Intent> ASK = EnumSet.of(Intent.CHANGE, Intent.IDEA);
    private static final double WIDTH = ShapeOnSheet.WIDTH;

    /** The tabs of a comparison. */
    static List<Tab> tabs(Comparison comparison) {
        List<Tab> tabs = new ArrayList<>();
        for (Comparison.Page page : comparison.pages()) {
            tabs.add(tab(tabs.size() + 1, page));
        }
        return tabs;
    }

    private static Tab tab(int number, Comparison.Page page) {
        if (page.match() instanceof PageMatch.Both both) {
            String label = both.movedOn() ? both.after() + ", was " + both.before() : String.valueOf(both.after());
            int parts = page.map().map(map -> map.regions().size()).orElse(0);
            return new Tab(
                    number, label, page.same() ? "same" : parts == 1 ? "1 place" : parts + " places", !page.same());
        }
        return page.match() instanceof PageMatch.Inserted added
                ? new Tab(number, String.valueOf(added.after()), "new", true)
                : new Tab(number, String.valueOf(((PageMatch.Removed) page.match()).before()), "gone", true);
    }

    /**
     * Lays out one pair of pages.
     *
     * @param marks on the earlier version, with their places on it
     * @param ratio the height over the width of a page that is only in one version
     */
    static Leaf leaf(Comparison.Page page, List<Mark> marks, double ratio) {
        if (page.map().isEmpty()) {
            Box whole = new Box(0, 0, WIDTH, WIDTH * ratio);
            Integer before = page.match() instanceof PageMatch.Removed gone ? Integer.valueOf(gone.before()) : null;
            Integer after = page.match() instanceof PageMatch.Inserted added ? Integer.valueOf(added.after()) : null;
            return new Leaf(before, after, WIDTH * ratio, whole, whole, "100", "", List.of(), List.of());
        }
        PageMatch.Both both = (PageMatch.Both) page.match();
        ChangeMap map = page.map().get();
        List<Mark> here = marks.stream()
                .filter(mark -> mark.place().page() == both.before())
                .toList();
        List<Region> unasked = map.unasked(here.stream()
                .filter(mark -> ASK.contains(mark.intent()))
                .map(Mark::place)
                .toList());
        List<Part> parts = new ArrayList<>();
        for (Region region : map.regions()) {
            Box box = ViewBox.drawn(region.box(), map.ratio());
            parts.add(new Part(
                    parts.size() + 1,
                    box,
                    percent(region.share()),
                    region.words(),
                    unasked.contains(region),
                    ViewBox.around(box)));
        }
        return new Leaf(
                both.before(),
                both.after(),
                WIDTH * map.ratio(),
                ViewBox.drawn(map.fromBefore(new Box(0, 0, 1, 1)), map.ratio()),
                ViewBox.drawn(map.fromAfter(new Box(0, 0, 1, 1)), map.ratio()),
                percent(map.share()),
                MarkWords.laid(map),
                parts,
                here.stream().map(mark -> asked(mark, map)).toList());
    }

    private static Asked asked(Mark mark, ChangeMap map) {
        Touch touch = map.touch(mark.place());
        Place inFrame = mark.place().brought(mark.place().page(), spot -> {
            Box at = map.fromBefore(new Box(spot.x(), spot.y(), 0, 0));
            return new Place.Spot(Math.min(1, Math.max(0, at.x())), Math.min(1, Math.max(0, at.y())));
        });
        return new Asked(
                mark,
                touch.kind(),
                MarkWords.touch(touch),
                percent(touch.covered()),
                ViewBox.around(inFrame, map.ratio()),
                ShapeOnSheet.of(inFrame, map.ratio()));
    }

    private static String percent(double share) {
        double percent = share * 100;
        return percent == 0
                ? "0"
                : percent < 0.1
                        ? "under 0.1"
                        : percent >= 9.95
                                ? String.valueOf(Math.round(percent))
                                : String.format(Locale.ROOT, "%.1f", percent).replace(".0", "");
    }
}
