package app.clearpane.usecases.compare;

import app.clearpane.core.compare.ChangeMap;
import app.clearpane.core.compare.Comparison;
import app.clearpane.core.compare.Touch;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.Place;
import java.util.List;
import java.util.Optional;

/**
 * Brings marks from version to version.
 *
 * @param rows oldest first
 * @param steps what changed from each to the next; empty where that is not known
 * @param writings where stretches of text are found again
 */
public record Across(List<Version> rows, List<Optional<Comparison>> steps, Writings writings) {

    public Across {
        rows = List.copyOf(rows);
        steps = List.copyOf(steps);
    }

    /** The versions, oldest first. */
    public List<VersionId> versions() {
        return rows.stream().map(Version::id).toList();
    }

    private Optional<Version> row(VersionId id) {
        return rows.stream().filter(row -> row.id().equals(id)).findFirst();
    }

    /**
     * Where a place of one version is on a later one; empty if its page or its text is gone. Where nothing is known of
     * a step, it stays where it is.
     */
    public Optional<Place> place(Place place, VersionId from, VersionId to) {
        if (place instanceof Place.TextRange range) {
            return from.equals(to) ? Optional.of(place) : row(to).flatMap(row -> writings.again(range, row));
        }
        List<VersionId> versions = versions();
        Optional<Place> at = Optional.of(place);
        for (int step = versions.indexOf(from); step < versions.indexOf(to) && at.isPresent(); step++) {
            Place here = at.get();
            at = step < 0 || steps.get(step).isEmpty()
                    ? at
                    : steps.get(step).get().across(here);
        }
        return at;
    }

    /**
     * What changed at a place from the version it is on to a later one: the most that any step did; empty if no step is
     * known.
     */
    public Optional<Touch> touch(Place place, VersionId from, VersionId to) {
        if (place instanceof Place.TextRange range) {
            Optional<Version> before = from.equals(to) ? Optional.empty() : row(from);
            Optional<Version> after = row(to);
            return before.isEmpty() || after.isEmpty()
                    ? Optional.empty()
                    : writings.changes(before.get(), after.get()).flatMap(changes -> writings.writingOf(before.get())
                            .map(writing -> changes.touch(range, writing)));
        }
        List<VersionId> versions = versions();
        Optional<Touch> most = Optional.empty();
        Optional<Place> at = Optional.of(place);
        for (int step = versions.indexOf(from); step >= 0 && step < versions.indexOf(to) && at.isPresent(); step++) {
            Place here = at.get();
            Optional<Comparison> comparison = steps.get(step);
            Optional<Touch> now = comparison
                    .flatMap(known -> known.ofBefore(here.page()))
                    .flatMap(Comparison.Page::map)
                    .map((ChangeMap map) -> map.touch(here));
            if (now.isPresent()
                    && (most.isEmpty() || now.get().kind().compareTo(most.get().kind()) < 0)) {
                most = now;
            }
            at = comparison.isEmpty() ? at : comparison.get().across(here);
        }
        return most;
    }
}
