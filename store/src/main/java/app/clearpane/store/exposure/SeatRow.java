package app.clearpane.store.exposure;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.SeatId;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A seat with the name and address of the contact who holds it. */
public record SeatRow(
        SeatId id,
        PaneId pane,
        ContactId contact,
        String name,
        String email,
        SeatRole role,
        boolean leadVoice,
        SeatState state,
        @Nullable Instant invitedAt,
        @Nullable Instant acceptedAt,
        int revision) {

    /** The seat as the core knows it. */
    public Seat seat() {
        return new Seat(id, pane, contact, role, state, leadVoice);
    }
}
