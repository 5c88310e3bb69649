package app.clearpane.core.calendar;

import java.time.LocalDate;
import java.util.Arrays;

/**
 * The working days of a project as numbers: offset 0 is the first working day from its start on (D2). Days before the
 * start have offsets below 0 as far as a year back, and the one of a year back before that.
 */
public final class Timeline {
    private static final int DAYS_BEFORE = 366;
    private static final int DAYS_AT_FIRST = 1_500;
    private static final int MOST_DAYS = 60_000;
    private final WorkingCalendar calendar;
    private final LocalDate start;
    private volatile Table table;

    /**
     * Working days before each day of a stretch, and the days that are working days, both counted from a year before
     * the start.
     */
    private record Table(int[] before, int[] workingDays) {}

    public Timeline(WorkingCalendar calendar, LocalDate start) {
        this.calendar = calendar;
        this.start = start;
        this.table = count(DAYS_AT_FIRST);
    }

    /** The calendar it counts by. */
    public WorkingCalendar calendar() {
        return calendar;
    }

    /** The project's start, a working day or not. */
    public LocalDate start() {
        return start;
    }

    private Table count(int days) {
        int[] before = new int[DAYS_BEFORE + days + 1];
        int[] working = new int[DAYS_BEFORE + days];
        int found = 0;
        for (int i = 0; i < DAYS_BEFORE + days; i++) {
            before[i] = found;
            if (calendar.isWorkingDay(start.plusDays(i - DAYS_BEFORE))) {
                working[found++] = i;
            }
        }
        before[DAYS_BEFORE + days] = found;
        return new Table(before, Arrays.copyOf(working, found));
    }

    /** The working days in {@code [start, day)}; below 0 for days before the start. */
    public int offset(LocalDate day) {
        long at = Math.max(0, day.toEpochDay() - start.toEpochDay() + DAYS_BEFORE);
        Table now = table;
        while (at >= now.before().length) {
            now = grow(now);
        }
        return now.before()[(int) at] - now.before()[DAYS_BEFORE];
    }

    /**
     * The offset behind a day: 1 more than its own where it is a working day. What is done on a day is finished there.
     */
    public int offsetAfter(LocalDate day) {
        return offset(day.plusDays(1));
    }

    /**
     * The working day at an offset.
     *
     * @throws IllegalStateException if it lies more than 160 years on
     */
    public LocalDate day(int offset) {
        Table now = table;
        while (now.before()[DAYS_BEFORE] + offset >= now.workingDays().length) {
            now = grow(now);
        }
        return start.plusDays(now.workingDays()[Math.max(0, now.before()[DAYS_BEFORE] + offset)] - DAYS_BEFORE);
    }

    /**
     * The last day of what is finished at an offset, exclusive: the working day before; of what is finished at 0, the
     * first day.
     */
    public LocalDate lastDay(int finish) {
        return day(Math.max(0, finish - 1));
    }

    private synchronized Table grow(Table seen) {
        if (table == seen) {
            int days = 2 * (seen.before().length - DAYS_BEFORE);
            if (days > MOST_DAYS) {
                throw new IllegalStateException("the plan runs more than 160 years from " + start);
            }
            table = count(days);
        }
        return table;
    }

    /** Whether another one counts the same. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Timeline line && line.start.equals(start) && line.calendar.equals(calendar);
    }

    @Override
    public int hashCode() {
        return start.hashCode() * 31 + calendar.hashCode();
    }
}
