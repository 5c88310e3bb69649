package app.clearpane.web.deliverable.team;

import app.clearpane.core.deliverable.Version;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.usecases.deliverable.DrawingProgress;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.web.shell.streams.Streams;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Sends each newly drawn sheet to whoever watches, and says when all are there. */
@Component
class WatchDrawing {
    private static final Duration LONGEST_WATCH = Duration.ofMinutes(30);
    /** How many sheets a page of the team lays out; the light table goes through the rest. */
    static final int SHOWN = 48;

    private final Drawings drawings;
    private final DrawingProgress progress;
    private final Pages pages;
    private final Streams streams;

    WatchDrawing(Drawings drawings, DrawingProgress progress, Pages pages, Streams streams) {
        this.drawings = drawings;
        this.progress = progress;
        this.pages = pages;
        this.streams = streams;
    }

    SseEmitter watch(Version version) {
        SseEmitter emitter = streams.open(LONGEST_WATCH);
        Runnable watcher = () -> send(emitter, version);
        progress.watch(version.sha256(), watcher);
        emitter.onCompletion(() -> progress.leave(version.sha256(), watcher));
        watcher.run();
        return emitter;
    }

    private void send(SseEmitter emitter, Version version) {
        Drawings.Drawing drawing = drawings.find(version.sha256()).orElseThrow();
        Map<String, Object> model =
                Map.of("version", version, "drawing", drawing, "sheets", drawings.sheets(version.sha256(), SHOWN));
        try {
            emitter.send(SseEmitter.event()
                    .name("sheets")
                    .data(pages.render("deliverable/_sheets", model).replaceAll("\\s*\\n\\s*", " ")));
            if (drawing.state() != Drawings.State.WAITING) {
                emitter.send(
                        SseEmitter.event().name("done").data(drawing.state().name()));
                emitter.complete();
            }
        } catch (IOException | IllegalStateException gone) {
            emitter.complete();
        }
    }
}
