package app.clearpane.core.calendar;

import java.time.LocalDate;
import java.util.OptionalInt;

/**
 * A day at the agency, as far as things are late or nearly due on it (V1).
 *
 * @param day in the agency's zone
 */
public record Today(LocalDate day, WorkingCalendar calendar) {

    /** Whether what was due on a day and is still to be done is late. */
    public boolean isLate(LocalDate due) {
        return due.isBefore(day);
    }

    /** Working days from today to a day, today counted and that day not: 0 on the day itself; empty if it is past. */
    public OptionalInt daysLeft(LocalDate due) {
        return isLate(due) ? OptionalInt.empty() : OptionalInt.of(calendar.workingDays(day, due));
    }

    /**
     * The last day that is so many working days ahead or fewer: {@code daysLeft(due) <= days} for just those days from
     * today up to it.
     */
    public LocalDate lastWithin(int days) {
        return calendar.addWorkingDays(day, days);
    }
}
