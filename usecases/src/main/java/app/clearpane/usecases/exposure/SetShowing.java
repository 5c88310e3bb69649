package app.clearpane.usecases.exposure;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Setting;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.ShowingActs;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says of single items that they are shown or held back. Holding back works at once; showing waits for publishing. */
@Component
public class SetShowing {
    private static final int NAMED = 20;
    private static final TurnBack.Words HELD_BACK = new TurnBack.Words(
            "Held back, they no longer see it, and it is our turn again. What they did until now stays in the Record.",
            "Hold it back all the same",
            "It was held back.");
    private final Items items;
    private final Panes panes;
    private final TurnBack turnBack;
    private final AuditLog audit;
    private final Clock clock;

    SetShowing(Items items, Panes panes, TurnBack turnBack, AuditLog audit, Clock clock) {
        this.turnBack = turnBack;
        this.items = items;
        this.panes = panes;
        this.audit = audit;
        this.clock = clock;
    }

    /** For one pane. */
    @Transactional
    public ProjectId set(PaneId paneId, ItemId itemId, Showing showing, boolean sure, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(paneId));
        Items.Row item = NotFound.unless(
                items.find(itemId).filter(found -> found.project().equals(pane.project())));
        if (showing == Showing.HELD_BACK) {
            bringBack(pane.project(), Set.of(itemId), Optional.of(paneId), sure, by);
        }
        if (showing == Showing.UNSET) {
            panes.unset(paneId, itemId, by, clock.instant());
        } else {
            panes.setShowing(paneId, itemId, new Setting(showing, by, clock.instant()));
        }
        audit.append(
                pane.project(),
                itemId.value(),
                new ShowingActs.ShowingChosen(act(showing), by, item.name(), pane.name(), item.kind()));
        return pane.project();
    }

    /** The same for many items of one kind at one pane. @return the pane's project */
    @Transactional
    public ProjectId ofMany(
            PaneId paneId, ContentKind kind, Set<ItemId> chosen, boolean all, Showing showing, boolean sure, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(paneId));
        List<Item> these = items.ofProject(pane.project()).stream()
                .filter(item ->
                        item.kind() == kind && item.state() == Item.State.THERE && (all || chosen.contains(item.id())))
                .toList();
        if (these.isEmpty()) {
            throw Refused.because("Nothing is chosen. Tick what is meant, then choose again.");
        }
        if (showing == Showing.HELD_BACK) {
            bringBack(
                    pane.project(),
                    these.stream().map(Item::id).collect(Collectors.toSet()),
                    Optional.of(paneId),
                    sure,
                    by);
        }
        panes.setShowings(paneId, these.stream().map(Item::id).toList(), showing, by, clock.instant());
        audit.append(
                pane.project(),
                paneId.value(),
                new ShowingActs.ShowingChosenForMany(
                        actOnMany(showing),
                        by,
                        pane.name(),
                        kind,
                        these.size(),
                        these.stream().limit(NAMED).map(Item::name).collect(Collectors.joining(", "))));
        return pane.project();
    }

    private static Act act(Showing showing) {
        return switch (showing) {
            case SHOWN -> Act.ITEM_SHOWN;
            case HELD_BACK -> Act.ITEM_HELD_BACK;
            case UNSET -> Act.ITEM_UNSET;
        };
    }

    private static Act actOnMany(Showing showing) {
        return switch (showing) {
            case SHOWN -> Act.ITEM_SHOWN_MANY;
            case HELD_BACK -> Act.ITEM_HELD_BACK_MANY;
            case UNSET -> Act.ITEM_UNSET_MANY;
        };
    }

    /** For every pane, at once. */
    @Transactional
    public ProjectId holdBackEverywhere(ItemId itemId, boolean sure, Actor by) {
        Items.Row item = NotFound.unless(items.find(itemId));
        bringBack(item.project(), Set.of(itemId), Optional.empty(), sure, by);
        panes.holdBackEverywhere(itemId, by, clock.instant());
        audit.append(
                item.project(), itemId.value(), new ShowingActs.ItemHeldBackEverywhere(by, item.name(), item.kind()));
        return item.project();
    }

    /** What waits at a client cannot wait there unseen: it is ours again, which is asked first (T1). */
    private void bringBack(ProjectId project, Set<ItemId> held, Optional<PaneId> pane, boolean sure, Actor by) {
        Set<ItemId> lost = items.ofProject(project).stream()
                .filter(item -> held.contains(item.id())
                        || item.ancestors().stream().anyMatch(above -> held.contains(above.id())))
                .map(Item::id)
                .collect(Collectors.toSet());
        turnBack.bringBack(project, pane, one -> lost.contains(one.item()), HELD_BACK, sure, by);
    }

    /** Holds it back for every pane, or leaves it to the panes again if it was. */
    @Transactional
    public void turn(ItemId itemId, Actor by) {
        if (panes.isHeldBackEverywhere(itemId)) {
            letGo(itemId, by);
        } else {
            holdBackEverywhere(itemId, false, by);
        }
    }

    /** Leaves it to the panes again. */
    @Transactional
    public ProjectId letGo(ItemId itemId, Actor by) {
        Items.Row item = NotFound.unless(items.find(itemId));
        panes.letGo(itemId);
        audit.append(item.project(), itemId.value(), new ShowingActs.ItemLetGo(by, item.name(), item.kind()));
        return item.project();
    }
}
