package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Lets the plan follow what happens to a deliverable: its making is done when a version is sent, its review when the
 * round closes; one that comes back adds another fix and review.
 */
@Component
public class ReviewsFollow {
    private static final int DAYS_TO_FIX = 3;
    private final Tasks tasks;
    private final NewItem newItem;
    private final TaskMoves moves;
    private final KeepPlan keepPlan;
    private final TheAgency agency;
    private final Clock clock;

    ReviewsFollow(Tasks tasks, NewItem newItem, TaskMoves moves, KeepPlan keepPlan, TheAgency agency, Clock clock) {
        this.tasks = tasks;
        this.newItem = newItem;
        this.moves = moves;
        this.keepPlan = keepPlan;
        this.agency = agency;
        this.clock = clock;
    }

    private List<PlannedTask> reviewsOf(ProjectId project, ItemId deliverable) {
        return tasks.ofProject(project).stream()
                .filter(task ->
                        task.details().deliverable().filter(deliverable::equals).isPresent()
                                && task.task().stage().open())
                .toList();
    }

    /**
     * A version was sent. @param decidedBy the last day on which it is to be decided on, where that is not as the plan
     * has it
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void sent(ProjectId project, ItemId deliverable, Optional<LocalDate> decidedBy, Actor by) {
        List<PlannedTask> open = reviewsOf(project, deliverable);
        open.stream()
                .filter(task -> task.task().side() == Side.OURS)
                .forEach(task -> moves.move(task, Stage.DONE, TurnEvent.TASK_DONE, by));
        open.stream()
                .filter(task -> task.task().side() == Side.CLIENTS)
                .findFirst()
                .ifPresent(task -> moves.move(
                        task,
                        Stage.IN_CHECK,
                        TurnEvent.TASK_GIVEN_TO_CLIENT,
                        decidedBy.map(last -> new Task.Remaining(
                                agency.calendar().workingDays(agency.today(), last.plusDays(1)), agency.today())),
                        by));
        if (!open.isEmpty()) {
            keepPlan.changed(project);
        }
    }

    /** A round closed. @param round its number @param agreed whether it was signed */
    @Transactional(propagation = Propagation.MANDATORY)
    public void closed(ProjectId project, ItemId deliverable, int round, boolean agreed, Actor by) {
        reviewsOf(project, deliverable).stream()
                .filter(task -> task.task().side() == Side.CLIENTS
                        && task.task().actual().began().isPresent())
                .findFirst()
                .ifPresent(review -> {
                    moves.move(review, Stage.DONE, TurnEvent.TASK_DONE, by);
                    if (!agreed) {
                        again(review, round, by);
                    }
                    keepPlan.changed(project);
                });
    }

    /** A version was recalled: its review waits to be sent again, and what had been made for it is being made. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void recalled(ProjectId project, ItemId deliverable, Actor by) {
        reviewsOf(project, deliverable).stream()
                .filter(task -> task.task().side() == Side.CLIENTS
                        && task.task().actual().began().isPresent())
                .findFirst()
                .ifPresent(review -> {
                    moves.unsent(review, by);
                    tasks.ofProject(project).stream()
                            .filter(task -> task.task().side() == Side.OURS
                                    && task.task().stage() == Stage.DONE
                                    && task.details()
                                            .deliverable()
                                            .filter(deliverable::equals)
                                            .isPresent()
                                    && follows(review, task))
                            .forEach(making -> moves.move(making, Stage.UNDER_WAY, TurnEvent.TASK_WITH_US, by));
                    keepPlan.changed(project);
                });
    }

    /**
     * A round that one decision closed was opened again: its review goes on, and what was added for the next round is
     * dropped.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void reopened(ProjectId project, ItemId deliverable, Actor by) {
        List<PlannedTask> own = tasks.ofProject(project).stream()
                .filter(task ->
                        task.details().deliverable().filter(deliverable::equals).isPresent())
                .toList();
        own.stream()
                .filter(task ->
                        task.task().side() == Side.CLIENTS && task.task().stage() == Stage.DONE)
                .max(Comparator.comparing(task -> task.task().actual().done().orElse(LocalDate.MIN)))
                .ifPresent(review -> {
                    Optional<PlannedTask> fix = own.stream()
                            .filter(task -> task.task().stage() == Stage.TO_DO && follows(task, review))
                            .findFirst();
                    Optional<PlannedTask> next = fix.flatMap(made ->
                            own.stream().filter(task -> follows(task, made)).findFirst());
                    next.ifPresent(later ->
                            relink(project, later.id(), review.id(), fix.get().id()));
                    fix.ifPresent(task -> moves.move(task, Stage.DROPPED, TurnEvent.TASK_DROPPED, by));
                    next.ifPresent(task -> moves.move(task, Stage.DROPPED, TurnEvent.TASK_DROPPED, by));
                    moves.move(review, Stage.IN_CHECK, TurnEvent.TASK_GIVEN_TO_CLIENT, by);
                    keepPlan.changed(project);
                });
    }

    private static boolean follows(PlannedTask task, PlannedTask other) {
        return task.task().shape().after().stream()
                .anyMatch(link -> link.predecessor().equals(other.id()));
    }

    /** What waits for one task waits for another from now on, but for one that stays as it is. */
    private void relink(ProjectId project, ItemId from, ItemId to, ItemId but) {
        for (PlannedTask waiting : tasks.ofProject(project)) {
            List<Task.After> links = waiting.task().shape().after();
            if (!waiting.id().equals(but)
                    && links.stream().anyMatch(link -> link.predecessor().equals(from))) {
                List<Task.After> moved = links.stream()
                        .map(link -> link.predecessor().equals(from) ? new Task.After(to, link.lagDays()) : link)
                        .toList();
                tasks.change(waiting.with(waiting.task().waitingFor(moved)), clock.instant());
            }
        }
    }

    /** What waited for the review waits for the next one from now on. */
    private void again(PlannedTask review, int round, Actor by) {
        String name = review.name().replaceAll(", round \\d+$", "");
        PlannedTask fix =
                add(review, "Changes: " + name + ", round " + (round + 1), Side.OURS, DAYS_TO_FIX, review.id(), by);
        PlannedTask next = add(
                review,
                name + ", round " + (round + 1),
                Side.CLIENTS,
                review.task().shape().days(),
                fix.id(),
                by);
        relink(review.project(), review.id(), next.id(), fix.id());
    }

    private PlannedTask add(PlannedTask like, String name, Side side, int days, ItemId after, Actor by) {
        String shortened = name.length() > 120 ? name.substring(0, 120) : name;
        ItemId id = newItem.add(
                like.project(), ContentKind.TASKS, shortened, like.task().parent(), by);
        Task task = new Task(
                id,
                like.task().parent(),
                shortened,
                side,
                new Task.Shape(days, Optional.empty(), List.of(new Task.After(after, 0)), OptionalInt.empty()),
                Stage.TO_DO,
                Task.Actual.NONE);
        PlannedTask.Details was = like.details();
        PlannedTask planned = new PlannedTask(
                task,
                like.project(),
                like.position(),
                PlannedTask.Hands.NOBODY,
                new PlannedTask.Details(
                        was.phase(),
                        side == Side.CLIENTS ? was.milestone() : Optional.empty(),
                        was.follows(),
                        Due.NONE,
                        was.priority(),
                        was.labels(),
                        "",
                        "",
                        PlannedTask.Also.NOWHERE),
                1);
        tasks.add(planned);
        return planned;
    }
}
