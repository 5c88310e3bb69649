package app.clearpane.core.calendar;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * When the agency works (D1): opening and closing time for each day of the week, free days, and the zone they are meant
 * in.
 *
 * @param hours a day of the week that is missing is free; at least one must be there
 * @param freeDays holidays
 */
public record WorkingCalendar(Map<DayOfWeek, Hours> hours, Set<LocalDate> freeDays, ZoneId zone) {

    /**
     * Opening hours of one day.
     *
     * @param opens before {@code closes}
     */
    public record Hours(LocalTime opens, LocalTime closes) {
        public Hours {
            if (!opens.isBefore(closes)) {
                throw new IllegalArgumentException("need opens < closes, got " + opens + ", " + closes);
            }
        }

        /** How long it is. */
        public Duration length() {
            return Duration.between(opens, closes);
        }
    }

    private static final int LONGEST_SEARCH_DAYS = 3_660;

    public WorkingCalendar {
        hours = Map.copyOf(hours);
        freeDays = Set.copyOf(freeDays);
        if (hours.isEmpty()) {
            throw new IllegalArgumentException("a calendar needs at least one working day in the week");
        }
    }

    /** Monday to Friday from nine to half past five, without holidays. */
    public static WorkingCalendar weekdays(ZoneId zone) {
        Hours nineToHalfPastFive = new Hours(LocalTime.of(9, 0), LocalTime.of(17, 30));
        return new WorkingCalendar(
                Map.of(
                        DayOfWeek.MONDAY,
                        nineToHalfPastFive,
                        DayOfWeek.TUESDAY,
                        nineToHalfPastFive,
                        DayOfWeek.WEDNESDAY,
                        nineToHalfPastFive,
                        DayOfWeek.THURSDAY,
                        nineToHalfPastFive,
                        DayOfWeek.FRIDAY,
                        nineToHalfPastFive),
                Set.of(),
                zone);
    }

    /** Whether work is done on this day. */
    public boolean isWorkingDay(LocalDate day) {
        return hours.containsKey(day.getDayOfWeek()) && !freeDays.contains(day);
    }

    /**
     * The day itself, or the first working day after it.
     *
     * @throws IllegalStateException if there is none in ten years
     */
    public LocalDate rollForward(LocalDate day) {
        LocalDate candidate = day;
        for (int i = 0; i < LONGEST_SEARCH_DAYS; i++, candidate = candidate.plusDays(1)) {
            if (isWorkingDay(candidate)) {
                return candidate;
            }
        }
        throw new IllegalStateException("there is no working day in the ten years from " + day);
    }

    /**
     * Rolls to a working day first, then steps: with holidays on 26 and 29 March 2027, Thu 25 Mar + 1 = Tue 30 Mar.
     *
     * @param days 0 or more
     */
    public LocalDate addWorkingDays(LocalDate from, int days) {
        if (days < 0) {
            throw new IllegalArgumentException("working days are added forward only, got " + days);
        }
        LocalDate day = rollForward(from);
        for (int i = 0; i < days; i++) {
            day = rollForward(day.plusDays(1));
        }
        return day;
    }

    /**
     * The day from which so many working days are left until another begins: 1 before Monday 22 March 2027 is Friday 19
     * March.
     *
     * @param days 0 or more; 0 is the day itself
     */
    public LocalDate workingDaysBefore(LocalDate begins, int days) {
        LocalDate day = begins;
        for (int left = days; left > 0; left--) {
            day = rollBack(day.minusDays(1));
        }
        return day;
    }

    private LocalDate rollBack(LocalDate day) {
        LocalDate candidate = day;
        for (int i = 0; i < LONGEST_SEARCH_DAYS; i++, candidate = candidate.minusDays(1)) {
            if (isWorkingDay(candidate)) {
                return candidate;
            }
        }
        throw new IllegalStateException("there is no working day in the ten years before " + day);
    }

    /** Working days in {@code [from, to)}; 0 if {@code to} is not after {@code from}. */
    public int workingDays(LocalDate from, LocalDate to) {
        int count = 0;
        for (LocalDate day = from; day.isBefore(to); day = day.plusDays(1)) {
            if (isWorkingDay(day)) {
                count++;
            }
        }
        return count;
    }

    /**
     * When something sent now is due (D6): that many working days on, at closing time.
     *
     * @param allowanceDays 1 or more
     */
    public Instant due(Instant sent, int allowanceDays) {
        if (allowanceDays < 1) {
            throw new IllegalArgumentException("a reader needs at least one working day, got " + allowanceDays);
        }
        LocalDate day = addWorkingDays(LocalDate.ofInstant(sent, zone), allowanceDays);
        return day.atTime(hoursOn(day).closes()).atZone(zone).toInstant();
    }

    /** Working time in {@code [from, to)}. */
    public Duration workingTime(Instant from, Instant to) {
        Duration sum = Duration.ZERO;
        LocalDate last = LocalDate.ofInstant(to, zone);
        for (LocalDate day = LocalDate.ofInstant(from, zone); !day.isAfter(last); day = day.plusDays(1)) {
            if (isWorkingDay(day)) {
                sum = sum.plus(overlap(day, from, to));
            }
        }
        return sum;
    }

    private Duration overlap(LocalDate day, Instant from, Instant to) {
        Instant start = from.isAfter(opens(day)) ? from : opens(day);
        Instant end = to.isBefore(closes(day)) ? to : closes(day);
        return start.isBefore(end) ? Duration.between(start, end) : Duration.ZERO;
    }

    /**
     * The working time in {@code [from, to)} in working days: the unit is the mean length of a working day of the week.
     */
    public double workingDaysHeld(Instant from, Instant to) {
        long mean =
                hours.values().stream().mapToLong(h -> h.length().toSeconds()).sum() / hours.size();
        return (double) workingTime(from, to).toSeconds() / mean;
    }

    /** When work begins on a working day. */
    public Instant opens(LocalDate workingDay) {
        return workingDay.atTime(hoursOn(workingDay).opens()).atZone(zone).toInstant();
    }

    /** When work ends on a working day. */
    public Instant closes(LocalDate workingDay) {
        return workingDay.atTime(hoursOn(workingDay).closes()).atZone(zone).toInstant();
    }

    private Hours hoursOn(LocalDate workingDay) {
        return Objects.requireNonNull(hours.get(workingDay.getDayOfWeek()), "a free day has no hours");
    }
}
