package app.clearpane.usecases.seats;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.record.AuditLog;
import java.time.Clock;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Seats that waited for a contact are theirs from the moment they come in. */
@Component
public class AcceptSeats {
    private final Seats seats;
    private final Panes panes;
    private final AuditLog audit;
    private final Clock clock;

    AcceptSeats(Seats seats, Panes panes, AuditLog audit, Clock clock) {
        this.seats = seats;
        this.panes = panes;
        this.audit = audit;
        this.clock = clock;
    }

    /** Takes the seats that waited for this contact. */
    @Transactional
    public void accept(Contact contact) {
        for (SeatRow seat : seats.accept(contact.id(), clock.instant())) {
            Panes.Row pane = panes.find(seat.pane()).orElseThrow();
            audit.append(
                    pane.project(),
                    pane.id().value(),
                    new PeopleActs.SeatAccepted(
                            new Actor.OfClient(contact.id(), contact.name()),
                            pane.name(),
                            contact.email(),
                            seat.role()));
        }
    }
}
