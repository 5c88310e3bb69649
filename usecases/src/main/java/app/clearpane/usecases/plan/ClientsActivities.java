package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.Follows;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Priority;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.exposure.SetShowing;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** Activities of the client's that stand for what they are to supply, sign or pay, and move with it. */
@Component
class ClientsActivities {
    private final Tasks tasks;
    private final NewItem newItem;
    private final SetShowing setShowing;
    private final TaskMoves moves;
    private final KeepPlan keepPlan;
    private final TheAgency agency;

    ClientsActivities(
            Tasks tasks, NewItem newItem, SetShowing setShowing, TaskMoves moves, KeepPlan keepPlan, TheAgency agency) {
        this.tasks = tasks;
        this.newItem = newItem;
        this.setShowing = setShowing;
        this.moves = moves;
        this.keepPlan = keepPlan;
        this.agency = agency;
    }

    /** The activity that stands for something. */
    Optional<PlannedTask> find(ProjectId project, Follows what) {
        return tasks.ofProject(project).stream()
                .filter(task -> task.details().follows().filter(what::equals).isPresent())
                .findFirst();
    }

    /**
     * Makes one. It is held back from everybody outside, since what it is called after is seen only by those it is
     * addressed to.
     *
     * @param days working days it takes, 1 or more
     * @param notBefore the first day it may begin
     */
    ItemId make(ProjectId project, Follows what, String name, int days, Optional<LocalDate> notBefore, Actor by) {
        ItemId id = newItem.add(project, ContentKind.TASKS, name, Optional.empty(), by);
        setShowing.holdBackEverywhere(id, true, by);
        Task task = new Task(
                id,
                Optional.empty(),
                name,
                Side.CLIENTS,
                new Task.Shape(days, notBefore, List.of(), OptionalInt.empty()),
                Stage.TO_DO,
                Task.Actual.NONE);
        tasks.add(new PlannedTask(
                task,
                project,
                tasks.nextPosition(project),
                PlannedTask.Hands.NOBODY,
                new PlannedTask.Details(
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(what),
                        Due.NONE,
                        Priority.USUAL,
                        List.of(),
                        "",
                        "",
                        PlannedTask.Also.NOWHERE),
                1));
        return id;
    }

    /** Has it begin no earlier than on a day. @return whether it did before */
    boolean notBefore(ItemId activity, LocalDate day) {
        Optional<PlannedTask> found = tasks.find(activity)
                .filter(task -> task.task().stage() == Stage.TO_DO)
                .filter(task -> !task.task().shape().notBefore().equals(Optional.of(day)));
        found.ifPresent(task -> tasks.change(
                task.with(new Task(
                        task.id(),
                        task.task().parent(),
                        task.name(),
                        task.task().side(),
                        new Task.Shape(
                                task.task().shape().days(),
                                Optional.of(day),
                                task.task().shape().after(),
                                task.task().shape().effortMinutes()),
                        task.task().stage(),
                        task.task().actual())),
                agency.now()));
        return found.isPresent();
    }

    /** Has one that is there stand for something. */
    void take(ItemId activity, Follows what) {
        PlannedTask task = tasks.find(activity).orElseThrow();
        tasks.change(task.with(task.details().following(what)), agency.now());
    }

    /** Has a task wait for it. @param lagDays working days in between */
    void waits(ItemId waiting, ItemId activity, int lagDays, Actor by) {
        moves.waits(tasks.find(waiting).orElseThrow(), new Task.After(activity, lagDays), by);
    }

    /**
     * Moves it, if it is still open.
     *
     * @param holder who holds what it stands for; nobody if that is done
     * @param last the day by which it is to be done, if it was sent and there is one
     */
    void follow(ProjectId project, Follows what, Turn holder, Optional<LocalDate> last, Actor by) {
        find(project, what).filter(task -> task.task().stage().open()).ifPresent(task -> {
            Stage stage =
                    holder == Turn.NOBODYS ? Stage.DONE : holder == Turn.CLIENTS ? Stage.UNDER_WAY : Stage.IN_CHECK;
            if (task.task().stage() != stage) {
                moves.move(
                        task,
                        stage,
                        event(holder),
                        holder == Turn.OURS ? Optional.of(days(1)) : last.map(this::until),
                        by);
                keepPlan.changed(project);
            }
        });
    }

    private static TurnEvent event(Turn holder) {
        return switch (holder) {
            case CLIENTS -> TurnEvent.TASK_GIVEN_TO_CLIENT;
            case OURS -> TurnEvent.TASK_WITH_US;
            case NOBODYS -> TurnEvent.TASK_DONE;
        };
    }

    private Task.Remaining until(LocalDate last) {
        return days(agency.calendar().workingDays(agency.today(), last.plusDays(1)));
    }

    private Task.Remaining days(int days) {
        return new Task.Remaining(Math.max(1, days), agency.today());
    }

    /** It is not wanted any more. */
    void drop(PlannedTask task, Actor by) {
        if (task.task().stage().open()) {
            moves.move(task, Stage.DROPPED, TurnEvent.TASK_DROPPED, by);
            keepPlan.changed(task.project());
        }
    }
}
