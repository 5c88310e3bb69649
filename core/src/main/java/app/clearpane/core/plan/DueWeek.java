package app.clearpane.core.plan;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;

/** In which week something is due, seen from a day. Weeks begin on Monday. */
public enum DueWeek {
    /** Its day is past and it is not done. */
    LATE,
    /** Up to this week's Sunday, or past and done. */
    THIS_WEEK,
    NEXT_WEEK,
    LATER,
    /** It has no day. */
    NO_DAY;

    /**
     * The last day of the week to look ahead to: this week's Sunday, or the next one when no working day is left in
     * this week, so that whoever looks on a Saturday sees the week to come.
     */
    public static LocalDate lastDayAhead(LocalDate today, WorkingCalendar calendar) {
        return calendar.rollForward(today).with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY));
    }

    /** The one of something that is due on a day. @param open whether it is still to be done */
    public static DueWeek of(Optional<LocalDate> due, boolean open, LocalDate today) {
        if (due.isEmpty()) {
            return NO_DAY;
        }
        LocalDate day = due.get();
        LocalDate sunday = today.with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY));
        if (open && day.isBefore(today)) {
            return LATE;
        }
        return !day.isAfter(sunday) ? THIS_WEEK : !day.isAfter(sunday.plusWeeks(1)) ? NEXT_WEEK : LATER;
    }

    public boolean isLate() {
        return this == LATE;
    }

    public boolean isLater() {
        return this == LATER;
    }

    public boolean isNextWeek() {
        return this == NEXT_WEEK;
    }

    public boolean isThisWeek() {
        return this == THIS_WEEK;
    }
}
