package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.Follows;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Priority;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.Term;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Lets the plan follow a request: an activity of the client's stands for it, which begins when it is sent and is done
 * when all of it was accepted, and what needs it waits for that.
 */
@Component
public class RequestsFollow {
    private final Tasks tasks;
    private final Requests requests;
    private final NewItem newItem;
    private final TaskMoves moves;
    private final KeepPlan keepPlan;
    private final PlanBook book;
    private final TheAgency agency;

    RequestsFollow(
            Tasks tasks,
            Requests requests,
            NewItem newItem,
            TaskMoves moves,
            KeepPlan keepPlan,
            PlanBook book,
            TheAgency agency) {
        this.tasks = tasks;
        this.requests = requests;
        this.newItem = newItem;
        this.moves = moves;
        this.keepPlan = keepPlan;
        this.book = book;
        this.agency = agency;
    }

    /**
     * What of a plan has to do with requests.
     *
     * @param mayNeed our activities that have not begun and can wait for something, in their order
     * @param mayStand the activities of the client's that can stand for a request: not begun, standing for nothing else
     * @param standing those that stand for one
     */
    public record Activities(
            ProjectPlan plan,
            List<PlannedTask> mayNeed,
            List<PlannedTask> mayStand,
            Map<RequestId, PlannedTask> standing) {}

    /** Those of a project. */
    public Activities activities(Project project) {
        return activities(book.planOf(project));
    }

    private static Activities activities(ProjectPlan plan) {
        return new Activities(
                plan,
                toDo(plan, Side.OURS),
                toDo(plan, Side.CLIENTS),
                plan.tasks().stream()
                        .filter(task -> task.details().request().isPresent())
                        .collect(Collectors.toMap(
                                task -> task.details().request().orElseThrow(), task -> task, (one, other) -> one)));
    }

    private static List<PlannedTask> toDo(ProjectPlan plan, Side side) {
        return plan.tasks().stream()
                .filter(task -> plan.outline().isLeaf(task.id())
                        && task.task().side() == side
                        && task.task().stage() == Stage.TO_DO
                        && task.task().actual().began().isEmpty()
                        && (side == Side.OURS || task.details().follows().isEmpty()))
                .toList();
    }

    /** The day on which an activity is forecast to begin; empty if it began or is not in the plan any more. */
    public Optional<LocalDate> begins(ProjectId project, ItemId activity) {
        ProjectPlan plan = book.fresh(project);
        return activities(plan).mayNeed().stream()
                .filter(task -> task.id().equals(activity))
                .findFirst()
                .map(task -> plan.firstDay(task.id()));
    }

    /** The activity that stands for a request. */
    public Optional<PlannedTask> activityOf(ProjectId project, RequestId request) {
        return tasks.ofProject(project).stream()
                .filter(task -> task.details().request().filter(request::equals).isPresent())
                .findFirst();
    }

    /**
     * Puts a draft into the plan.
     *
     * @param as the activity of the client's that stands for it; empty for one of its own
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void stand(Request request, Optional<ItemId> as, Actor by) {
        int days = days(request);
        ItemId activity = as.orElseGet(() -> own(request, days, by));
        if (as.isPresent()) {
            tasks.change(following(tasks.find(activity).orElseThrow(), request.id()), agency.now());
        } else {
            requests.hasActivity(request.id(), activity);
        }
        if (request.term() instanceof Term.BeforeStart before) {
            moves.waits(tasks.find(before.activity()).orElseThrow(), new Task.After(activity, before.lagDays()), by);
        }
        keepPlan.changed(request.project());
    }

    /** How many working days it takes, as it is sent today. */
    private int days(Request request) {
        LocalDate next = agency.calendar().addWorkingDays(agency.today(), 1);
        if (request.term() instanceof Term.WithinDays within) {
            return within.days();
        }
        Optional<LocalDate> last = request.term() instanceof Term.ByDay by
                ? Optional.of(by.day())
                : begins(request.project(), ((Term.BeforeStart) request.term()).activity())
                        .map(begins -> ((Term.BeforeStart) request.term())
                                .when(begins, agency.calendar())
                                .day());
        return Math.min(
                Term.MOST_DAYS,
                Math.max(
                        1,
                        last.map(day -> agency.calendar().workingDays(next, day.plusDays(1)))
                                .orElse(1)));
    }

    private static PlannedTask following(PlannedTask task, RequestId request) {
        PlannedTask.Details was = task.details();
        return task.with(new PlannedTask.Details(
                was.phase(),
                was.milestone(),
                Optional.of(new Follows.OfRequest(request)),
                was.by(),
                was.priority(),
                was.labels(),
                was.notes(),
                was.repeats(),
                was.also()));
    }

    private ItemId own(Request request, int days, Actor by) {
        ItemId id = newItem.add(request.project(), ContentKind.TASKS, request.title(), Optional.empty(), by);
        Task task = new Task(
                id,
                Optional.empty(),
                request.title(),
                Side.CLIENTS,
                new Task.Shape(days, Optional.empty(), List.of(), OptionalInt.empty()),
                Stage.TO_DO,
                Task.Actual.NONE);
        tasks.add(new PlannedTask(
                task,
                request.project(),
                tasks.nextPosition(request.project()),
                PlannedTask.Hands.NOBODY,
                new PlannedTask.Details(
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(new Follows.OfRequest(request.id())),
                        Due.NONE,
                        Priority.USUAL,
                        List.of(),
                        "",
                        "",
                        PlannedTask.Also.NOWHERE),
                1));
        return id;
    }

    /** What stands for it moves as the request did. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void moved(Request request, Actor by) {
        activityOf(request.project(), request.id())
                .filter(task -> task.task().stage().open())
                .ifPresent(task -> {
                    if (follow(task, request, by)) {
                        keepPlan.changed(request.project());
                    }
                });
    }

    private boolean follow(PlannedTask task, Request request, Actor by) {
        if (request.standing() instanceof Request.Withdrawn) {
            moves.move(task, Stage.DROPPED, TurnEvent.TASK_DROPPED, by);
        } else if (request.isDone()) {
            moves.move(task, Stage.DONE, TurnEvent.TASK_DONE, by);
        } else if (request.turn() == Turn.CLIENTS && task.task().stage() != Stage.UNDER_WAY) {
            moves.move(
                    task,
                    Stage.UNDER_WAY,
                    TurnEvent.TASK_GIVEN_TO_CLIENT,
                    request.sent().map(this::remaining),
                    by);
        } else if (request.turn() == Turn.OURS
                && request.sent().isPresent()
                && task.task().stage() != Stage.IN_CHECK) {
            moves.move(
                    task,
                    Stage.IN_CHECK,
                    TurnEvent.TASK_WITH_US,
                    Optional.of(new Task.Remaining(1, agency.today())),
                    by);
        } else {
            return false;
        }
        return true;
    }

    private Task.Remaining remaining(Request.Sent sent) {
        LocalDate last = sent.due().atZone(agency.get().zone()).toLocalDate();
        return new Task.Remaining(
                Math.max(1, agency.calendar().workingDays(agency.today(), last.plusDays(1))), agency.today());
    }

    /** A draft was taken away: so is the activity that was made for it; one that was there before stays. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takenAway(Request request, Actor by) {
        requests.ownActivity(request.id())
                .flatMap(tasks::find)
                .filter(task -> task.task().stage().open())
                .ifPresent(task -> {
                    moves.move(task, Stage.DROPPED, TurnEvent.TASK_DROPPED, by);
                    keepPlan.changed(request.project());
                });
    }
}
