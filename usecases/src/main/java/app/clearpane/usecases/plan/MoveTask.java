package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.formats.plan.Repeats;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.exposure.WatchArrivals;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Moves tasks from stage to stage, with what follows: whose turn it is, what may begin now, what comes again. */
@Component
public class MoveTask {
    private final Tasks tasks;
    private final TaskSteps steps;
    private final NewItem newItem;
    private final WatchArrivals arrivals;
    private final KeepPlan keepPlan;
    private final TellDoer tellDoer;
    private final TheAgency agency;
    private final AuditLog audit;
    private final ApplicationEventPublisher events;

    MoveTask(
            Tasks tasks,
            TaskSteps steps,
            NewItem newItem,
            WatchArrivals arrivals,
            KeepPlan keepPlan,
            TellDoer tellDoer,
            TheAgency agency,
            AuditLog audit,
            ApplicationEventPublisher events) {
        this.events = events;
        this.tasks = tasks;
        this.steps = steps;
        this.newItem = newItem;
        this.arrivals = arrivals;
        this.keepPlan = keepPlan;
        this.tellDoer = tellDoer;
        this.agency = agency;
        this.audit = audit;
    }

    /**
     * Moves a task; of one that gathers others, all leaves that are not there yet. @return the stage it had, and its
     * project
     */
    @Transactional
    public Moved move(ItemId id, Stage stage, Actor by) {
        PlannedTask task = NotFound.unless(tasks.find(id));
        arrivals.watch(task.project(), by);
        ProjectPlan before = keepPlan.changed(task.project());
        Stage was = before.outline().stage(id);
        List<Task> leaves = before.outline().leavesOf(id);
        leaves.forEach(leaf -> move(before.task(leaf.id()).orElseThrow(), stage, by));
        after(task.project(), by);
        if (stage == was) {
            return new Moved(task.project(), was);
        }
        audit.append(task.project(), id.value(), new PlanActs.TaskMoved(act(stage), by, task.name(), was));
        return new Moved(task.project(), was);
    }

    private static Act act(Stage stage) {
        return switch (stage) {
            case TO_DO -> Act.TASK_TO_DO;
            case UNDER_WAY -> Act.TASK_UNDER_WAY;
            case IN_CHECK -> Act.TASK_IN_CHECK;
            case DONE -> Act.TASK_DONE;
            case DROPPED -> Act.TASK_DROPPED;
        };
    }

    /** Where a task was moved from. */
    public record Moved(ProjectId project, Stage was) {}

    /**
     * Moves a task to a step of its project, as a form says it. @return the step it was at, and its project @throws
     * Refused if there is no such step
     */
    @Transactional
    public Stepped toStep(ItemId id, String step, Actor by) {
        PlannedTask task = NotFound.unless(tasks.find(id));
        TaskSteps.OfProject known = steps.ofProject(task.project());
        Steps.Step wanted = known.steps()
                .read(step)
                .orElseThrow(() -> Refused.changedMeanwhile(
                        "There is no such step any more; the names of the steps were changed meanwhile. "
                                + "Nothing was moved."));
        ProjectPlan before = keepPlan.changed(task.project());
        Steps.Step was = known.stepOf(id, before.outline().stage(id));
        move(id, wanted.stage(), by);
        before.outline().leavesOf(id).forEach(leaf -> steps.put(leaf.id(), wanted));
        keepPlan.changed(task.project());
        if (was.stage() == wanted.stage() && !was.equals(wanted)) {
            audit.append(
                    task.project(), id.value(), new PlanActs.TaskStepped(by, task.name(), was.name(), wanted.name()));
        }
        return new Stepped(task.project(), was);
    }

    /** The step a task was moved from. */
    public record Stepped(ProjectId project, Steps.Step was) {}

    /** Moves several tasks to a step. */
    @Transactional
    public void all(List<ItemId> ids, String step, Actor by) {
        ids.forEach(id -> toStep(id, step, by));
    }

    private void move(PlannedTask planned, Stage stage, Actor by) {
        Task task = planned.task();
        if (task.stage() == stage) {
            return;
        }
        LocalDate today = agency.today();
        Optional<LocalDate> began = stage == Stage.TO_DO
                ? task.actual().began().filter(day -> task.side() == Side.CLIENTS)
                : stage == Stage.DROPPED
                        ? task.actual().began()
                        : task.actual().began().or(() -> Optional.of(today));
        Task moved = new Task(
                task.id(),
                task.parent(),
                task.name(),
                task.side(),
                task.shape(),
                stage,
                new Task.Actual(
                        began,
                        stage == Stage.DONE ? Optional.of(today) : Optional.empty(),
                        stage.open() && stage != Stage.TO_DO ? task.actual().remaining() : Optional.empty()));
        tasks.change(planned.with(moved), agency.now());
        events.publishEvent(new TaskMoved(task.id(), stage, by));
        if (stage.open() != task.stage().open()) {
            tasks.turned(
                    task.id(),
                    stage == Stage.DONE
                            ? TurnEvent.TASK_DONE
                            : stage == Stage.DROPPED
                                    ? TurnEvent.TASK_DROPPED
                                    : ProjectPlan.isClientsTurn(planned.with(moved))
                                            ? TurnEvent.TASK_GIVEN_TO_CLIENT
                                            : TurnEvent.TASK_WITH_US,
                    by,
                    agency.now());
        }
        if (stage == Stage.DONE && !planned.details().repeats().isEmpty()) {
            again(planned, by);
        }
    }

    /** The next one of a task that repeats. */
    private void again(PlannedTask done, Actor by) {
        LocalDate from =
                done.details().due().or(() -> done.task().shape().notBefore()).orElse(agency.today());
        Repeats.next(done.details().repeats(), from, from).ifPresent(day -> {
            ItemId id = newItem.add(
                    done.project(), ContentKind.TASKS, done.name(), done.task().parent(), by);
            Task old = done.task();
            Task next = new Task(
                    id,
                    old.parent(),
                    old.name(),
                    old.side(),
                    new Task.Shape(
                            old.shape().days(),
                            done.details().due().isPresent() ? Optional.empty() : Optional.of(day),
                            List.of(),
                            old.shape().effortMinutes()),
                    Stage.TO_DO,
                    Task.Actual.NONE);
            PlannedTask.Details said = done.details();
            tasks.add(new PlannedTask(
                    next,
                    done.project(),
                    done.position(),
                    done.hands(),
                    new PlannedTask.Details(
                            said.phase(),
                            said.milestone(),
                            Optional.empty(),
                            said.by().moved(said.due().map(due -> day)),
                            said.priority(),
                            said.labels(),
                            said.notes(),
                            said.repeats(),
                            said.also()),
                    1));
        });
    }

    /** What waited for it may begin: what the client's people are to do is sent to them. */
    private void after(ProjectId project, Actor by) {
        ProjectPlan plan = keepPlan.changed(project);
        boolean sent = false;
        for (PlannedTask task : plan.open()) {
            sent |= tellDoer.ifReady(plan, task, by);
        }
        if (sent) {
            keepPlan.changed(project);
        }
    }
}
