package app.clearpane.core.exposure;

import java.util.Map;
import java.util.Set;

/**
 * What panes let through that have no apertures of their own (V2). They follow it live.
 *
 * @param apertures per kind; a kind that is missing is Closed
 * @param filters of the kinds that are Filtered
 */
public record StartingPoint(Map<ContentKind, Aperture> apertures, Map<ContentKind, Set<Filter>> filters) {
    /** A starting point at which nothing passes. */
    public static final StartingPoint CLOSED = new StartingPoint(Map.of());

    public StartingPoint {
        apertures = Map.copyOf(apertures);
        filters = Map.copyOf(filters);
    }

    /** Without a filter. */
    public StartingPoint(Map<ContentKind, Aperture> apertures) {
        this(apertures, Map.of());
    }

    /** The filters of a kind, for where it is Filtered. */
    public Set<Filter> filters(ContentKind kind) {
        return filters.getOrDefault(kind, Set.of());
    }

    /** What passes of a kind. */
    public Aperture of(ContentKind kind) {
        return apertures.getOrDefault(kind, Aperture.CLOSED);
    }

    /**
     * These settings with the starting point in the place of their own apertures; what was said of single items stays.
     */
    public PaneSettings followedBy(PaneSettings settings) {
        return new PaneSettings(apertures, filters, settings.settings(), settings.forAllPanes());
    }
}
