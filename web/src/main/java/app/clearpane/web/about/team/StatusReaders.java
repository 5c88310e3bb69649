package app.clearpane.web.about.team;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Panes;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Component;

/** Where the status of a project is open, so that its words are read. */
@Component
class StatusReaders {
    private final Panes panes;
    private final Clock clock;

    StatusReaders(Panes panes, Clock clock) {
        this.panes = panes;
        this.clock = clock;
    }

    /** The names of the panes that are open and let the status through. */
    List<String> readersOf(ProjectId project) {
        return panes.all(project).panes().stream()
                .filter(pane -> pane.isOpenFor(ContentKind.STATUS, clock.instant()))
                .map(Pane::name)
                .toList();
    }
}
