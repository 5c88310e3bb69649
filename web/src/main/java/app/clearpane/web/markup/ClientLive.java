package app.clearpane.web.markup;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.usecases.shell.NotFound;
import java.time.Clock;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Watches what others do on a version, as long as the viewer sees it. */
@Component
public class ClientLive {
    private final VisibleDeliverables deliverables;
    private final Viewers viewers;
    private final LiveMarks liveMarks;
    private final Clock clock;

    ClientLive(VisibleDeliverables deliverables, Viewers viewers, LiveMarks liveMarks, Clock clock) {
        this.deliverables = deliverables;
        this.viewers = viewers;
        this.liveMarks = liveMarks;
        this.clock = clock;
    }

    /** Watches what others do on a version. */
    public SseEmitter live(Viewer viewer, VersionId version) {
        return liveMarks.watch(
                NotFound.unless(deliverables.version(viewer, version)).deliverable(),
                viewer.actor(),
                () -> viewers.again(viewer, clock.instant())
                        .flatMap(now -> deliverables.version(now, version))
                        .isPresent());
    }
}
