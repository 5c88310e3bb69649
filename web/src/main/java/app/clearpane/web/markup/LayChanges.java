package app.clearpane.web.markup;

import app.clearpane.core.compare.Comparison;
import app.clearpane.core.compare.PageMatch;
import app.clearpane.core.compare.TextChanges;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.Mark;
import app.clearpane.store.compare.Comparisons;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.usecases.compare.Compared;
import app.clearpane.usecases.compare.Writings;
import app.clearpane.usecases.markup.StandingMarks;
import app.clearpane.usecases.shell.NotFound;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Lays two versions beside or on each other, for either side. */
@Component
public class LayChanges {
    private final Compared compared;
    private final Writings writings;
    private final Drawings drawings;
    private final StandingMarks standing;

    LayChanges(Compared compared, Writings writings, Drawings drawings, StandingMarks standing) {
        this.standing = standing;
        this.compared = compared;
        this.writings = writings;
        this.drawings = drawings;
    }

    /**
     * What is asked for.
     *
     * @param since the earlier version; the one before if it is missing
     * @param page which page of the comparison, from 1; the first that differs if it is missing
     * @param as how they are laid out
     */
    public record Wish(
            @Nullable VersionId since,
            @Nullable Integer page,
            @Nullable String as) {}

    /**
     * Lays out a version beside an earlier one.
     *
     * @param versions those that may be looked at, oldest first
     * @param marks those that may be seen, on any of these versions
     * @throws NotFound if there is no such earlier version
     */
    public ChangesView lay(
            String base,
            boolean ofTeam,
            String deliverable,
            Version after,
            List<Version> versions,
            List<Mark> marks,
            Wish wish) {
        Version before = NotFound.unless(earlier(after, versions, wish.since()));
        ChangesView.As as = ChangesView.As.of(wish.as());
        Optional<TextChanges> words = writings.changes(before, after);
        if (words.isPresent() || before.kind().played() && before.kind() == after.kind()) {
            Optional<ChangedText> text = words.map(found -> ChangedText.of(
                    writings.writingOf(before).orElseThrow(),
                    writings.writingOf(after).orElseThrow(),
                    found,
                    standing.standingOn(before, versions, marks)));
            return new ChangesView(
                    base,
                    ofTeam,
                    deliverable,
                    before,
                    after,
                    versions,
                    as,
                    Optional.empty(),
                    List.of(),
                    1,
                    Optional.empty(),
                    text);
        }
        Optional<Comparisons.Kept> kept = compared.progress(before, after);
        Optional<Comparison> done =
                kept.filter(known -> known.state() == Comparisons.State.DONE).map(compared::result);
        if (done.isEmpty()) {
            return new ChangesView(
                    base,
                    ofTeam,
                    deliverable,
                    before,
                    after,
                    versions,
                    as,
                    kept,
                    List.of(),
                    1,
                    Optional.empty(),
                    Optional.empty());
        }
        List<ChangesView.Tab> tabs = ChangesView.tabs(done.get());
        int chosen = wish.page() == null
                ? tabs.stream()
                        .filter(ChangesView.Tab::changed)
                        .map(ChangesView.Tab::number)
                        .findFirst()
                        .orElse(1)
                : Math.max(1, Math.min(wish.page(), tabs.size()));
        Comparison.Page page = done.get().pages().get(chosen - 1);
        return new ChangesView(
                base,
                ofTeam,
                deliverable,
                before,
                after,
                versions,
                as,
                kept,
                tabs,
                chosen,
                Optional.of(ChangesView.leaf(
                        page, standing.standingOn(before, versions, marks), ratio(page, before, after))),
                Optional.empty());
    }

    private static Optional<Version> earlier(Version after, List<Version> versions, @Nullable VersionId since) {
        List<VersionId> order = versions.stream().map(Version::id).toList();
        int at = order.indexOf(after.id());
        int wanted = since == null ? at - 1 : order.indexOf(since);
        return wanted >= 0 && wanted < at ? Optional.of(versions.get(wanted)) : Optional.empty();
    }

    private double ratio(Comparison.Page page, Version before, Version after) {
        Optional<Drawings.Sheet> sheet = page.match() instanceof PageMatch.Inserted added
                ? drawings.sheet(after.sha256(), added.after())
                : page.match() instanceof PageMatch.Removed gone
                        ? drawings.sheet(before.sha256(), gone.before())
                        : Optional.empty();
        return sheet.map(found -> found.size().ratio()).orElse(1.0);
    }
}
