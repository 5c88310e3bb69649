package app.clearpane.core.compare;

import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What changed between two versions, page by page.
 *
 * @param pages in the order of the later version
 */
public record Comparison(List<Page> pages) {

    /**
     * What became of a page.
     *
     * @param map what changed on it; empty for a page that is new or gone
     */
    public record Page(PageMatch match, Optional<ChangeMap> map) {
        /** Whether it is in both and nothing differs. */
        public boolean same() {
            return map.filter(ChangeMap::same).isPresent();
        }
    }

    public Comparison {
        pages = List.copyOf(pages);
    }

    /** Where the pages of a version come from, so that no more than two are decoded at a time. Pages count from 1. */
    public interface Source {
        /** How many pages there are. */
        int pages();

        /** What two pages share only if they look the same: the hash of their picture. */
        Object known(int page);

        /** A page small, enough to know it again. */
        Raster small(int page);

        /** A page at its working width. */
        Raster large(int page);

        /** Its words in reading order; none if it has no text layer. */
        List<WordChanges.Word> words(int page);
    }

    /** Takes what is known so far, after each page. */
    public interface Progress {
        void compared(int page, int of);
    }

    /** Compares two versions: pages are matched, then each pair is compared. */
    public static Comparison of(Source before, Source after, Progress progress) {
        List<PageMatch> matches = PageMatch.of(hashes(before), hashes(after));
        List<Page> pages = new ArrayList<>();
        for (PageMatch match : matches) {
            pages.add(new Page(
                    match,
                    match instanceof PageMatch.Both both
                            ? Optional.of(map(before, both.before(), after, both.after()))
                            : Optional.empty()));
            progress.compared(pages.size(), matches.size());
        }
        return new Comparison(pages);
    }

    private static List<PageHash> hashes(Source source) {
        List<PageHash> hashes = new ArrayList<>();
        for (int page = 1; page <= source.pages(); page++) {
            hashes.add(PageHash.of(source.small(page)));
        }
        return hashes;
    }

    private static ChangeMap map(Source before, int earlier, Source after, int later) {
        ChangeMap map = before.known(earlier).equals(after.known(later))
                ? ChangeMap.nothing(ratio(before.small(earlier)))
                : ChangeMap.of(before.large(earlier), after.large(later));
        WordChanges.Changed words = WordChanges.of(before.words(earlier), after.words(later));
        List<Box> boxes = new ArrayList<>();
        words.gone().forEach(word -> boxes.add(map.fromBefore(word.box())));
        words.added().forEach(word -> boxes.add(map.fromAfter(word.box())));
        return boxes.isEmpty() ? map : map.withWords(boxes);
    }

    private static double ratio(Raster page) {
        return (double) page.height() / page.width();
    }

    /** What became of a page of the earlier version. */
    public Optional<Page> ofBefore(int page) {
        return pages.stream()
                .filter(one -> one.match() instanceof PageMatch.Both both
                        ? both.before() == page
                        : one.match() instanceof PageMatch.Removed gone && gone.before() == page)
                .findFirst();
    }

    /** What a page of the later version was. */
    public Optional<Page> ofAfter(int page) {
        return pages.stream()
                .filter(one -> one.match() instanceof PageMatch.Both both
                        ? both.after() == page
                        : one.match() instanceof PageMatch.Inserted added && added.after() == page)
                .findFirst();
    }

    /** Where a mark of the earlier version stands on the later one; empty if its page is gone (M5). */
    public Optional<Place> across(Place place) {
        return CarryOver.of(
                place,
                pages.stream().map(Page::match).toList(),
                ofBefore(place.page()).flatMap(Page::map));
    }

    /** How many pages differ, are new or are gone. */
    public int changedPages() {
        return (int) pages.stream().filter(page -> !page.same()).count();
    }
}
