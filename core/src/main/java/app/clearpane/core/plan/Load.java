package app.clearpane.core.plan;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * How much work falls on the weeks ahead of one person, by the estimates of their open tasks spread evenly over the
 * working days each still has.
 */
public final class Load {
    private Load() {}

    /**
     * One week.
     *
     * @param monday its first day
     * @param minutes of work that fall on it
     * @param capacityMinutes the agency's hours on its working days
     */
    public record Week(LocalDate monday, int minutes, int capacityMinutes) {
        /** Whether there is more to do than there are hours. */
        public boolean overbooked() {
            return minutes > capacityMinutes;
        }

        /**
         * The share of the week that is taken, in percent; 100 or more where it is full, and where there are no hours
         * at all but work.
         */
        public int percent() {
            return capacityMinutes == 0 ? minutes == 0 ? 0 : 100 : (int) Math.round(100.0 * minutes / capacityMinutes);
        }
    }

    /**
     * A task with the days it still has.
     *
     * @param minutes of work left in it
     * @param from the first of its days that counts
     * @param to its last day
     */
    public record Piece(int minutes, LocalDate from, LocalDate to) {}

    /**
     * The weeks from the one of a day on. Work without a working day of its own falls on its last day's week.
     *
     * @param weeks how many
     */
    public static List<Week> weeks(List<Piece> pieces, LocalDate today, int weeks, WorkingCalendar calendar) {
        LocalDate first = today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        List<Week> ahead = new ArrayList<>();
        for (int i = 0; i < weeks; i++) {
            LocalDate monday = first.plusWeeks(i);
            LocalDate end = monday.plusWeeks(1);
            double minutes = 0;
            for (Piece piece : pieces) {
                minutes += piece.minutes() * share(piece, monday, end, calendar);
            }
            ahead.add(new Week(
                    monday,
                    (int) Math.round(minutes),
                    capacity(monday.isBefore(today) ? today : monday, end, calendar)));
        }
        return ahead;
    }

    private static double share(Piece piece, LocalDate monday, LocalDate end, WorkingCalendar calendar) {
        int days = calendar.workingDays(piece.from(), piece.to().plusDays(1));
        if (days == 0) {
            return piece.to().isBefore(monday) || !piece.to().isBefore(end) ? 0 : 1;
        }
        LocalDate from = piece.from().isAfter(monday) ? piece.from() : monday;
        LocalDate to = piece.to().plusDays(1).isBefore(end) ? piece.to().plusDays(1) : end;
        return (double) calendar.workingDays(from, to) / days;
    }

    private static int capacity(LocalDate from, LocalDate end, WorkingCalendar calendar) {
        long minutes = 0;
        for (LocalDate day = from; day.isBefore(end); day = day.plusDays(1)) {
            if (calendar.isWorkingDay(day)) {
                minutes += Objects.requireNonNull(calendar.hours().get(day.getDayOfWeek()))
                        .length()
                        .toMinutes();
            }
        }
        return (int) minutes;
    }
}
