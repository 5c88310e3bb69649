package app.clearpane.usecases.plan.task;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Task;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Sends a task to whoever of the clients' side is to do it, once nothing stands before it: from then on it is their
 * turn.
 */
@Component
class TellDoer {
    private final Tasks tasks;
    private final Viewers viewers;
    private final VisibleTasks visible;
    private final Seats seats;
    private final TheAgency agency;
    private final Lasting lasting;
    private final WriteToContact toContact;

    TellDoer(
            Tasks tasks,
            Viewers viewers,
            VisibleTasks visible,
            Seats seats,
            TheAgency agency,
            Lasting lasting,
            WriteToContact toContact) {
        this.toContact = toContact;
        this.tasks = tasks;
        this.viewers = viewers;
        this.visible = visible;
        this.seats = seats;
        this.agency = agency;
        this.lasting = lasting;
    }

    /** Whether a task waits for nothing any more. */
    private static boolean isReady(ProjectPlan plan, PlannedTask task) {
        Task activity = plan.forecast().network().activities().stream()
                .filter(one -> one.id().equals(task.id()))
                .findFirst()
                .orElse(task.task());
        return activity.shape()
                        .notBefore()
                        .map(day -> !day.isAfter(plan.today()))
                        .orElse(true)
                && activity.shape().after().stream()
                        .allMatch(link -> !plan.forecast().has(link.predecessor())
                                || plan.forecast().isDone(link.predecessor()));
    }

    /** Sends it, if it is ready and was not sent yet. @return whether it was sent */
    boolean ifReady(ProjectPlan plan, PlannedTask task, Actor by) {
        if (task.hands().contact().isEmpty()
                || task.details().request().isPresent()
                || task.task().actual().began().isPresent()
                || !task.task().stage().open()
                || !isReady(plan, task)) {
            return false;
        }
        Optional<SeatRow> seat = seeing(task);
        if (seat.isEmpty()) {
            return false;
        }
        Task sent = new Task(
                task.id(),
                task.task().parent(),
                task.name(),
                task.task().side(),
                task.task().shape(),
                task.task().stage(),
                new Task.Actual(Optional.of(plan.today()), Optional.empty(), Optional.empty()));
        tasks.change(
                new PlannedTask(sent, task.project(), task.position(), task.hands(), task.details(), task.revision()),
                agency.now());
        tasks.turned(task.id(), TurnEvent.TASK_GIVEN_TO_CLIENT, by, agency.now());
        write(plan, task, task.hands().contact().get(), seat.get());
        return true;
    }

    /**
     * A seat of its doer through which the task is seen, their link opened or not. What is held back meanwhile, or
     * whose doer may be given none, is sent to nobody.
     */
    Optional<SeatRow> seeing(PlannedTask task) {
        return seats.ofProject(task.project()).stream()
                .filter(seat ->
                        task.hands().contact().filter(seat.contact()::equals).isPresent()
                                && seat.state() != SeatState.ENDED)
                .filter(seat -> viewers.lookingThrough(seat.id(), Viewer.Sight.NOW, agency.now())
                        .flatMap(viewer -> visible.find(viewer, task.id()))
                        .isPresent())
                .findFirst();
    }

    private void write(ProjectPlan plan, PlannedTask task, ContactId contact, SeatRow seat) {
        seats.invited(seat.id(), agency.now());
        toContact.write(
                contact,
                new WriteToContact.Note(
                        "For you: " + task.name(),
                        List.of("We would like you to do something for “"
                                + plan.project().name() + "”: " + task.name() + "."
                                + task.details()
                                        .by()
                                        .until(agency.get().zone())
                                        .map(until -> " It should be done by " + lasting.due(until) + ".")
                                        .orElse("")),
                        "See what to do",
                        "/c/panes/" + seat.pane() + "/tasks/" + task.id()));
    }
}
