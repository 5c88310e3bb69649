package app.clearpane.usecases.jobs;

import app.clearpane.core.calendar.Today;

/** What follows when one day at the agency becomes another although nobody did anything. */
public interface DayTurns {
    /**
     * Does it, in the transaction that keeps it from being done again. @param from the day for which it was done last;
     * several may have passed since
     */
    void turned(Today from, Today to);
}
