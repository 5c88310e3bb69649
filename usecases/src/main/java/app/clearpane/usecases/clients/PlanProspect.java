package app.clearpane.usecases.clients;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.project.HouseHabits;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says how far it is with a prospect, and what is to be done next. */
@Component
public class PlanProspect {
    private static final int MOST_OF_A_MOVE = 400;
    private final Directory directory;
    private final HouseHabits habits;
    private final TheAgency agency;
    private final AuditLog audit;

    PlanProspect(Directory directory, HouseHabits habits, TheAgency agency, AuditLog audit) {
        this.directory = directory;
        this.habits = habits;
        this.agency = agency;
        this.audit = audit;
    }

    /** Says how far a prospect is, and what is to be done next. */
    @Transactional
    public void plan(ClientId id, String step, String move, String on, Actor by) {
        Directory.Entry client = NotFound.unless(directory.find(id));
        Input input = new Input();
        input.require(
                step.isEmpty()
                        || step.equals(client.ahead().step())
                        || habits.prospectSteps().contains(step),
                "Choose one of the steps; that one is not there any more.");
        String next =
                input.text("What is to be done next", move, MOST_OF_A_MOVE).strip();
        Optional<LocalDate> day = on.isBlank() ? Optional.empty() : input.day("Its day", on);
        input.allGood();
        Directory.Ahead ahead = new Directory.Ahead(step, next, day.orElse(null));
        if (!ahead.equals(client.ahead())) {
            directory.plan(id, ahead);
            audit.appendOfAgency(
                    agency.get().id(),
                    new PeopleActs.ClientChanged(
                            Act.CLIENT_NEXT,
                            by,
                            client.name(),
                            Stream.of(step, next, day.map(LocalDate::toString).orElse(""))
                                    .filter(part -> !part.isEmpty())
                                    .collect(Collectors.joining(", "))));
        }
    }
}
