package app.clearpane.core.viewer;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.ProjectId;
import java.util.List;

/**
 * All panes that one contact may look through now, so that something can be read of all of them at once.
 *
 * @param viewers who the contact is at each of them, as things stand now; one for each pane
 */
public record AllPanes(ContactId contact, List<Viewer> viewers) {
    /** @throws IllegalArgumentException if somebody else is among them, or one of them looks ahead */
    public AllPanes {
        viewers = List.copyOf(viewers);
        for (Viewer one : viewers) {
            if (!one.contact().equals(contact) || one.byLink() || one.sight() != Viewer.Sight.NOW) {
                throw new IllegalArgumentException("all of them are one contact, who sees what there is now");
            }
        }
    }

    /** Whether there is none. */
    public boolean none() {
        return viewers.isEmpty();
    }

    /** The panes, each once. */
    public List<PaneId> panes() {
        return viewers.stream().map(Viewer::pane).toList();
    }

    /** The projects that are seen through them, each once. */
    public List<ProjectId> projects() {
        return viewers.stream().map(Viewer::project).distinct().toList();
    }
}
