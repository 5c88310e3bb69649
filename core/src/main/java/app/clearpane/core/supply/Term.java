package app.clearpane.core.supply;

import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import java.time.Instant;
import java.time.LocalDate;

/** Until when something is wanted. */
public sealed interface Term {
    /** The most working days. */
    int MOST_DAYS = 250;

    /** A term that needs no plan to be reckoned. */
    sealed interface Dated extends Term {
        /** When what is sent now is due. */
        Instant due(Instant sent, WorkingCalendar calendar);

        /** Whether it is over before it began. */
        default boolean isPast(Instant now, WorkingCalendar calendar) {
            return !due(now, calendar).isAfter(now);
        }
    }

    /** So many working days after it was sent, at closing time (D6). */
    record WithinDays(int days) implements Dated {
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
    record ByDay(LocalDate day) implements Dated {
        @Override
        public Instant due(Instant sent, WorkingCalendar calendar) {
            return calendar.isWorkingDay(day)
                    ? calendar.closes(day)
                    : day.plusDays(1).atStartOfDay(calendar.zone()).toInstant();
        }
    }

    /** So many working days before an activity of the plan begins; 1 is the last working day before it. */
    record BeforeStart(ItemId activity, int days) implements Term {
        /** @throws IllegalArgumentException unless it is a day before at least, and at most {@link #MOST_DAYS} */
        public BeforeStart {
            if (days < 1 || days > MOST_DAYS) {
                throw new IllegalArgumentException("1 to " + MOST_DAYS + " working days before, got " + days);
            }
        }

        /** By which day that is, if the activity begins on this one. */
        public ByDay when(LocalDate begins, WorkingCalendar calendar) {
            return new ByDay(calendar.workingDaysBefore(begins, days));
        }

        /** The working days between what was asked for and the activity, as a link of the plan has them. */
        public int lagDays() {
            return days - 1;
        }
    }
}
