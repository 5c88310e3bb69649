package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.Reason;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Verdict;
import app.clearpane.core.exposure.Visibility;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Whether a task may be given to one of the client’s people (V6). */
@Component
class MayGive {
    private final Items items;
    private final Panes panes;
    private final Seats seats;
    private final Projects projects;
    private final Assignees doers;
    private final TheAgency agency;

    MayGive(Items items, Panes panes, Seats seats, Projects projects, Assignees doers, TheAgency agency) {
        this.items = items;
        this.panes = panes;
        this.seats = seats;
        this.projects = projects;
        this.doers = doers;
        this.agency = agency;
    }

    /** Whether a task may be given to whom it is meant for (V6). */
    void refuseUnlessItMay(PlannedTask task, Person.OfTeam by) {
        if (task.hands().contact().isEmpty()) {
            return;
        }
        if (!by.role().mayPublish()) {
            throw Refused.because(
                    "Only managers and owners give tasks to the client’s people. Nothing was saved; leave it with "
                            + "us and ask "
                            + manager(task.project()) + ".");
        }
        if (!doers.clientsDoTasks()) {
            throw Refused.because(
                    "Clients are given no tasks here: the owner switched that off under Ceilings. Nothing was saved.");
        }
        heldBack(task).ifPresent(verdict -> {
            throw Refused.because("“" + verdict.source().orElse(task.name()) + "” is held back by "
                    + verdict.setting().orElseThrow().by().name() + ", so it cannot be given to "
                    + task.hands().name() + ". Nothing was saved; let it go on the Panes page first.");
        });
    }

    private String manager(ProjectId project) {
        return projects.find(project)
                .map(Project::manager)
                .flatMap(doers::nameOf)
                .orElse("one of them");
    }

    /** What holds a task back at every pane at which its doer sits. */
    private Optional<Verdict> heldBack(PlannedTask task) {
        var contact = task.hands().contact().orElseThrow();
        Item known = items.ofProject(task.project()).stream()
                .filter(item -> item.id().equals(task.id()))
                .findFirst()
                .orElseThrow();
        Item item = new Item(
                known.id(), known.kind(), known.name(), known.ancestors(), known.state(), java.util.Set.of(contact));
        List<Verdict> verdicts = new ArrayList<>();
        Panes.All all = panes.all(task.project());
        for (SeatRow seat : seats.ofProject(task.project())) {
            if (seat.contact().equals(contact) && seat.state() != SeatState.ENDED) {
                all.panes().stream()
                        .filter(pane -> pane.id().equals(seat.pane()))
                        .forEach(pane -> verdicts.add(Visibility.decide(
                                item,
                                pane,
                                Optional.of(new Seat(
                                        seat.id(),
                                        seat.pane(),
                                        contact,
                                        seat.role(),
                                        SeatState.ACCEPTED,
                                        seat.leadVoice())),
                                agency.now())));
            }
        }
        boolean everywhere = !verdicts.isEmpty()
                && verdicts.stream()
                        .allMatch(one -> one.reason() == Reason.HELD_BACK || one.reason() == Reason.HELD_BACK_ABOVE);
        return everywhere ? Optional.of(verdicts.get(0)) : Optional.empty();
    }
}
