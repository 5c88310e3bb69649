package app.clearpane.web.shell.streams;

import java.time.Duration;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * The lines on which browsers are told things as they happen. They end when the house stops, so that a page left open
 * somewhere does not hold it up.
 */
@Component
public class Streams {
    private final Set<SseEmitter> open = ConcurrentHashMap.newKeySet();

    /** A new line, which ends by itself after the longest time. */
    public SseEmitter open(Duration longest) {
        SseEmitter emitter = new SseEmitter(longest.toMillis());
        open.add(emitter);
        emitter.onCompletion(() -> open.remove(emitter));
        emitter.onTimeout(emitter::complete);
        return emitter;
    }

    @EventListener(ContextClosedEvent.class)
    void endAll() {
        open.forEach(SseEmitter::complete);
    }
}
