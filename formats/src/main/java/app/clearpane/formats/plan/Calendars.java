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
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/** Calendars as other programs read and write them (iCalendar, RFC 5545). */
public final class Calendars {
  private static final int MOST_DAYS_AT_ONCE = 400;

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
  public record Entry(String uid, int sequence, String summary, String description, LocalDate day, Optional<Instant> at, boolean cancelled) {}

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
      entry.at().ifPresentOrElse(at -> {
        event.setDateStart(Date.from(at), true);
        event.setDateEnd(Date.from(at), true);
      }, () -> {
        event.setDateStart(date(entry.day()), false);
        event.setDateEnd(date(entry.day().plusDays(1)), false);
      });
      event.setStatus(entry.cancelled() ? Status.cancelled() : Status.confirmed());
      calendar.addEvent(event);
    }
    return Biweekly.write(calendar).go();
  }

  /** Dates are written in the zone of this machine, so they are made in it. */
  private static Date date(LocalDate day) {
    return Date.from(day.atStartOfDay(ZoneId.systemDefault()).toInstant());
  }

  /**
   * The days that the events of a calendar fall on, with their names: whole-day events only, for these are holidays. Events that repeat yearly are taken up to a last day.
   *
   * @param last the last day that counts
   * @throws IllegalArgumentException if it is no calendar, or one event lasts longer than a year
   */
  public static TreeMap<LocalDate, String> holidays(InputStream file, LocalDate last) throws IOException {
    TreeMap<LocalDate, String> days = new TreeMap<>();
    try (ICalReader reader = new ICalReader(file)) {
      ICalendar calendar = reader.readNext();
      if (calendar == null) {
        throw new IllegalArgumentException("it holds no calendar");
      }
      for (VEvent event : calendar.getEvents()) {
        if (event.getDateStart() != null && !event.getDateStart().getValue().hasTime()) {
          take(event, days, last);
        }
      }
    }
    return days;
  }

  private static void take(VEvent event, TreeMap<LocalDate, String> days, LocalDate last) {
    LocalDate first = day(event.getDateStart().getValue());
    LocalDate end = event.getDateEnd() == null ? first.plusDays(1) : day(event.getDateEnd().getValue());
    long length = Math.max(1, end.toEpochDay() - first.toEpochDay());
    String name = event.getSummary() == null ? "Holiday" : event.getSummary().getValue();
    if (length > MOST_DAYS_AT_ONCE) {
      throw new IllegalArgumentException("“" + name + "” lasts " + length + " days");
    }
    for (Optional<LocalDate> start = Optional.of(first); start.isPresent() && !start.get().isAfter(last); start = again(event, first, start.get())) {
      for (int i = 0; i < length; i++) {
        days.put(start.get().plusDays(i), name);
      }
    }
  }

  private static Optional<LocalDate> again(VEvent event, LocalDate first, LocalDate after) {
    return event.getRecurrenceRule() == null ? Optional.empty() : Repeats.next(event.getRecurrenceRule(), first, after);
  }

  private static LocalDate day(biweekly.util.ICalDate date) {
    biweekly.util.DateTimeComponents raw = date.getRawComponents();
    return raw == null ? LocalDate.ofInstant(date.toInstant(), ZoneOffset.systemDefault()) : LocalDate.of(raw.getYear(), raw.getMonth(), raw.getDate());
  }
}
