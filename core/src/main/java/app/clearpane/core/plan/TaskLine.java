package app.clearpane.core.plan;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A task typed in one line: its name, and at the end in any order who does it ({@code @wanda}), how many working days
 * it takes ({@code 3d}) and the day it is due ({@code today}, {@code tomorrow}, {@code fri}, {@code +3d} working days
 * on, or {@code 2027-03-24}). What is not understood belongs to the name, and so does the first word.
 *
 * @param who as typed after the {@code @}
 * @param days 1 to {@link Task#MOST_DAYS}
 */
public record TaskLine(String name, Optional<String> who, OptionalInt days, Optional<LocalDate> due) {
    private static final Pattern DAYS = Pattern.compile("(\\+?)(\\d{1,4})d");

    /**
     * Reads a line; {@code "Draw the map @teo 3d fri"} on Monday 1 March 2027 is "Draw the map", by teo, three days,
     * due on Friday 5 March.
     *
     * @param today what the days are counted from; a day of the week is the next one after it
     * @throws IllegalArgumentException if no name is left
     */
    public static TaskLine parse(String line, LocalDate today, WorkingCalendar calendar) {
        String[] words = line.strip().split("\\s+");
        TaskLine read = new TaskLine("", Optional.empty(), OptionalInt.empty(), Optional.empty());
        int end = words.length;
        for (Optional<TaskLine> more = read.with(words[end - 1], today, calendar);
                more.isPresent() && end > 1;
                more = end > 1 ? read.with(words[end - 1], today, calendar) : Optional.empty()) {
            read = more.get();
            end--;
        }
        String name = String.join(" ", Arrays.copyOf(words, end));
        if (name.isEmpty() || name.startsWith("@")) {
            throw new IllegalArgumentException("say what is to be done, then who, how long and until when");
        }
        return new TaskLine(name, read.who, read.days, read.due);
    }

    /** The same with one more word, if it is understood and was not said yet. */
    private Optional<TaskLine> with(String word, LocalDate today, WorkingCalendar calendar) {
        if (word.startsWith("@") && word.length() > 1 && who.isEmpty()) {
            return Optional.of(new TaskLine(name, Optional.of(word.substring(1)), days, due));
        }
        Matcher counted = DAYS.matcher(word.toLowerCase(Locale.ROOT));
        if (counted.matches() && counted.group(1).isEmpty()) {
            int number = Integer.parseInt(counted.group(2));
            return days.isEmpty() && number >= 1 && number <= Task.MOST_DAYS
                    ? Optional.of(new TaskLine(name, who, OptionalInt.of(number), due))
                    : Optional.empty();
        }
        return due.isPresent()
                ? Optional.empty()
                : day(word.toLowerCase(Locale.ROOT), counted, today, calendar)
                        .map(day -> new TaskLine(name, who, days, Optional.of(day)));
    }

    private static Optional<LocalDate> day(String word, Matcher counted, LocalDate today, WorkingCalendar calendar) {
        if (counted.matches()) {
            return Optional.of(calendar.addWorkingDays(today, Integer.parseInt(counted.group(2))));
        }
        if (word.equals("today")) {
            return Optional.of(today);
        }
        if (word.equals("tomorrow")) {
            return Optional.of(today.plusDays(1));
        }
        for (DayOfWeek day : DayOfWeek.values()) {
            if (word.equals(day.name().toLowerCase(Locale.ROOT))
                    || word.equals(day.name().substring(0, 3).toLowerCase(Locale.ROOT))) {
                return Optional.of(today.with(TemporalAdjusters.next(day)));
            }
        }
        try {
            return Optional.of(LocalDate.parse(word));
        } catch (DateTimeParseException notADate) {
            return Optional.empty();
        }
    }
}
