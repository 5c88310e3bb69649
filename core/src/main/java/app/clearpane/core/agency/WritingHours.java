package app.clearpane.core.agency;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;

/**
 * The hours of a day in which somebody may be written to.
 *
 * @param from the first hour, 0 to 23
 * @param until the hour at which they end, 1 to 24 and after the first
 */
public record WritingHours(int from, int until) {
    private static final int HOURS = 24;

    /** @throws IllegalArgumentException if they are none */
    public WritingHours {
        if (from < 0 || until > HOURS || from >= until) {
            throw new IllegalArgumentException(
                    "hours to write in begin before they end, 0 to 24; got " + from + " to " + until);
        }
    }

    /** The first instant at or after another at which they may be written to, where they are. */
    public Instant next(Instant at, ZoneId zone) {
        LocalDate day = at.atZone(zone).toLocalDate();
        int hour = at.atZone(zone).getHour();
        if (hour >= from && hour < until) {
            return at;
        }
        Instant begins = (hour < from ? day : day.plusDays(1))
                .atTime(LocalTime.of(from, 0))
                .atZone(zone)
                .toInstant();
        return begins.isBefore(at) ? at : begins;
    }
}
