package app.clearpane.usecases.exposure;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Makes items, and shows them at once where items of their kind arrive Shown (V5). */
@Component
public class NewItem {
    private final Items items;
    private final Panes panes;
    private final WatchArrivals arrivals;
    private final Clock clock;

    NewItem(Items items, Panes panes, WatchArrivals arrivals, Clock clock) {
        this.items = items;
        this.panes = panes;
        this.arrivals = arrivals;
        this.clock = clock;
    }

    /**
     * Makes one that the people of a pane keep for themselves: shown there, and held back from every other pane of the
     * project.
     */
    @Transactional
    public ItemId addFor(PaneId pane, ProjectId project, ContentKind kind, String name, Actor by) {
        arrivals.watch(project, by);
        Instant now = clock.instant();
        ItemId id = items.add(project, kind, name, Optional.empty(), now);
        panes.arriveShown(pane, id, by, now);
        panes.ofProject(project).stream()
                .map(Panes.Row::id)
                .filter(other -> !other.equals(pane))
                .forEach(other -> panes.arriveHeldBack(other, id, by, now));
        return id;
    }

    /** Makes one, below another or at the top. */
    @Transactional
    public ItemId add(ProjectId project, ContentKind kind, String name, Optional<ItemId> parent, Actor by) {
        arrivals.watch(project, by);
        Instant now = clock.instant();
        ItemId id = items.add(project, kind, name, parent, now);
        panes.all(project).arrivals().stream()
                .filter(one -> one.kind() == kind)
                .forEach(one -> panes.arriveShown(one.pane(), id, one.by(), now));
        return id;
    }
}
