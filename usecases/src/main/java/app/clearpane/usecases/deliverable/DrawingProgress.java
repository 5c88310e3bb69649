package app.clearpane.usecases.deliverable;

import app.clearpane.core.files.Sha256;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.stereotype.Component;

/** Tells those who watch a file being drawn that another page is there. */
@Component
public class DrawingProgress {
    private final Map<Sha256, List<Runnable>> watchers = new ConcurrentHashMap<>();

    void moved(Sha256 source) {
        watchers.getOrDefault(source, List.of()).forEach(Runnable::run);
    }

    public void watch(Sha256 source, Runnable watcher) {
        watchers.computeIfAbsent(source, key -> new CopyOnWriteArrayList<>()).add(watcher);
    }

    public void leave(Sha256 source, Runnable watcher) {
        watchers.computeIfPresent(source, (key, all) -> {
            all.remove(watcher);
            return all.isEmpty() ? null : all;
        });
    }
}
