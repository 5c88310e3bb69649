package app.clearpane.core.supply;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;

/**
 * When a draft is to go out.
 *
 * @param alone whether it goes by itself; else somebody presses
 */
public record Leaving(When when, boolean alone) {
    /** The most working days before a phase. */
    public static final int MOST_DAYS = 250;

    /** The day. */
    public sealed interface When {}

    /** A day of the calendar. */
    public record OnDay(LocalDate day) implements When {}

    /** So many working days before a phase begins; 0 is its first day. */
    public record WithPhase(UUID phase, int daysBefore) implements When {
        /** @throws IllegalArgumentException unless it is 0 to {@link #MOST_DAYS} working days before */
        public WithPhase {
            if (daysBefore < 0 || daysBefore > MOST_DAYS) {
                throw new IllegalArgumentException("0 to " + MOST_DAYS + " working days before, got " + daysBefore);
            }
        }
    }

    /**
     * The day, a working day.
     *
     * @param begins the first day of a phase; empty if it is not there any more
     */
    public Optional<LocalDate> day(Function<UUID, Optional<LocalDate>> begins, WorkingCalendar calendar) {
        if (when instanceof WithPhase with) {
            return begins.apply(with.phase())
                    .map(calendar::rollForward)
                    .map(first -> calendar.workingDaysBefore(first, with.daysBefore()));
        }
        return Optional.of(calendar.rollForward(((OnDay) when).day()));
    }
}
