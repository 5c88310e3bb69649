package app.clearpane.core.supply;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.Instant;
import java.time.LocalDate;

/** Until when something is wanted. */
public sealed interface Term {
    /** When what is sent now is due. */
    Instant due(Instant sent, WorkingCalendar calendar);

    /** Whether it is over before it began. */
    default boolean isPast(Instant now, WorkingCalendar calendar) {
        return !due(now, calendar).isAfter(now);
    }

    /** So many working days after it was sent, at closing time (D6). */
    record WithinDays(int days) implements Term {
        /** @throws IllegalArgumentException unless there is one at least */
        public WithinDays {
            if (days < 1) {
                throw new IllegalArgumentException("whoever is asked has a working day at least, got " + days);
            }
        }

        @Override
        public Instant due(Instant sent, WorkingCalendar calendar) {
            return calendar.due(sent, days);
        }
    }

    /** By a day: at closing time, and on a free day until it ends. */
    record ByDay(LocalDate day) implements Term {
        @Override
        public Instant due(Instant sent, WorkingCalendar calendar) {
            return calendar.isWorkingDay(day)
                    ? calendar.closes(day)
                    : day.plusDays(1).atStartOfDay(calendar.zone()).toInstant();
        }
    }
}
