package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.GivenTask;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.Verdict;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
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
        List<Seat> seated = seats.ofProject(task.project()).stream()
                .map(seat ->
                        new Seat(seat.id(), seat.pane(), seat.contact(), seat.role(), seat.state(), seat.leadVoice()))
                .toList();
        return GivenTask.heldBackFrom(contact, known, panes.all(task.project()).panes(), seated, agency.now());
    }
}
