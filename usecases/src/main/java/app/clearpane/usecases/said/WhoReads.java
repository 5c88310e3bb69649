package app.clearpane.usecases.said;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.exposure.client.Viewers;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Who reads what is said on a version. */
@Component
public class WhoReads {
    private final Seats seats;
    private final Viewers viewers;
    private final VisibleDeliverables visible;
    private final Clock clock;

    WhoReads(Seats seats, Viewers viewers, VisibleDeliverables visible, Clock clock) {
        this.seats = seats;
        this.viewers = viewers;
        this.visible = visible;
        this.clock = clock;
    }

    /** Whether whoever has a link sees where something is said. */
    boolean readsByLink(SeatId link, CallByName.Where where) {
        return viewers.lookingThrough(link, Viewer.Sight.NOW, clock.instant())
                .filter(viewer -> visible.version(viewer, where.version().id()).isPresent())
                .isPresent();
    }

    /** Those with a seat through which the version is seen now, their link opened or not. */
    List<SeatRow> seeing(CallByName.Where where) {
        return seats.ofPane(where.deliverable().pane()).stream()
                .filter(seat -> seat.state() != SeatState.ENDED)
                .filter(seat -> sees(seat, where.version()))
                .toList();
    }

    private boolean sees(SeatRow seat, Version version) {
        return viewers.lookingThrough(seat.id(), Viewer.Sight.NOW, clock.instant())
                .flatMap(viewer -> visible.version(viewer, version.id()))
                .isPresent();
    }

    /** Whether a contact may read what is said there; empty if not, else through which seat. */
    public Optional<SeatRow> reads(ContactId contact, CallByName.Where where) {
        return where.forTeam()
                ? Optional.empty()
                : seats.ofPane(where.deliverable().pane()).stream()
                        .filter(seat -> seat.contact().equals(contact)
                                && seat.state() != SeatState.ENDED
                                && sees(seat, where.version()))
                        .findFirst();
    }
}
