package app.clearpane.usecases.seats;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.record.AuditLog;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class AcceptSeatsTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private static final ContactId GRETE = new ContactId(new UUID(1, 1));
    private static final Contact CONTACT =
            new Contact(GRETE, new ClientId(new UUID(1, 2)), "Grete Lindholm", "grete@hobandbarley.example", "shop");

    private final Seats seats = mock();
    private final Panes panes = mock();
    private final AuditLog audit = mock();
    private final AcceptSeats accept = new AcceptSeats(seats, panes, audit, Clock.fixed(NOW, ZoneOffset.UTC));

    private SeatRow seat(int number, ProjectId project, SeatRole role) {
        PaneId pane = new PaneId(new UUID(2, number));
        when(panes.find(pane))
                .thenReturn(Optional.of(new Panes.Row(
                        pane, project, "Pane " + number, "", NOW, null, null, "", "night", true, true, 1)));
        return new SeatRow(
                new SeatId(new UUID(3, number)),
                pane,
                GRETE,
                CONTACT.name(),
                CONTACT.email(),
                role,
                false,
                SeatState.ACCEPTED,
                NOW,
                NOW,
                1);
    }

    @Test
    void eachSeatThatWaitedIsInTheRecordOfItsProjectByThem() {
        ProjectId flour = new ProjectId(new UUID(4, 1));
        ProjectId identity = new ProjectId(new UUID(4, 2));
        List<SeatRow> waited = List.of(seat(1, flour, SeatRole.SIGNATORY), seat(2, identity, SeatRole.REVIEWER));
        when(seats.accept(GRETE, NOW)).thenReturn(waited);
        accept.accept(CONTACT);
        verify(audit)
                .append(
                        eq(flour),
                        eq(new UUID(2, 1)),
                        eq(new PeopleActs.SeatAccepted(
                                new Actor.OfClient(GRETE, "Grete Lindholm"),
                                "Pane 1",
                                "grete@hobandbarley.example",
                                SeatRole.SIGNATORY)));
        verify(audit, times(1)).append(eq(identity), any(), argThat(PeopleActs.SeatAccepted.class::isInstance));
    }

    @Test
    void comingInAgainTakesNothing() {
        when(seats.accept(GRETE, NOW)).thenReturn(List.of());
        accept.accept(CONTACT);
        verifyNoInteractions(audit, panes);
    }
}
