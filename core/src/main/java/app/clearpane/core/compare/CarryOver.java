package app.clearpane.core.compare;

import app.clearpane.core.markup.Place;
import java.util.Optional;

/** Where a mark stands on the next version (M5): on the page its page became, moved as that page's content moved. */
public final class CarryOver {
    private CarryOver() {}

    /**
     * A place on the later version.
     *
     * @param pages what became of the pages
     * @param map what changed between its page and the page that became of it; empty if that was not compared
     * @return empty if its page is gone
     */
    public static Optional<Place> of(Place place, Iterable<PageMatch> pages, Optional<ChangeMap> map) {
        for (PageMatch page : pages) {
            if (page instanceof PageMatch.Both both && both.before() == place.page()) {
                return Optional.of(
                        place.brought(both.after(), spot -> map.map(changes -> changes.across(spot.x(), spot.y()))
                                .orElse(spot)));
            }
        }
        return Optional.empty();
    }
}
