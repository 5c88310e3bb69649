package app.clearpane.core.exposure;

import java.util.Map;
import java.util.Set;

/**
 * The most that any pane may let through, per kind (V2). A ceiling never changes what a pane is set to: raised again,
 * everything passes that passed before.
 *
 * @param apertures per kind; a kind that is missing has no ceiling
 * @param filters of the ceilings that are Filtered
 */
public record Ceilings(Map<ContentKind, Aperture> apertures, Map<ContentKind, Set<Filter>> filters) {
    /** No ceiling over anything. */
    public static final Ceilings NONE = new Ceilings(Map.of());

    public Ceilings {
        apertures = Map.copyOf(apertures);
        filters = Map.copyOf(filters);
    }

    /** Without a filter. */
    public Ceilings(Map<ContentKind, Aperture> apertures) {
        this(apertures, Map.of());
    }

    /** The filters of a kind, for where it is Filtered. */
    public Set<Filter> filters(ContentKind kind) {
        return filters.getOrDefault(kind, Set.of());
    }

    /** The ceiling of a kind; Open where there is none. */
    public Aperture of(ContentKind kind) {
        return apertures.getOrDefault(kind, Aperture.OPEN);
    }

    /** What a pane set to this lets through under the ceiling: the lesser of the two. */
    public Aperture over(ContentKind kind, Aperture set) {
        Aperture ceiling = of(kind);
        return ceiling.compareTo(set) < 0 ? ceiling : set;
    }
}
