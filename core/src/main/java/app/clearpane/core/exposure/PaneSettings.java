package app.clearpane.core.exposure;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What one pane lets through, at one state: the published one or the pending one (V9).
 *
 * @param apertures per kind; a kind that is missing is Closed, since held back is the resting state
 * @param filters of the kinds that are Filtered
 * @param settings what was said of single items for this pane
 * @param forAllPanes what was said of single items for every pane; only Held back counts
 */
public record PaneSettings(
        Map<ContentKind, Aperture> apertures,
        Map<ContentKind, Set<Filter>> filters,
        Map<ItemId, Setting> settings,
        Map<ItemId, Setting> forAllPanes) {
    /** A pane through which nothing passes. */
    public static final PaneSettings NOTHING = new PaneSettings(Map.of(), Map.of(), Map.of());

    public PaneSettings {
        apertures = Map.copyOf(apertures);
        filters = Map.copyOf(filters);
        settings = Map.copyOf(settings);
        forAllPanes = Map.copyOf(forAllPanes);
    }

    /** Without a filter. */
    public PaneSettings(
            Map<ContentKind, Aperture> apertures, Map<ItemId, Setting> settings, Map<ItemId, Setting> forAllPanes) {
        this(apertures, Map.of(), settings, forAllPanes);
    }

    /** The filters of a kind, for where it is Filtered. */
    public Set<Filter> filters(ContentKind kind) {
        return filters.getOrDefault(kind, Set.of());
    }

    /** The aperture of a kind. */
    public Aperture aperture(ContentKind kind) {
        return apertures.getOrDefault(kind, Aperture.CLOSED);
    }

    /** The setting that holds an item back, of this pane before that for all; empty if none does. */
    Optional<Setting> heldBack(ItemId item) {
        Setting here = settings.get(item);
        Setting everywhere = here != null && here.showing() == Showing.HELD_BACK ? here : forAllPanes.get(item);
        return everywhere != null && everywhere.showing() == Showing.HELD_BACK
                ? Optional.of(everywhere)
                : Optional.empty();
    }

    /** Whether this pane, of its own, holds back the item or something it stands in. */
    boolean heldBackHere(Item item) {
        return Stream.concat(Stream.of(item.id()), item.ancestors().stream().map(Item.Ancestor::id))
                .anyMatch(id -> Optional.ofNullable(settings.get(id))
                        .filter(s -> s.showing() == Showing.HELD_BACK)
                        .isPresent());
    }

    /** The setting that shows an item at this pane; empty if none does. */
    Optional<Setting> shown(ItemId item) {
        Setting here = settings.get(item);
        return here != null && here.showing() == Showing.SHOWN ? Optional.of(here) : Optional.empty();
    }
}
