package app.clearpane.web.markup;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.usecases.markup.MarksMoved;
import app.clearpane.web.shell.streams.Streams;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BooleanSupplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells those who have a deliverable on their light table that its marks moved. Only that is told: what moved they read
 * through their own door, so that nobody is told of what they do not see.
 */
@Component
public class LiveMarks {
    private static final Duration LONGEST = Duration.ofMinutes(20);
    /** More than so many at one deliverable are not told; they see it with the next page. */
    private static final int MOST = 200;
    /**
     * More pages of one deliverable than this are not kept up to date for one person; the one they opened first is let
     * go.
     */
    private static final int MOST_OF_ONE = 6;

    private final Map<ItemId, List<Watcher>> watchers = new ConcurrentHashMap<>();

    private final Streams streams;

    LiveMarks(Streams streams) {
        this.streams = streams;
    }

    private record Watcher(String who, SseEmitter emitter, boolean ofTeam, BooleanSupplier sees) {}

    /** Watches a deliverable for one of the team. */
    public SseEmitter watchByTeam(ItemId deliverable, Actor who) {
        return watch(deliverable, new Watcher(who.key(), streams.open(LONGEST), true, () -> true));
    }

    /**
     * Watches a deliverable for a viewer. Whoever calls this has checked that it may be seen.
     *
     * @param sees whether they still see it, asked anew before anything is said: what was opened to them may have been
     *     taken back since
     */
    SseEmitter watch(ItemId deliverable, Actor who, BooleanSupplier sees) {
        return watch(deliverable, new Watcher(who.key(), streams.open(LONGEST), false, sees));
    }

    private SseEmitter watch(ItemId deliverable, Watcher watcher) {
        SseEmitter emitter = watcher.emitter;
        List<Watcher> all = watchers.computeIfAbsent(deliverable, key -> new CopyOnWriteArrayList<>());
        List<Watcher> own =
                all.stream().filter(one -> one.who.equals(watcher.who)).toList();
        if (own.size() >= MOST_OF_ONE) {
            leave(deliverable, own.get(0));
            own.get(0).emitter.complete();
        }
        if (all.size() >= MOST) {
            emitter.complete();
            return emitter;
        }
        all.add(watcher);
        emitter.onCompletion(() -> leave(deliverable, watcher));
        emitter.onError(gone -> leave(deliverable, watcher));
        send(watcher, "watching");
        return emitter;
    }

    private void leave(ItemId deliverable, Watcher watcher) {
        watchers.computeIfPresent(deliverable, (key, all) -> {
            all.remove(watcher);
            return all.isEmpty() ? null : all;
        });
    }

    /** Once what happened is kept for good, tells it. */
    @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
    public void moved(MarksMoved event) {
        watchers.getOrDefault(event.deliverable(), List.of()).stream()
                .filter(watcher -> watcher.ofTeam || !event.forTeam())
                .forEach(watcher -> send(watcher, "moved"));
    }

    /**
     * One who does not see it any more is told no more. One who has left is taken from the list by the container's own
     * word.
     */
    private static void send(Watcher watcher, String name) {
        try {
            if (watcher.sees.getAsBoolean()) {
                watcher.emitter.send(SseEmitter.event().name(name).data(""));
            } else {
                watcher.emitter.complete();
            }
        } catch (IOException | IllegalStateException gone) {
            end(watcher.emitter, gone);
        }
    }

    /** Whoever is gone already keeps nobody else from being told. */
    private static void end(SseEmitter emitter, Exception gone) {
        try {
            emitter.completeWithError(gone);
        } catch (IllegalStateException already) {
            // its request has ended before it could be told
        }
    }
}
