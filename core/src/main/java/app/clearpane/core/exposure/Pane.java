package app.clearpane.core.exposure;

import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A pane as far as visibility is concerned: whether it is published, until when, and its two states of settings.
 *
 * @param publishedAt when it was first published; empty while it never was
 * @param until the instant from which it is closed again
 * @param published P, what viewers see
 * @param pending Q, what they would see after publishing
 * @param ceilings the most that any pane may let through
 * @param from the instant from which it is open; empty if from when it is published
 */
public record Pane(
        PaneId id,
        String name,
        Optional<Instant> publishedAt,
        Optional<Instant> until,
        PaneSettings published,
        PaneSettings pending,
        Ceilings ceilings,
        Optional<Instant> from) {

    /** A pane under no ceiling. */
    public Pane(
            PaneId id,
            String name,
            Optional<Instant> publishedAt,
            Optional<Instant> until,
            PaneSettings published,
            PaneSettings pending) {
        this(id, name, publishedAt, until, published, pending, Ceilings.NONE);
    }

    /** A pane that is open from when it is published. */
    public Pane(
            PaneId id,
            String name,
            Optional<Instant> publishedAt,
            Optional<Instant> until,
            PaneSettings published,
            PaneSettings pending,
            Ceilings ceilings) {
        this(id, name, publishedAt, until, published, pending, ceilings, Optional.empty());
    }

    /**
     * Whether everybody with a seat sees all of a kind through it now: it is published, within its days, and open for
     * it as published and as pending, under the ceilings.
     */
    public boolean isOpenFor(ContentKind kind, Instant now) {
        return publishedAt.isPresent()
                && from.filter(now::isBefore).isEmpty()
                && until.filter(end -> !end.isAfter(now)).isEmpty()
                && ceilings.over(kind, published.aperture(kind)) == Aperture.OPEN
                && ceilings.over(kind, pending.aperture(kind)) == Aperture.OPEN;
    }

    /** Whether what passes may change with the day although nobody did anything. */
    public boolean goesByTheDay() {
        return Stream.of(published.filters(), pending.filters(), ceilings.filters())
                .flatMap(filters -> filters.values().stream())
                .flatMap(Set::stream)
                .anyMatch(Filter::goesByTheDay);
    }

    /** The pane as if only what is published counted. */
    Pane asPublished() {
        return new Pane(id, name, publishedAt, until, published, published, ceilings, from);
    }

    /** The pane as it will be once what is pending is published. */
    public Pane afterPublishing(Instant now) {
        return new Pane(id, name, publishedAt.or(() -> Optional.of(now)), until, pending, pending, ceilings, from);
    }
}
