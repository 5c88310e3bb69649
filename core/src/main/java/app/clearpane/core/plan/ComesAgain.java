package app.clearpane.core.plan;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * How often something comes again, as people say it: the part of recurrence rules (RFC 5545, 3.3.10) that needs no rule
 * to be read.
 *
 * @param every each so many of its unit, 1 or more
 * @param days of the week on which it comes: any of a week, one of a month; none where it comes on the day it last came
 *     on
 * @param nth which of that day in a month, 1 to 4 or -1 for the last; empty unless it is by months and a day is named
 * @param until the last day on which it may come; empty without end
 */
public record ComesAgain(Unit unit, int every, Set<DayOfWeek> days, OptionalInt nth, Optional<LocalDate> until) {
    private static final int LAST = -1;
    private static final int MOST_NTH = 4;
    private static final int MOST_EVERY = 366;
    private static final DateTimeFormatter DAY = DateTimeFormatter.BASIC_ISO_DATE;
    private static final DateTimeFormatter IN_WORDS = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);
    private static final Pattern PART = Pattern.compile("([A-Z]+)=([A-Z0-9,+-]+)");
    private static final Pattern ON = Pattern.compile("([+-]?\\d)?(MO|TU|WE|TH|FR|SA|SU)");
    private static final List<String> NTH = List.of("first", "second", "third", "fourth");

    /** What is counted. */
    public enum Unit {
        DAY("DAILY"),
        WEEK("WEEKLY"),
        MONTH("MONTHLY"),
        YEAR("YEARLY");

        private final String frequency;

        Unit(String frequency) {
            this.frequency = frequency;
        }
    }

    /** @throws IllegalArgumentException if these do not belong together */
    public ComesAgain {
        days = days.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(days));
        boolean ofMonth = unit == Unit.MONTH
                && days.size() == 1
                && nth.isPresent()
                && (nth.getAsInt() == LAST || nth.getAsInt() >= 1 && nth.getAsInt() <= MOST_NTH);
        if (every < 1
                || every > MOST_EVERY
                || !(days.isEmpty() && nth.isEmpty() || unit == Unit.WEEK && nth.isEmpty() || ofMonth)) {
            throw new IllegalArgumentException(
                    "no way to come again: " + every + " " + unit + " on " + days + " " + nth);
        }
    }

    /** As a recurrence rule. */
    public String rule() {
        String on = days.stream()
                .map(day -> (nth.isPresent() ? String.valueOf(nth.getAsInt()) : "")
                        + day.name().substring(0, 2))
                .collect(Collectors.joining(","));
        return "FREQ=" + unit.frequency + (every == 1 ? "" : ";INTERVAL=" + every)
                + (on.isEmpty() ? "" : ";BYDAY=" + on)
                + until.map(day -> ";UNTIL=" + DAY.format(day)).orElse("");
    }

    /** What a recurrence rule says; empty if it says more than this can, or is none. */
    public static Optional<ComesAgain> of(String rule) {
        Map<String, String> parts = new HashMap<>();
        for (String part : rule.split(";")) {
            Matcher read = PART.matcher(part);
            if (!read.matches() || parts.put(read.group(1), read.group(2)) != null) {
                return Optional.empty();
            }
        }
        parts.remove("WKST", "MO");
        if (!Set.of("FREQ", "INTERVAL", "BYDAY", "UNTIL").containsAll(parts.keySet())) {
            return Optional.empty();
        }
        try {
            Unit unit = java.util.Arrays.stream(Unit.values())
                    .filter(one -> one.frequency.equals(parts.get("FREQ")))
                    .findFirst()
                    .orElseThrow();
            Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
            Set<Integer> nths = new TreeSet<>();
            for (String on : parts.getOrDefault("BYDAY", "").isEmpty()
                    ? new String[0]
                    : Objects.requireNonNull(parts.get("BYDAY")).split(",")) {
                Matcher read = ON.matcher(on);
                if (!read.matches()) {
                    return Optional.empty();
                }
                days.add(java.util.Arrays.stream(DayOfWeek.values())
                        .filter(day -> day.name().startsWith(read.group(2)))
                        .findFirst()
                        .orElseThrow());
                nths.add(read.group(1) == null ? 0 : Integer.parseInt(read.group(1)));
            }
            OptionalInt nth = nths.size() == 1 && !nths.contains(0)
                    ? OptionalInt.of(nths.iterator().next())
                    : OptionalInt.empty();
            Optional<LocalDate> until = Optional.ofNullable(parts.get("UNTIL"))
                    .map(day -> LocalDate.parse(day.substring(0, Math.min(8, day.length())), DAY));
            return nths.size() > 1
                    ? Optional.empty()
                    : Optional.of(new ComesAgain(
                            unit, Integer.parseInt(parts.getOrDefault("INTERVAL", "1")), days, nth, until));
        } catch (IllegalArgumentException | DateTimeException | java.util.NoSuchElementException other) {
            return Optional.empty();
        }
    }

    /** "every 2 weeks on Tuesday and Friday, until 4 Jun 2027". */
    public String inWords() {
        String name = unit.name().toLowerCase(Locale.ROOT);
        String often = every == 1 ? "every " + name : "every " + every + " " + name + "s";
        return often
                + on()
                + until.map(day -> ", until " + IN_WORDS.format(day)).orElse("");
    }

    private String on() {
        if (days.isEmpty()) {
            return "";
        }
        if (nth.isPresent()) {
            return " on its " + (nth.getAsInt() == LAST ? "last" : NTH.get(nth.getAsInt() - 1)) + " "
                    + full(days.iterator().next());
        }
        if (days.equals(EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY))) {
            return " from Monday to Friday";
        }
        List<String> names = days.stream().map(ComesAgain::full).toList();
        return " on "
                + (names.size() == 1
                        ? names.get(0)
                        : String.join(", ", names.subList(0, names.size() - 1)) + " and "
                                + names.get(names.size() - 1));
    }

    private static String full(DayOfWeek day) {
        return day.name().charAt(0) + day.name().substring(1).toLowerCase(Locale.ROOT);
    }
}
