package app.clearpane.web.said;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.usecases.said.CallByName;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.shell.NotFound;
import java.util.List;
import org.springframework.stereotype.Component;

/** The names that a viewer can call in a note. */
@Component
public class NamesForViewer {
    private final VisibleDeliverables visible;
    private final Deliverables deliverables;
    private final CallByName callByName;

    NamesForViewer(VisibleDeliverables visible, Deliverables deliverables, CallByName callByName) {
        this.visible = visible;
        this.deliverables = deliverables;
        this.callByName = callByName;
    }

    /** Those to offer after some letters. @throws NotFound if they do not see the version */
    public List<String> offered(Viewer viewer, VersionId version, String begun) {
        Version found = NotFound.unless(visible.version(viewer, version));
        return viewer.role().mayMarkUp()
                ? callByName.offered(
                        begun,
                        new CallByName.Where(
                                deliverables.find(found.deliverable()).orElseThrow(), found, false),
                        new Speaker.Client(viewer))
                : List.of();
    }
}
