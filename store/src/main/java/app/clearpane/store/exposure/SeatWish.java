package app.clearpane.store.exposure;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.supply.RequestId;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Somebody whom a lead voice wishes to have at a pane.
 *
 * @param by who wished it
 * @param settledAt when it was answered; null while it is not
 * @param given whether they got the seat; null while it is not answered
 * @param answer why not; empty otherwise
 * @param request the request that was passed on to them; null where the whole pane is meant
 */
public record SeatWish(
        UUID id,
        PaneId pane,
        ContactId by,
        String byName,
        String name,
        String email,
        String occupation,
        SeatRole role,
        Instant wishedAt,
        @Nullable Instant settledAt,
        @Nullable Boolean given,
        String answer,
        @Nullable RequestId request) {}
