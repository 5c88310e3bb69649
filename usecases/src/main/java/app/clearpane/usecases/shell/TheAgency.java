package app.clearpane.usecases.shell;

import app.clearpane.core.agency.Agency;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Agreements;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The agency of this installation, its working days and its today. Remembered once it is founded. */
@Component
public class TheAgency {
    private final People people;
    private final Clock clock;
    private final Agreements agreements;
    private final AtomicReference<@Nullable WorkingCalendar> working = new AtomicReference<>();
    private final AtomicReference<Agency> known = new AtomicReference<>();

    public TheAgency(People people, Agreements agreements, Clock clock) {
        this.agreements = agreements;
        this.people = people;
        this.clock = clock;
    }

    /** The agency. @throws NotFound before it was founded */
    public Agency get() {
        Agency agency = known.get();
        if (agency == null) {
            agency = NotFound.unless(people.agency());
            known.set(agency);
        }
        return agency;
    }

    /** Whether it was founded. */
    public boolean isFounded() {
        return known.get() != null || people.agency().isPresent();
    }

    /** When it works. */
    public WorkingCalendar calendar() {
        WorkingCalendar calendar = working.get();
        if (calendar == null) {
            WorkingCalendar weekdays = WorkingCalendar.weekdays(get().zone());
            calendar =
                    new WorkingCalendar(weekdays.hours(), agreements.freeDays().keySet(), weekdays.zone());
            working.set(calendar);
        }
        return calendar;
    }

    /** Reads its free days anew, after they changed. */
    public void freeDaysChanged() {
        working.set(null);
    }

    /** This instant. */
    public Instant now() {
        return clock.instant();
    }

    /** The day it is there. */
    public LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), get().zone());
    }

    /** The day it is there, with its working days. */
    public Today day() {
        return new Today(today(), calendar());
    }
}
