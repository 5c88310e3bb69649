package app.clearpane.web.exposure.clientside;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.store.Writes;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.exposure.clientside.Viewers;
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

    KeptViewers(Viewers viewers, Writes writes, TheAgency agency, Clock clock) {
        this.agency = agency;
        this.viewers = viewers;
        this.clock = clock;
        this.kept =
                new KeptReading<>(writes, KEPT, place -> viewers.at(place.pane(), place.contact(), clock.instant()));
    }

    private record Place(PaneId pane, ContactId contact, LocalDate today) {}

    /**
     * Somebody at a pane that is open to them. That it has closed or opened in the meantime is a matter of the hour and
     * not of a write.
     */
    Optional<Viewer> at(PaneId pane, ContactId contact) {
        Instant now = clock.instant();
        Optional<Viewer> found = kept.of(new Place(pane, contact, agency.today()));
        return found.isEmpty()
                ? viewers.at(pane, contact, now)
                : found.filter(
                        viewer -> viewer.until() == null || viewer.until().isAfter(now));
    }
}
