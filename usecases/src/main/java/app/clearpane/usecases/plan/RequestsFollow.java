package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Follows;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.Term;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
    private final ClientsActivities activities;
    private final KeepPlan keepPlan;
    private final PlanBook book;
    private final TheAgency agency;

    RequestsFollow(
            Tasks tasks,
            Requests requests,
            ClientsActivities activities,
            KeepPlan keepPlan,
            PlanBook book,
            TheAgency agency) {
        this.tasks = tasks;
        this.requests = requests;
        this.activities = activities;
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

    /** Our activities of a project that have not begun and can wait for something. */
    List<PlannedTask> mayWait(ProjectId project) {
        return activities(book.fresh(project)).mayNeed();
    }

    /** The day on which an activity is forecast to begin; empty if it began or is not in the plan any more. */
    public Optional<LocalDate> begins(ProjectId project, ItemId activity) {
        ProjectPlan plan = book.fresh(project);
        return activities(plan).mayNeed().stream()
                .filter(task -> task.id().equals(activity))
                .findFirst()
                .map(task -> plan.firstDay(task.id()));
    }

    /**
     * Puts a draft into the plan.
     *
     * @param as the activity of the client's that stands for it; empty for one of its own
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void stand(Request request, Optional<ItemId> as, Actor by) {
        Follows what = new Follows.OfRequest(request.id());
        ItemId activity = as.orElseGet(
                () -> activities.make(request.project(), what, request.title(), days(request), goesOut(request), by));
        if (as.isPresent()) {
            activities.take(activity, what);
        } else {
            requests.hasActivity(request.id(), activity);
        }
        if (request.term() instanceof Term.BeforeStart before) {
            activities.waits(before.activity(), activity, before.lagDays(), by);
        }
        keepPlan.changed(request.project());
    }

    /** When a draft is to go out; empty if that was not said. */
    @Transactional(readOnly = true)
    public Optional<LocalDate> goesOut(Request request) {
        return request.leaves()
                .flatMap(leaving -> leaving.day(
                        phase -> book.fresh(request.project()).phases().stream()
                                .filter(one -> one.id().equals(phase))
                                .map(Phase::startsOn)
                                .findFirst(),
                        agency.calendar()));
    }

    /** The activity that was made for a draft begins no earlier than it goes out. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void leaves(Request request) {
        Optional<ItemId> own = requests.ownActivity(request.id());
        if (own.isPresent()
                && goesOut(request)
                        .filter(day -> activities.notBefore(own.get(), day))
                        .isPresent()) {
            keepPlan.changed(request.project());
        }
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

    /** What stands for it moves as the request did. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void moved(Request request, Actor by) {
        Follows what = new Follows.OfRequest(request.id());
        if (request.standing() instanceof Request.Withdrawn) {
            activities.find(request.project(), what).ifPresent(task -> activities.drop(task, by));
        } else if (request.sent().isPresent()) {
            LocalDate last = request.sent()
                    .orElseThrow()
                    .due()
                    .atZone(agency.get().zone())
                    .toLocalDate();
            activities.follow(request.project(), what, request.turn(), Optional.of(last), by);
        }
    }

    /** A draft was taken away: so is the activity that was made for it; one that was there before stays. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takenAway(Request request, Actor by) {
        requests.ownActivity(request.id()).flatMap(tasks::find).ifPresent(task -> activities.drop(task, by));
    }
}
