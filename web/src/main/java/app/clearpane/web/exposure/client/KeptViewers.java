package app.clearpane.web.exposure.client;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.WriteCounter;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.usecases.shell.KeptReading;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Contacts at their panes, read anew as soon as anything was written to the house, and on another day. */
@Component
class KeptViewers {
    private static final int KEPT = 2_000;
    private final Clock clock;
    private final TheAgency agency;
    private final KeptReading<Place, Optional<Viewer>> kept;
    private final Viewers viewers;

    KeptViewers(Viewers viewers, WriteCounter writes, TheAgency agency, Clock clock) {
        this.agency = agency;
        this.viewers = viewers;
        this.clock = clock;
        this.kept = new KeptReading<>(
                writes, KEPT, place -> viewers.viewerAt(place.pane(), place.contact(), clock.instant()));
    }

    private record Place(PaneId pane, ContactId contact, LocalDate today) {}

    /**
     * Somebody at a pane that is open to them. That it has closed or opened in the meantime is a matter of the hour and
     * not of a write.
     */
    Optional<Viewer> viewerAt(PaneId pane, ContactId contact) {
        Instant now = clock.instant();
        Optional<Viewer> found = kept.read(new Place(pane, contact, agency.today()));
        return found.isEmpty()
                ? viewers.viewerAt(pane, contact, now)
                : found.filter(
                        viewer -> viewer.until() == null || viewer.until().isAfter(now));
    }
}
