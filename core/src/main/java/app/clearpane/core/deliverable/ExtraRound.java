package app.clearpane.core.deliverable;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import java.math.BigDecimal;
import java.time.Instant;

/** A round beyond those agreed on, accepted at a fee. @param by who accepted it */
public record ExtraRound(ItemId deliverable, int round, BigDecimal fee, ContactId contact, Actor by, Instant at) {}
