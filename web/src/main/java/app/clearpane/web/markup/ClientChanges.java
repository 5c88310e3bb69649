package app.clearpane.web.markup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.markup.client.VisibleMarkups;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.compare.FrameChanges;
import app.clearpane.web.exposure.client.Looks;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** What changed between versions, for those who look from outside. */
@Component
public class ClientChanges {
    private final VisibleDeliverables deliverables;
    private final VisibleMarkups markups;
    private final Viewers viewers;
    private final LayChanges layChanges;
    private final Looks looks;
    private final FrameChanges frames;

    ClientChanges(
            VisibleDeliverables deliverables,
            VisibleMarkups markups,
            Viewers viewers,
            LayChanges layChanges,
            Looks looks,
            FrameChanges frames) {
        this.deliverables = deliverables;
        this.markups = markups;
        this.viewers = viewers;
        this.layChanges = layChanges;
        this.looks = looks;
        this.frames = frames;
    }

    /** What changed since an earlier version. @throws NotFound if they do not see both */
    public Map<String, Object> changes(Viewer viewer, String base, VersionId id, LayChanges.Wish wish) {
        Version version = NotFound.unless(deliverables.version(viewer, id));
        VisibleDeliverables.Row deliverable = NotFound.unless(deliverables.find(viewer, version.deliverable()));
        looks.opened(viewer, deliverable.id());
        List<Version> versions = deliverables.versions(viewer).stream()
                .filter(one -> one.deliverable().equals(version.deliverable()))
                .toList();
        ChangesView changes = layChanges.lay(
                base,
                false,
                deliverable.name(),
                version,
                versions,
                markups.marksOf(viewer, version.deliverable()),
                wish);
        return Map.of("changes", changes, "viewer", viewer, "heading", viewers.heading(viewer));
    }

    /**
     * What differs between two pictures of films that they look at side by side. @throws NotFound if they do not see
     * the version
     */
    public FrameChanges.Found frames(Viewer viewer, VersionId version, MultipartFile before, MultipartFile after)
            throws IOException {
        NotFound.unless(deliverables.version(viewer, version));
        return frames.compare(before, after);
    }
}
