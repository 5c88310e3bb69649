package app.clearpane.core.agency;

import java.time.ZoneId;
import java.util.Locale;
import java.util.Optional;

/**
 * What a contact wishes for themselves.
 *
 * @param phone how they are reached by telephone; may be empty
 * @param zone where they are; empty for where the agency is
 * @param dates the language in which they read dates; empty for the house's own
 * @param hours when they may be written to; empty for always
 */
public record ContactWishes(String phone, Optional<ZoneId> zone, Optional<Locale> dates, Optional<WritingHours> hours) {
    /** Whoever never said. */
    public static final ContactWishes NONE =
            new ContactWishes("", Optional.empty(), Optional.empty(), Optional.empty());
}
