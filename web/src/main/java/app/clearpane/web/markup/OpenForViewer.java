package app.clearpane.web.markup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.exposure.client.Looks;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Opens a version for whoever looks from outside. */
@Component
class OpenForViewer {
    private final VisibleDeliverables deliverables;
    private final Looks looks;
    private final Lasting lasting;

    OpenForViewer(VisibleDeliverables deliverables, Looks looks, Lasting lasting) {
        this.deliverables = deliverables;
        this.looks = looks;
        this.lasting = lasting;
    }

    /**
     * What they see of it.
     *
     * @param all every version they see, of whatever deliverable
     * @param versions those of this deliverable, oldest first
     */
    record Opened(
            Version version,
            VisibleDeliverables.Row deliverable,
            List<Version> all,
            List<Version> versions,
            Optional<Round> round) {}

    /** Opens it, and notes that they looked. @throws NotFound if they do not see the version */
    Opened open(Viewer viewer, VersionId id) {
        List<Version> all = deliverables.versions(viewer);
        Version version =
                all.stream().filter(one -> one.id().equals(id)).findFirst().orElseThrow(() -> recalled(viewer, id));
        VisibleDeliverables.Row deliverable = NotFound.unless(deliverables.find(viewer, version.deliverable()));
        looks.opened(viewer, deliverable.id());
        List<Version> versions = all.stream()
                .filter(one -> one.deliverable().equals(version.deliverable()))
                .toList();
        return new Opened(version, deliverable, all, versions, deliverables.round(viewer, version.id()));
    }

    /** Why a version cannot be looked at that they were sent to. */
    private RuntimeException recalled(Viewer viewer, VersionId id) {
        return deliverables
                .recalled(viewer, id)
                .<RuntimeException>map(one -> Refused.because(one.name() + ", " + one.called()
                        + ", was sent by mistake and recalled on " + lasting.dayOf(one.at()) + ": “" + one.reason()
                        + "”. There is nothing for you to do; another version follows."))
                .orElseGet(NotFound::new);
    }
}
