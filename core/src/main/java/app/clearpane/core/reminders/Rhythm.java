package app.clearpane.core.reminders;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * When somebody is reminded of something that is due (Q2): on the working day before, on the day, and then every so
 * many working days, so many times at most; always at one hour, and never on a free day.
 *
 * @param hour of the day, 0 to 23
 * @param every working days from one reminder to the next once it is late, 1 or more
 * @param most how many of those there are, 0 or more
 */
public record Rhythm(int hour, int every, int most) {
    /** At nine, every second working day, three times. */
    public static final Rhythm USUAL = new Rhythm(9, 2, 3);
    /** The most working days between two reminders. */
    public static final int MOST_DAYS = 30;
    /** The most reminders of one thing that is late. */
    public static final int MOST_TIMES = 12;

    private static final int LAST_HOUR = 23;

    /** @throws IllegalArgumentException if it is out of these bounds */
    public Rhythm {
        if (hour < 0 || hour > LAST_HOUR || every < 1 || every > MOST_DAYS || most < 0 || most > MOST_TIMES) {
            throw new IllegalArgumentException(
                    "reminders go out at an hour of the day, every 1 to %d working days, up to %d times, got %d, %d, %d"
                            .formatted(MOST_DAYS, MOST_TIMES, hour, every, most));
        }
    }

    /**
     * One reminder.
     *
     * @param key what tells it from the others of the same thing: "before", "day", "late 1", …
     * @param at when it goes out
     */
    public record Occasion(String key, Instant at) {}

    /** All of them for what is due at an instant, in the order of time. Midnight is the end of the day before it. */
    public List<Occasion> occasions(Instant due, WorkingCalendar calendar) {
        LocalDate day = due.minusNanos(1).atZone(calendar.zone()).toLocalDate();
        List<Occasion> occasions = new ArrayList<>();
        occasions.add(new Occasion("before", at(workingDayBefore(day, calendar), calendar)));
        if (calendar.isWorkingDay(day) && at(day, calendar).isBefore(due)) {
            occasions.add(new Occasion("day", at(day, calendar)));
        }
        for (int time = 1; time <= most; time++) {
            occasions.add(new Occasion(
                    "late " + time, at(calendar.addWorkingDays(day.plusDays(1), time * every - 1), calendar)));
        }
        return List.copyOf(occasions);
    }

    private static LocalDate workingDayBefore(LocalDate day, WorkingCalendar calendar) {
        LocalDate before = day.minusDays(1);
        while (!calendar.isWorkingDay(before) && before.isAfter(day.minusYears(1))) {
            before = before.minusDays(1);
        }
        return before;
    }

    private Instant at(LocalDate day, WorkingCalendar calendar) {
        return day.atTime(LocalTime.of(hour, 0)).atZone(calendar.zone()).toInstant();
    }

    /**
     * The one that is to go out now: the latest that has come, as long as it had not come before the thing was theirs.
     * Those that were missed before it are not made up for.
     *
     * @param since when it became theirs
     */
    public Optional<Occasion> now(Instant due, Instant since, Instant now, WorkingCalendar calendar) {
        if (!calendar.isWorkingDay(now.atZone(calendar.zone()).toLocalDate())) {
            return Optional.empty();
        }
        return occasions(due, calendar).stream()
                .filter(occasion -> !occasion.at().isAfter(now))
                .reduce((earlier, later) -> later)
                .filter(latest -> latest.at().isAfter(since));
    }
}
