package app.clearpane.core.exposure;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.SeatId;

/**
 * One contact's place at one pane.
 *
 * @param leadVoice whether this seat speaks for the client where its people differ; one at most in a pane
 */
public record Seat(SeatId id, PaneId pane, ContactId contact, SeatRole role, SeatState state, boolean leadVoice) {}
