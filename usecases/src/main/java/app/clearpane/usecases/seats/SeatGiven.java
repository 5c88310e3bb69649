package app.clearpane.usecases.seats;

import app.clearpane.core.agency.ContactId;
import app.clearpane.store.exposure.SeatWish;

/** Somebody got the seat that was wished for them. */
public record SeatGiven(SeatWish wish, ContactId contact) {}
