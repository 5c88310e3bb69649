package app.clearpane.usecases.reminders;

import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.reminders.Rhythm;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.TheAgency;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says when the agency reminds people, or that it does not. */
@Component
public class SetReminders {
    private static final int LAST_HOUR = 23;
    private final Reminders reminders;
    private final TheAgency agency;
    private final AuditLog audit;

    SetReminders(Reminders reminders, TheAgency agency, AuditLog audit) {
        this.reminders = reminders;
        this.agency = agency;
        this.audit = audit;
    }

    /** The rhythm as typed. @param remind missing if nobody is reminded */
    public record RhythmForm(@Nullable Boolean remind, String hour, String every, String most) {}

    @Transactional
    public void set(RhythmForm form, Actor by) {
        Input input = new Input();
        Optional<Integer> hour = input.number("The hour", form.hour(), 0, LAST_HOUR);
        Optional<Integer> every = input.number("The working days between", form.every(), 1, Rhythm.MOST_DAYS);
        Optional<Integer> most = input.number("How often", form.most(), 0, Rhythm.MOST_TIMES);
        input.allGood();
        Rhythm rhythm = new Rhythm(hour.orElseThrow(), every.orElseThrow(), most.orElseThrow());
        boolean on = Boolean.TRUE.equals(form.remind());
        reminders.setRhythm(on ? Optional.of(rhythm) : Optional.empty());
        audit.appendOfAgency(
                agency.get().id(),
                on
                        ? new PeopleActs.RemindersSet(by, agency.get().name(), hour, every, most, Optional.empty())
                        : new PeopleActs.RemindersSet(
                                by,
                                agency.get().name(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.of("off")));
    }
}
