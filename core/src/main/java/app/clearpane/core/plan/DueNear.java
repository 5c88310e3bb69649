package app.clearpane.core.plan;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.LocalDate;
import java.util.Optional;

/** How near the day is on which something is due. */
public enum DueNear {
    /** It has no day, or is done. */
    NO_DAY,
    /** More than two working days are left. */
    FAR,
    /** At most two working days are left, today counted. */
    NEAR,
    TODAY,
    PAST;

    private static final int FEW = 2;

    /** @param open whether it is still to be done */
    public static DueNear of(Optional<LocalDate> due, boolean open, LocalDate today, WorkingCalendar calendar) {
        if (due.isEmpty() || !open) {
            return NO_DAY;
        }
        LocalDate day = due.get();
        return day.isBefore(today)
                ? PAST
                : day.equals(today) ? TODAY : calendar.workingDays(today, day) <= FEW ? NEAR : FAR;
    }

    /** Whether a list of many says it. */
    public boolean isSaid() {
        return this == NEAR || this == TODAY || this == PAST;
    }

    public boolean isNear() {
        return this == NEAR;
    }

    public boolean isPast() {
        return this == PAST;
    }

    public boolean isToday() {
        return this == TODAY;
    }
}
