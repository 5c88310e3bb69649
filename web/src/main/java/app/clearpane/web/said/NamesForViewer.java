package app.clearpane.web.said;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.deliverable.clientside.VisibleDeliverables;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.usecases.said.CallByName;
import app.clearpane.usecases.said.Side;
import app.clearpane.usecases.shell.NotThere;
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

    /** Those to offer after some letters. @throws NotThere if they do not see the version */
    public List<String> offered(Viewer viewer, VersionId version, String begun) {
        VersionRow found = NotThere.unless(visible.version(viewer, version));
        return viewer.role().mayMarkUp()
                ? callByName.offered(
                        begun,
                        new CallByName.Where(
                                deliverables.find(found.deliverable()).orElseThrow(), found, false),
                        new Side.Client(viewer))
                : List.of();
    }
}
