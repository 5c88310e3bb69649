package app.clearpane.usecases.hours;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Effort;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.plan.TimeSpent;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Writes down a whole day of somebody's, task by task. */
@Component
public class WriteDay {
    private static final int A_DAY = 24 * 60;
    private static final String TASK = "task-";
    private final Tasks tasks;
    private final TimeSpent timeSpent;
    private final TeamSight sight;
    private final TheAgency agency;
    private final Clock clock;

    WriteDay(Tasks tasks, TimeSpent timeSpent, TeamSight sight, TheAgency agency, Clock clock) {
        this.tasks = tasks;
        this.timeSpent = timeSpent;
        this.sight = sight;
        this.agency = agency;
        this.clock = clock;
    }

    /**
     * Writes it down, all or nothing.
     *
     * @param typed times by "task-" and the task's identifier; empty ones are left out
     * @throws Refused with everything that is wrong, or if it would be more than a day
     */
    @Transactional
    public LocalDate write(String day, Map<String, String> typed, Person.OfTeam by) {
        Input input = new Input();
        Optional<LocalDate> on = input.day("The day", day);
        input.require(
                on.isEmpty() || !on.get().isAfter(agency.today()),
                "That day is still to come; write it down once it is there.");
        Map<ItemId, Integer> minutes = new LinkedHashMap<>();
        typed.forEach((field, time) -> {
            if (field.startsWith(TASK) && !time.isBlank()) {
                Optional<ItemId> task = input.one("The task", field.substring(TASK.length()), ItemId::of)
                        .filter(id -> tasks.find(id)
                                .filter(found -> !sight.hides(found.project()))
                                .isPresent());
                int spent = Effort.minutes(time);
                input.require(task.isPresent(), "One of the tasks is not there any more.");
                input.require(
                        spent > 0,
                        "“" + (time.length() > 40 ? time.substring(0, 40) + "…" : time.strip())
                                + "” is not a time like 2.5h or 90m.");
                task.ifPresent(id -> minutes.put(id, spent));
            }
        });
        input.allGood();
        LocalDate written = on.orElseThrow();
        int before = timeSpent.ofDay(by.memberId(), written).stream()
                .filter(entry -> entry.minutes() != null)
                .mapToInt(TimeSpent.OnDay::spent)
                .sum();
        if (before + minutes.values().stream().mapToInt(Integer::intValue).sum() > A_DAY) {
            throw Refused.because(
                    "With what is written down already that would be more than 24 hours on one day. Nothing was "
                            + "written down.");
        }
        minutes.forEach((task, spent) -> timeSpent.add(task, by.memberId(), spent, written, clock.instant()));
        return written;
    }
}
