package app.clearpane.formats.plan;

import biweekly.ICalVersion;
import biweekly.io.ParseContext;
import biweekly.io.scribe.property.RecurrenceRuleScribe;
import biweekly.parameter.ICalParameters;
import biweekly.property.RecurrenceRule;
import biweekly.util.com.google.ical.iter.RecurrenceIterator;
import biweekly.util.com.google.ical.iter.RecurrenceIteratorFactory;
import biweekly.util.com.google.ical.values.DateValue;
import biweekly.util.com.google.ical.values.DateValueImpl;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.TimeZone;

/** Recurrence rules (RFC 5545, RRULE) of tasks that come again. */
public final class Repeats {
    private static final TimeZone UTC = TimeZone.getTimeZone(ZoneOffset.UTC);

    private Repeats() {}

    /**
     * The rule as it is kept.
     *
     * @param rule e.g. {@code FREQ=WEEKLY;BYDAY=FR}
     * @throws IllegalArgumentException if it is none
     */
    public static String checked(String rule) {
        read(rule);
        return rule;
    }

    private static RecurrenceRule read(String rule) {
        try {
            ParseContext context = new ParseContext();
            context.setVersion(ICalVersion.V2_0);
            RecurrenceRule read = new RecurrenceRuleScribe().parseText(rule, null, new ICalParameters(), context);
            if (!context.getWarnings().isEmpty()
                    || read.getValue() == null
                    || read.getValue().getFrequency() == null
                    || !rule.contains("FREQ=")) {
                throw new IllegalArgumentException("not a recurrence rule: " + rule);
            }
            return read;
        } catch (RuntimeException unreadable) {
            throw new IllegalArgumentException("not a recurrence rule: " + rule, unreadable);
        }
    }

    /**
     * The first day after one on which a rule comes again.
     *
     * @param from the day it last fell on, from which it counts
     * @param after it comes after this one
     * @return empty if it comes no more
     * @throws IllegalArgumentException if it is no rule
     */
    public static Optional<LocalDate> next(String rule, LocalDate from, LocalDate after) {
        return next(read(rule), from, after);
    }

    /** The same for a rule that was read already. */
    static Optional<LocalDate> next(RecurrenceRule rule, LocalDate from, LocalDate after) {
        RecurrenceIterator days = RecurrenceIteratorFactory.createRecurrenceIterator(rule.getValue(), value(from), UTC);
        days.advanceTo(value(after.plusDays(1)));
        return days.hasNext()
                ? Optional.of(days.next()).map(day -> LocalDate.of(day.year(), day.month(), day.day()))
                : Optional.empty();
    }

    /** Days without an instant, so that no zone has a say. */
    private static DateValue value(LocalDate day) {
        return new DateValueImpl(day.getYear(), day.getMonthValue(), day.getDayOfMonth());
    }
}
