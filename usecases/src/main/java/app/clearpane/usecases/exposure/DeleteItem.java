package app.clearpane.usecases.exposure;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Items;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.time.Duration;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Deletes a thing with all that lies in it, for everybody at once, and brings the same back. */
@Component
public class DeleteItem {
    /** What was deleted can be brought back for so long; then the content of files is removed. */
    public static final Duration KEPT = Duration.ofDays(30);

    private final Items items;
    private final WatchArrivals arrivals;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    DeleteItem(Items items, WatchArrivals arrivals, ApplicationEventPublisher events, Clock clock) {
        this.events = events;
        this.items = items;
        this.arrivals = arrivals;
        this.clock = clock;
    }

    /** Takes it away. */
    @Transactional
    public void delete(ItemId item, Actor by) {
        arrivals.watch(items.find(item).orElseThrow().project(), by);
        items.delete(item, by, clock.instant());
    }

    /**
     * Brings it back.
     *
     * @param sure whether it was said who will see it at once, and confirmed
     * @throws Refused if what it lies in is deleted too, naming it, or it was deleted too long ago
     * @throws NeedsConfirmation if somebody will see it at once and that was not confirmed
     */
    @Transactional
    public void restore(ItemId item, boolean sure, Actor by) {
        ProjectId project = items.find(item).orElseThrow().project();
        if (items.deletedAt(item)
                .filter(at -> at.isBefore(clock.instant().minus(KEPT)))
                .isPresent()) {
            throw Refused.because("It was deleted more than thirty days ago, and what was in it is not kept any more.");
        }
        arrivals.watch(project, by);
        items.restore(item).ifPresent(first -> {
            throw Refused.because("It lies in “" + first.name()
                    + "”, which was deleted too. Nothing was changed; bring “" + first.name() + "” back first.");
        });
        arrivals.sayFirst(project, sure, "Bring it back");
        events.publishEvent(new BroughtBack(project));
    }
}
