package app.clearpane.core.agency;

import java.time.ZoneId;
import java.util.UUID;

/**
 * The organisation that runs this installation.
 *
 * @param id also names its Record
 * @param zone where its working hours are meant
 */
public record Agency(UUID id, String name, ZoneId zone) {}
