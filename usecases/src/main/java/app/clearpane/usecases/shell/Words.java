package app.clearpane.usecases.shell;

import app.clearpane.core.turns.DaysHeld;
import app.clearpane.formats.plan.Markdown;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/** How dates, times, sizes and lists are written for people. Templates call it {@code words}. */
@Component
public class Words implements TemplateHelper {
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm", Locale.UK);
    private final TheAgency agency;
    private final Reader reader;
    private final DateTimeFormatter dayOnly;
    private final DateTimeFormatter dayAndYear;

    /**
     * For whom something is written.
     *
     * @param zone where they are; empty for where the agency is
     * @param dates the language in which they read dates
     */
    public record Reader(Optional<ZoneId> zone, Locale dates) {
        /** Where the agency is, as the house writes. */
        public static final Reader USUAL = new Reader(Optional.empty(), Locale.UK);
    }

    @Autowired
    public Words(TheAgency agency) {
        this(agency, Reader.USUAL);
    }

    public Words(TheAgency agency, Reader reader) {
        this.agency = agency;
        this.reader = reader;
        String day = Locale.US.equals(reader.dates()) ? "EEE MMM d" : "EEE d MMM";
        this.dayOnly = DateTimeFormatter.ofPattern(day, reader.dates());
        this.dayAndYear = DateTimeFormatter.ofPattern(day + " uuuu", reader.dates());
    }

    /** For whom these are. */
    public Reader reader() {
        return reader;
    }

    private ZoneId readersZone() {
        return reader.zone().orElseGet(() -> agency.get().zone());
    }

    /** The day it is where the reader is. */
    public LocalDate readersDay() {
        return LocalDate.ofInstant(agency.now(), readersZone());
    }

    @Override
    public String name() {
        return "words";
    }

    /** "Thu 14 May", with the year when it is not this one. */
    public String day(LocalDate day) {
        String written = (day.getYear() == readersDay().getYear() ? dayOnly : dayAndYear).format(day);
        return reader.dates().equals(Locale.UK) ? written.replace("Sept", "Sep") : written.replace(".", "");
    }

    /** The day of an instant, where the reader is. */
    public String dayOf(Instant instant) {
        return day(LocalDate.ofInstant(instant, readersZone()));
    }

    /** "today 17:30", "yesterday 09:12" or "Thu 14 May, 17:30". */
    public String when(Instant instant) {
        LocalDateTime local = LocalDateTime.ofInstant(instant, readersZone());
        LocalDate today = readersDay();
        if (local.toLocalDate().equals(today)) {
            return "today " + CLOCK.format(local);
        }
        return local.toLocalDate().equals(today.minusDays(1))
                ? "yesterday " + CLOCK.format(local)
                : day(local.toLocalDate()) + ", " + CLOCK.format(local);
    }

    /**
     * When something is due, as {@link #when}. Midnight is the end of the day before it, which is said alone: "today",
     * "yesterday" or "Thu 14 May".
     */
    public String due(Instant due) {
        LocalDateTime local = LocalDateTime.ofInstant(due, readersZone());
        if (!local.toLocalTime().equals(LocalTime.MIDNIGHT)) {
            return when(due);
        }
        LocalDate last = local.toLocalDate().minusDays(1);
        LocalDate today = readersDay();
        return last.equals(today) ? "today" : last.equals(today.minusDays(1)) ? "yesterday" : day(last);
    }

    /** By when: "Thu 14 May", or "Thu 14 May, 15:00". */
    public String dueBy(LocalDate day, @Nullable LocalTime hour) {
        return hour == null ? day(day) : day(day) + ", " + CLOCK.format(hour);
    }

    /** The day of an instant as forms take it, "2027-05-13". */
    public String isoDay(Instant instant) {
        return LocalDate.ofInstant(instant, agency.get().zone()).toString();
    }

    /** The day it is where the agency is. */
    public LocalDate today() {
        return agency.today();
    }

    /** The zone that times are given in, e.g. "Europe/London". */
    public String zone() {
        return readersZone().getId();
    }

    /** What the agency is called. */
    public String house() {
        return agency.get().name();
    }

    /** "2.4 days". */
    public String held(double days) {
        return new DaysHeld(days).toString();
    }

    /** "38 hours", "1 hour", "2.5 hours", of minutes. */
    public String hours(int minutes) {
        String hours = String.format(Locale.ROOT, "%.1f", minutes / 60.0).replaceFirst("[.]0$", "");
        return hours + (hours.equals("1") ? " hour" : " hours");
    }

    /** The letters that stand for somebody in a small space. */
    public String initials(String name) {
        return new app.clearpane.core.agency.Name(name).initials();
    }

    /** "1 mark", "3 marks". */
    public String count(int number, String one, String many) {
        return number + " " + (number == 1 ? one : many);
    }

    /** "Ottoline, Jasper and Per". */
    public String and(List<String> names) {
        return listed(names);
    }

    /** The same, for what is written elsewhere than on a page. */
    public static String listed(List<String> names) {
        int last = names.size() - 1;
        return last < 1
                ? String.join("", names)
                : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
    }

    /** "480 KB", "1.2 MB". */
    public String size(long bytes) {
        if (bytes < 1_000) {
            return bytes + " B";
        }
        return bytes < 1_000_000 ? Math.round(bytes / 1e3) + " KB" : String.format(Locale.ROOT, "%.1f MB", bytes / 1e6);
    }

    /** Markdown as HTML that is safe to show. */
    public String markdown(String text) {
        return Markdown.html(text);
    }

    /** The first word of a name. */
    public String first(String name) {
        return name.split(" ")[0];
    }
}
