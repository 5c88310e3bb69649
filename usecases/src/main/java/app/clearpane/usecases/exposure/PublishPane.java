package app.clearpane.usecases.exposure;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.ShowingActs;
import app.clearpane.store.exposure.Panes;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.Words;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Makes what is pending at a pane what its people see, at one instant. */
@Component
public class PublishPane {
    private final Panes panes;
    private final PaneBoard board;
    private final AuditLog audit;
    private final Clock clock;
    private final Words words;

    PublishPane(Panes panes, PaneBoard board, AuditLog audit, Clock clock, Words words) {
        this.words = words;
        this.panes = panes;
        this.board = board;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * Publishes it.
     *
     * @param revision of the pane, as it was seen
     * @param seen what publishing would change, as it was seen; empty to publish whatever is pending
     * @throws app.clearpane.store.Stale if it was changed since
     * @throws Refused if something else is pending by now
     */
    @Transactional
    public ProjectId publish(PaneId id, int revision, Optional<Sha256> seen, Actor by) {
        Panes.Row read = NotFound.unless(panes.find(id));
        if (read.closesAt() != null && !read.closesAt().isAfter(clock.instant())) {
            throw Refused.because("The last day of “" + read.name()
                    + "” is past, so nobody would see it. Give it a later last day, or none, then publish.");
        }
        PaneBoard.Pending pending = board.pending(read);
        if (seen.filter(what -> !what.equals(pending.seen())).isPresent()) {
            throw Refused.changedMeanwhile("Somebody changed what passes at “" + read.name()
                    + "” while you were looking, so nothing was published. By now publishing would "
                    + (pending.gained().isEmpty() ? "show nothing more" : "show " + words.and(pending.gained()))
                    + ". Look again, then decide.");
        }
        panes.publish(read.seenAt(revision), clock.instant());
        audit.append(
                read.project(),
                id.value(),
                new ShowingActs.PanePublished(by, read.name(), pending.gained(), pending.lost()));
        return read.project();
    }

    /**
     * Drops what is pending: everything is set again as it was published. What was held back since is seen again at
     * once.
     *
     * @param revision of the pane, as it was seen
     * @throws app.clearpane.store.Stale if it was changed since
     */
    @Transactional
    public ProjectId discard(PaneId id, int revision, Actor by) {
        Panes.Row read = NotFound.unless(panes.find(id));
        if (read.publishedAt() == null) {
            throw Refused.because("“" + read.name() + "” was never published, so there is nothing to go back to.");
        }
        PaneBoard.Pending pending = board.pending(read);
        panes.discard(read.seenAt(revision));
        audit.append(
                read.project(),
                id.value(),
                new ShowingActs.PaneDiscarded(by, read.name(), pending.gained(), pending.lost()));
        return read.project();
    }
}
