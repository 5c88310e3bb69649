package app.clearpane.usecases.plan.task;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Side;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TeamSight;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Who can do the tasks of a project: the team, and those of the clients' side who have a seat. In forms each is a short
 * text.
 */
@Component
public class Assignees {
    private final People people;
    private final Seats seats;
    private final TeamSight sight;

    Assignees(People people, Seats seats, TeamSight sight) {
        this.sight = sight;
        this.people = people;
        this.seats = seats;
    }

    /**
     * One who can do a task.
     *
     * @param value as forms send it
     * @param name as lists show it
     */
    record Doer(String value, String name, Side side, PlannedTask.Hands hands) {}

    /** All of them for a project: us, the team, the client without saying who, the seated. */
    public List<Doer> ofProject(ProjectId project) {
        List<Doer> doers = new ArrayList<>();
        doers.add(new Doer("us", "Us", Side.OURS, PlannedTask.Hands.NOBODY));
        for (TeamMember member : sight.seeing(project)) {
            doers.add(new Doer(
                    "m:" + member.id().value(),
                    member.name(),
                    Side.OURS,
                    new PlannedTask.Hands(Optional.empty(), Optional.of(member.id()), member.name())));
        }
        doers.add(new Doer("them", "The client, not sent yet", Side.CLIENTS, PlannedTask.Hands.NOBODY));
        Map<ContactId, String> seated = new LinkedHashMap<>();
        seats.ofProject(project).stream()
                .filter(seat -> seat.state() != SeatState.ENDED)
                .sorted(java.util.Comparator.comparing(SeatRow::name))
                .forEach(seat -> seated.putIfAbsent(seat.contact(), seat.name()));
        seated.forEach((contact, name) -> doers.add(new Doer(
                "c:" + contact.value(),
                name,
                Side.CLIENTS,
                new PlannedTask.Hands(Optional.of(contact), Optional.empty(), name))));
        return doers;
    }

    /** The one a form names. @throws Refused if there is nobody like that */
    Doer chosen(ProjectId project, String value) {
        return ofProject(project).stream()
                .filter(doer -> doer.value().equals(value))
                .findFirst()
                .orElseThrow(() -> Refused.because(
                        "Whoever you chose has no seat at this project any more. Nothing was saved; choose "
                                + "somebody else."));
    }

    /**
     * The one a line names by the beginning of a name, e.g. "wanda". @throws Refused if it is nobody, or more than one
     */
    Doer named(ProjectId project, String who) {
        String wanted = who.toLowerCase(Locale.ROOT);
        List<Doer> found = ofProject(project).stream()
                .filter(doer -> doer.value().equals("us") && wanted.equals("us")
                        || doer.hands() != PlannedTask.Hands.NOBODY
                                && doer.name().toLowerCase(Locale.ROOT).startsWith(wanted))
                .toList();
        if (found.size() != 1) {
            throw Refused.because((found.isEmpty()
                            ? "Nobody at this project is called “@" + who + "”."
                            : "“@" + who + "” may be "
                                    + String.join(
                                            " or ",
                                            found.stream().map(Doer::name).toList()) + ".")
                    + " Nothing was saved; your line is still here.");
        }
        return found.get(0);
    }

    /** Whether the clients' people may be given tasks at all. */
    boolean clientsDoTasks() {
        return people.clientsDoTasks();
    }

    /** The name of one of the team. */
    Optional<String> nameOf(TeamMemberId member) {
        return people.member(member).map(TeamMember::name);
    }

    /** How a form names whoever does a task. */
    public static String value(PlannedTask task) {
        return task.hands()
                .member()
                .map(TeamMemberId::value)
                .map(id -> "m:" + id)
                .or(() -> task.hands().contact().map(id -> "c:" + id.value()))
                .orElse(task.task().side() == Side.OURS ? "us" : "them");
    }
}
