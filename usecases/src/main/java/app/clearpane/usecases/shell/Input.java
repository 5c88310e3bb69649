package app.clearpane.usecases.shell;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Turns what was typed into values, gathers everything that is wrong with it, and says all of it at once. */
public final class Input {
    private static final LocalDate EARLIEST = LocalDate.of(1900, 1, 1);
    private static final LocalDate LATEST = LocalDate.of(9999, 12, 31);
    /** So much of what cannot be read is said again. */
    private static final int SHOWN = 40;

    private final List<String> wrong = new ArrayList<>();

    /** A name; "The project’s name" as what. */
    public Optional<Name> name(String what, String typed) {
        return reading(typed, Name::new, what);
    }

    /** A mail address. */
    public Optional<EmailAddress> email(String what, String typed) {
        return reading(typed, EmailAddress::new, what);
    }

    private <T> Optional<T> reading(String typed, Function<String, T> reader, String what) {
        try {
            return Optional.of(reader.apply(typed));
        } catch (IllegalArgumentException e) {
            wrong.add(what + ": " + e.getMessage());
            return Optional.empty();
        }
    }

    /** A day between 1900 and 9999. */
    public Optional<LocalDate> day(String what, String typed) {
        try {
            LocalDate day = LocalDate.parse(typed.strip());
            if (!day.isBefore(EARLIEST) && !day.isAfter(LATEST)) {
                return Optional.of(day);
            }
            wrong.add(what + ": “" + typed + "” lies outside the years 1900 to 9999.");
        } catch (DateTimeParseException e) {
            wrong.add(what + ": “" + shortened(typed) + "” is not a date. Choose one, or type it as 2027-03-24.");
        }
        return Optional.empty();
    }

    /** A whole number between two limits, both included. */
    public Optional<Integer> number(String what, String typed, int least, int most) {
        try {
            int number = Integer.parseInt(typed.strip());
            if (number >= least && number <= most) {
                return Optional.of(number);
            }
        } catch (NumberFormatException e) {
            // Said below, with the limits.
        }
        wrong.add(what + ": “" + shortened(typed) + "” should be a whole number from " + least + " to " + most + ".");
        return Optional.empty();
    }

    /**
     * One of those that can be chosen. @param reader fails with an {@link IllegalArgumentException} for anything else,
     * as {@code valueOf} of an enum and {@code of} of an identifier do
     */
    public <T> Optional<T> one(String what, String chosen, Function<String, T> reader) {
        try {
            return Optional.of(reader.apply(chosen));
        } catch (IllegalArgumentException e) {
            wrong.add(what + ": “" + shortened(chosen) + "” is none of those that can be chosen.");
            return Optional.empty();
        }
    }

    /** An hour of the day, as "15:00". */
    public Optional<LocalTime> hour(String what, String typed) {
        try {
            return Optional.of(LocalTime.parse(typed.strip()));
        } catch (DateTimeParseException e) {
            wrong.add(what + ": “" + shortened(typed) + "” is not an hour like 15:00.");
            return Optional.empty();
        }
    }

    /** Text of a limited length, with its line ends made the same; empty is allowed. */
    public String text(String what, String typed, int longest) {
        String text = typed.replace("\r\n", "\n")
                .replace('\r', '\n')
                .replaceAll("[\\p{Cntrl}&&[^\\n\\t]]", "")
                .strip();
        int length = text.codePointCount(0, text.length());
        if (length > longest) {
            wrong.add("%s: %,d characters are allowed; this has %,d.".formatted(what, longest, length));
        }
        return text;
    }

    /** Something else that is wrong. */
    public void require(boolean holds, String sentence) {
        if (!holds) {
            wrong.add(sentence);
        }
    }

    /** Passes if nothing was wrong. @throws Refused with everything that was */
    public void allGood() {
        if (!wrong.isEmpty()) {
            throw Refused.because(wrong);
        }
    }

    private static String shortened(String text) {
        return text.codePointCount(0, text.length()) <= SHOWN
                ? text
                : text.substring(0, text.offsetByCodePoints(0, SHOWN)) + "…";
    }
}
