package app.clearpane.usecases.shell;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.springframework.stereotype.Component;

/**
 * Days and times as they stand in what is kept: certificates, papers, mails. They never say "today", and always the
 * year. Templates call it {@code lasting}.
 */
@Component
public class Lasting implements TemplateHelper {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.UK);
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm", Locale.UK);
    private final TheAgency agency;

    public Lasting(TheAgency agency) {
        this.agency = agency;
    }

    @Override
    public String name() {
        return "lasting";
    }

    /** "Thu 14 May 2027". */
    public String day(LocalDate day) {
        return DAY.format(day).replace("Sept", "Sep");
    }

    /** The day of an instant, where the agency is. */
    public String dayOf(Instant instant) {
        return day(inZone(instant).toLocalDate());
    }

    /** "Thu 14 May 2027, 17:30", where the zone is named beside it. */
    public String when(Instant instant) {
        return day(inZone(instant).toLocalDate()) + ", " + CLOCK.format(inZone(instant));
    }

    /** "Thu 14 May 2027, 17:30 (Europe/London)". */
    public String zoned(Instant instant) {
        return when(instant) + " (" + agency.get().zone() + ")";
    }

    /** When something is due, as {@link #zoned}. Midnight is the end of the day before it, which is said alone. */
    public String due(Instant due) {
        ZonedDateTime local = inZone(due);
        return local.toLocalTime().equals(LocalTime.MIDNIGHT)
                ? day(local.toLocalDate().minusDays(1))
                : zoned(due);
    }

    private ZonedDateTime inZone(Instant instant) {
        return instant.atZone(agency.get().zone());
    }
}
