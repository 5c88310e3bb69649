package app.clearpane.core.exposure;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What passes of one kind at one state of a pane under the ceilings (V2): the lesser of the two apertures, and the
 * filters of each that is Filtered. Whatever is not Shown has to pass a filter of each.
 */
public record Passage(Aperture aperture, List<Set<Filter>> sieves) {
    /** Nothing passes. */
    public static final Passage NOTHING = new Passage(Aperture.CLOSED, List.of());

    public Passage {
        sieves = List.copyOf(sieves);
    }

    /** What passes of a kind. */
    public static Passage of(ContentKind kind, PaneSettings settings, Ceilings ceilings) {
        Aperture set = settings.aperture(kind);
        Aperture over = ceilings.over(kind, set);
        return new Passage(
                over,
                over != Aperture.FILTERED
                        ? List.of()
                        : Stream.concat(
                                        set == Aperture.FILTERED ? Stream.of(settings.filters(kind)) : Stream.empty(),
                                        ceilings.of(kind) == Aperture.FILTERED
                                                ? Stream.of(ceilings.filters(kind))
                                                : Stream.empty())
                                .toList());
    }
}
