package app.clearpane.formats.plan;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.text.ICalReader;
import biweekly.property.Status;
import biweekly.util.Duration;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Date;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** Calendars as other programs read and write them (iCalendar, RFC 5545). */
public final class Calendars {
    private static final int MOST_DAYS_AT_ONCE = 400;
    private static final int MOST_BYTES_OF_A_LINE = 75;
    /** How long something that falls on an instant is shown: an event ends after it begins. */
    private static final java.time.Duration SHOWN_FOR = java.time.Duration.ofMinutes(15);

    private Calendars() {}

    /**
     * Something in a calendar.
     *
     * @param uid stays the same for as long as it is the same thing
     * @param sequence another, larger one whenever it changed
     * @param day the day it falls on; of something at a time, the day of that
     * @param at the instant; empty for all of the day
     * @param cancelled whether it no longer takes place
     */
    public record Entry(
            String uid,
            int sequence,
            String summary,
            String description,
            LocalDate day,
            Optional<Instant> at,
            boolean cancelled) {}

    /**
     * A feed.
     *
     * @param name what the calendar is called
     * @param now when it was asked for
     */
    public static String write(String name, List<Entry> entries, Instant now) {
        ICalendar calendar = new ICalendar();
        calendar.setVersion(ICalVersion.V2_0);
        calendar.setProductId("-//Clear Pane//EN");
        calendar.setName(name);
        calendar.addExperimentalProperty("X-WR-CALNAME", name);
        calendar.setRefreshInterval(Duration.builder().hours(1).build());
        for (Entry entry : entries) {
            VEvent event = new VEvent();
            event.setUid(entry.uid());
            event.setDateTimeStamp(Date.from(now));
            event.setSequence(entry.sequence());
            event.setSummary(entry.summary());
            if (!entry.description().isEmpty()) {
                event.setDescription(entry.description());
            }
            entry.at()
                    .ifPresentOrElse(
                            at -> {
                                event.setDateStart(Date.from(at), true);
                                event.setDateEnd(Date.from(at.plus(SHOWN_FOR)), true);
                            },
                            () -> {
                                event.setDateStart(date(entry.day()), false);
                                event.setDateEnd(date(entry.day().plusDays(1)), false);
                            });
            event.setStatus(entry.cancelled() ? Status.cancelled() : Status.confirmed());
            calendar.addEvent(event);
        }
        return folded(Biweekly.write(calendar).go());
    }

    /** The lines of a calendar folded after 75 bytes at most, never within a character (RFC 5545, 3.1). */
    static String folded(String text) {
        StringBuilder folded = new StringBuilder();
        text.replace("\r\n ", "").lines().forEach(line -> {
            int bytes = 0;
            for (int i = 0; i < line.length(); i += Character.charCount(line.codePointAt(i))) {
                String one = Character.toString(line.codePointAt(i));
                int more = one.getBytes(StandardCharsets.UTF_8).length;
                if (bytes + more > MOST_BYTES_OF_A_LINE) {
                    folded.append("\r\n ");
                    bytes = 1;
                }
                folded.append(one);
                bytes += more;
            }
            folded.append("\r\n");
        });
        return folded.toString();
    }

    /** Dates are written in the zone of this machine, so they are made in it. */
    private static Date date(LocalDate day) {
        return Date.from(day.atStartOfDay(ZoneId.systemDefault()).toInstant());
    }

    /**
     * The days that the events of a calendar fall on, with their names: whole-day events only, for these are holidays.
     * Events that repeat are taken up to a last day, with the days that are left out or added, and with those of their
     * days that were moved; what was cancelled does not take place. A file may hold several calendars.
     *
     * @param last the last day that counts
     * @throws IllegalArgumentException if it is no calendar, or one event lasts longer than a year
     */
    public static TreeMap<LocalDate, String> holidays(InputStream file, LocalDate last) throws IOException {
        TreeMap<LocalDate, String> days = new TreeMap<>();
        try (ICalReader reader = new ICalReader(file)) {
            List<ICalendar> calendars = reader.readAll();
            if (calendars.isEmpty()) {
                throw new IllegalArgumentException("it holds no calendar");
            }
            List<VEvent> events = calendars.stream()
                    .flatMap(calendar -> calendar.getEvents().stream())
                    .filter(event -> event.getDateStart() != null
                            && !event.getDateStart().getValue().hasTime())
                    .toList();
            for (VEvent event : events) {
                if (event.getStatus() == null || !event.getStatus().isCancelled()) {
                    take(event, moved(event, events), days, last);
                }
            }
        }
        return days;
    }

    /** The days of an event that repeats which are told by an event of their own, or are left out. */
    private static Set<LocalDate> moved(VEvent event, List<VEvent> all) {
        Set<LocalDate> moved = new HashSet<>();
        if (event.getRecurrenceId() == null) {
            event.getExceptionDates().forEach(out -> out.getValues().forEach(date -> moved.add(day(date))));
            all.stream()
                    .filter(other -> other.getRecurrenceId() != null
                            && other.getUid() != null
                            && other.getUid().equals(event.getUid()))
                    .forEach(other -> moved.add(day(other.getRecurrenceId().getValue())));
        }
        return moved;
    }

    private static long length(VEvent event, LocalDate first) {
        if (event.getDateEnd() != null) {
            return Math.max(1, day(event.getDateEnd().getValue()).toEpochDay() - first.toEpochDay());
        }
        return event.getDuration() == null
                ? 1
                : Math.max(
                        1,
                        java.time.Duration.ofMillis(
                                        event.getDuration().getValue().toMillis())
                                .toDays());
    }

    private static void take(VEvent event, Set<LocalDate> without, TreeMap<LocalDate, String> days, LocalDate last) {
        LocalDate first = day(event.getDateStart().getValue());
        long length = length(event, first);
        String name =
                event.getSummary() == null ? "Holiday" : event.getSummary().getValue();
        if (length > MOST_DAYS_AT_ONCE) {
            throw new IllegalArgumentException("“" + name + "” lasts " + length + " days");
        }
        TreeSet<LocalDate> starts = new TreeSet<>();
        for (Optional<LocalDate> start = Optional.of(first);
                start.isPresent() && !start.get().isAfter(last);
                start = again(event, first, start.get())) {
            starts.add(start.get());
        }
        event.getRecurrenceDates().forEach(also -> also.getDates().stream()
                .map(Calendars::day)
                .filter(day -> !day.isAfter(last))
                .forEach(starts::add));
        starts.removeAll(without);
        starts.forEach(start -> {
            for (int i = 0; i < length; i++) {
                days.put(start.plusDays(i), name);
            }
        });
    }

    private static Optional<LocalDate> again(VEvent event, LocalDate first, LocalDate after) {
        return event.getRecurrenceRule() == null
                ? Optional.empty()
                : Repeats.next(event.getRecurrenceRule(), first, after);
    }

    private static LocalDate day(biweekly.util.ICalDate date) {
        biweekly.util.DateTimeComponents raw = date.getRawComponents();
        return raw == null
                ? LocalDate.ofInstant(date.toInstant(), ZoneOffset.systemDefault())
                : LocalDate.of(raw.getYear(), raw.getMonth(), raw.getDate());
    }
}
