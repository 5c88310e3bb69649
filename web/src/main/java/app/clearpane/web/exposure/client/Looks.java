package app.clearpane.web.exposure.client;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Visits;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Notes who saw what. A page does not wait for it: looks are gathered and kept together a moment later, the same look
 * at most once a minute. Of one of the team who looks through a seat nothing is noted here.
 */
@Component
public class Looks {
    private static final long EVERY_MILLIS = 1_000;
    private static final Duration SAME = Duration.ofMinutes(1);
    private final Visits visits;
    private final TransactionTemplate transactions;
    private final Clock clock;
    private final Cache<Visits.Look, Boolean> lately =
            Caffeine.newBuilder().expireAfterWrite(SAME).maximumSize(200_000).build();
    private final ConcurrentLinkedQueue<Visits.Look> gathered = new ConcurrentLinkedQueue<>();
    private final ConcurrentHashMap<SeatId, Visited> visited = new ConcurrentHashMap<>();
    private final ScheduledExecutorService keeper = Executors.newSingleThreadScheduledExecutor(task -> daemon(task));

    private static Thread daemon(Runnable task) {
        Thread thread = new Thread(task, "looks");
        thread.setDaemon(true);
        return thread;
    }

    private record Visited(PaneId pane, Instant at) {}

    Looks(Visits visits, TransactionTemplate transactions, Clock clock) {
        this.visits = visits;
        this.transactions = transactions;
        this.clock = clock;
        keeper.scheduleWithFixedDelay(this::keep, EVERY_MILLIS, EVERY_MILLIS, TimeUnit.MILLISECONDS);
    }

    /** These stood on a page somebody looked at. */
    public void listed(Viewer viewer, Collection<ItemId> items) {
        if (!viewer.looking()) {
            visited.put(viewer.seat(), new Visited(viewer.pane(), clock.instant()));
            items.forEach(item -> note(item, viewer, false, false));
        }
    }

    /** Somebody opened this. */
    public void opened(Viewer viewer, ItemId item) {
        if (!viewer.looking()) {
            visited.put(viewer.seat(), new Visited(viewer.pane(), clock.instant()));
            note(item, viewer, true, false);
        }
    }

    /** Somebody took a copy of this. */
    public void downloaded(Viewer viewer, ItemId item) {
        if (!viewer.looking()) {
            gathered.add(new Visits.Look(item, viewer.seat(), clock.instant(), false, true));
        }
    }

    private void note(ItemId item, Viewer viewer, boolean opened, boolean downloaded) {
        if (lately.asMap().putIfAbsent(new Visits.Look(item, viewer.seat(), Instant.EPOCH, opened, downloaded), true)
                == null) {
            gathered.add(new Visits.Look(item, viewer.seat(), clock.instant(), opened, downloaded));
        }
    }

    /** Keeps what was gathered so far. */
    public synchronized void keep() {
        List<Visits.Look> these = new ArrayList<>();
        for (Visits.Look look = gathered.poll(); look != null; look = gathered.poll()) {
            these.add(look);
        }
        try {
            transactions.executeWithoutResult(status -> {
                visits.keep(these);
                visited.keySet().forEach(seat -> Optional.ofNullable(visited.remove(seat))
                        .ifPresent(visit -> visits.visited(seat, visit.pane(), visit.at())));
            });
        } catch (RuntimeException failed) {
            LoggerFactory.getLogger(Looks.class).warn("Who saw what could not be noted: {}", failed.getMessage());
        }
    }

    @PreDestroy
    void close() {
        keeper.shutdown();
        keep();
    }
}
