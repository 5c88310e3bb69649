package app.clearpane.core.plan;

import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Optional;

/**
 * By when something is to be done.
 *
 * @param day the last day for it, in the agency's zone; of what is due before an activity, as it was reckoned last
 * @param hour until when on that day; empty for the whole of it
 * @param before the activity whose beginning the day follows
 */
public record Due(Optional<LocalDate> day, Optional<LocalTime> hour, Optional<Before> before) {
    /** No day was set. */
    public static final Due NONE = new Due(Optional.empty(), Optional.empty(), Optional.empty());

    /**
     * So many working days before an activity begins. @param days 0 to {@link Task#MOST_DAYS}; 0 is the day on which it
     * begins
     */
    public record Before(ItemId activity, int days) {
        public Before {
            if (days < 0 || days > Task.MOST_DAYS) {
                throw new IllegalArgumentException("due 0 to " + Task.MOST_DAYS + " working days before, got " + days);
            }
        }
    }

    /** By the end of a day. */
    public static Due on(LocalDate day) {
        return new Due(Optional.of(day), Optional.empty(), Optional.empty());
    }

    /** The same on another day, whatever begins when. */
    public Due moved(Optional<LocalDate> other) {
        return new Due(other, hour, Optional.empty());
    }

    /** The same as it follows from the day on which the activity begins that it is due before. */
    public Due reckoned(LocalDate begins, WorkingCalendar calendar) {
        return new Due(
                before.map(rule -> calendar.workingDaysBefore(begins, rule.days()))
                        .or(() -> day),
                hour,
                before);
    }

    /** The instant by which somebody is asked to decide: the hour, or else when the day's work ends. */
    public Optional<Instant> decidedBy(WorkingCalendar calendar) {
        return hour.isEmpty() && day.filter(calendar::isWorkingDay).isPresent()
                ? day.map(calendar::closes)
                : until(calendar.zone());
    }

    /** The instant at which it is too late: the hour, or the midnight that ends the day. */
    public Optional<Instant> until(ZoneId zone) {
        return day.map(last -> hour.map(last::atTime)
                .orElseGet(() -> last.plusDays(1).atStartOfDay())
                .atZone(zone)
                .toInstant());
    }
}
