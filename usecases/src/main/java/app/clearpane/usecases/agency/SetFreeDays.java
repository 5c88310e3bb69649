package app.clearpane.usecases.agency;

import app.clearpane.core.agency.Name;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Happening;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.formats.plan.Calendars;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.KeepPlan;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Says on which days nobody works: one by one, or from a calendar of holidays. Every plan counts anew from then on. */
@Component
public class SetFreeDays {
    private static final int YEARS_AHEAD = 5;
    private static final int MOST = 2_000;
    private static final int LONGEST_REST = 60;
    private final Agreements agreements;
    private final Projects projects;
    private final KeepPlan keepPlan;
    private final TheAgency agency;
    private final AuditLog audit;

    SetFreeDays(Agreements agreements, Projects projects, KeepPlan keepPlan, TheAgency agency, AuditLog audit) {
        this.agreements = agreements;
        this.projects = projects;
        this.keepPlan = keepPlan;
        this.agency = agency;
        this.audit = audit;
    }

    @Transactional
    public void free(String day, String name, Actor by) {
        Input input = new Input();
        Optional<LocalDate> on = input.day("The day", day);
        Optional<Name> named = input.name("Its name", name);
        input.allGood();
        set(new TreeMap<>(Map.of(on.orElseThrow(), named.orElseThrow().value())), by);
    }

    /** @throws Refused if the file is no calendar, holds no holiday, or leaves no day to work on */
    @Transactional
    public void from(String fileName, InputStream file, Actor by) throws IOException {
        TreeMap<LocalDate, String> days;
        try {
            days = Calendars.holidays(file, agency.today().plusYears(YEARS_AHEAD));
        } catch (IllegalArgumentException e) {
            throw Refused.because("“" + fileName + "” could not be read as a calendar (.ics): " + e.getMessage()
                    + ". Nothing was changed.");
        }
        if (days.isEmpty()) {
            throw Refused.because(
                    "“" + fileName + "” holds no whole-day event, so there is no holiday in it. Nothing was changed.");
        }
        set(days, by);
    }

    private void set(TreeMap<LocalDate, String> days, Actor by) {
        Set<LocalDate> all = new HashSet<>(agreements.freeDays().keySet());
        all.addAll(days.keySet());
        if (all.size() > MOST) {
            throw Refused.because(
                    "That would make " + all.size() + " free days; " + MOST + " are possible. Nothing was changed.");
        }
        WorkingCalendar now = agency.calendar();
        WorkingCalendar then = new WorkingCalendar(now.hours(), all, now.zone());
        for (LocalDate day : days.keySet()) {
            if (then.workingDays(day.minusDays(LONGEST_REST), day) == 0
                    && then.workingDays(day, day.plusDays(LONGEST_REST)) == 0) {
                throw Refused.because(
                        "Nobody would work in the weeks around " + day + ". Nothing was changed; take fewer days.");
            }
        }
        days.forEach((day, name) -> agreements.setFree(day, name.length() > 120 ? name.substring(0, 120) : name));
        counted(new PlanActs.FreeDaysSet(by, agency.get().name(), days.size(), days.firstKey(), days.lastKey()));
    }

    @Transactional
    public void working(String day, Actor by) {
        Input input = new Input();
        Optional<LocalDate> on = input.day("The day", day);
        input.allGood();
        agreements.setWorking(on.orElseThrow());
        counted(new PlanActs.FreeDayDropped(by, agency.get().name(), on.orElseThrow()));
    }

    private void counted(Happening happening) {
        agency.freeDaysChanged();
        projects.active().forEach(project -> keepPlan.changed(project.id()));
        audit.appendOfAgency(agency.get().id(), happening);
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                agency.freeDaysChanged();
            }
        });
    }
}
