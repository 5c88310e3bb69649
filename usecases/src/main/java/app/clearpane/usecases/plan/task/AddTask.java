package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.plan.KeepPlan;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Adds tasks to a plan. */
@Component
public class AddTask {
    private final Tasks tasks;
    private final NewItem newItem;
    private final KeepPlan keepPlan;
    private final MayGive mayGive;
    private final TaskGiven given;
    private final AuditLog audit;

    AddTask(Tasks tasks, NewItem newItem, KeepPlan keepPlan, MayGive mayGive, TaskGiven given, AuditLog audit) {
        this.tasks = tasks;
        this.newItem = newItem;
        this.keepPlan = keepPlan;
        this.mayGive = mayGive;
        this.given = given;
        this.audit = audit;
    }

    /**
     * A task to be made.
     *
     * @param after the tasks it waits for
     * @param notes what to know, for whoever does it
     */
    public record Wanted(
            String name,
            Optional<ItemId> parent,
            Optional<UUID> phase,
            int days,
            Optional<LocalDate> due,
            Side side,
            PlannedTask.Hands hands,
            List<Task.After> after,
            Optional<ItemId> milestone,
            String notes) {
        /** With nothing to know beside its name. */
        public Wanted(
                String name,
                Optional<ItemId> parent,
                Optional<UUID> phase,
                int days,
                Optional<LocalDate> due,
                Side side,
                PlannedTask.Hands hands,
                List<Task.After> after,
                Optional<ItemId> milestone) {
            this(name, parent, phase, days, due, side, hands, after, milestone, "");
        }

        /** One of ours that waits for nothing. */
        public static Wanted ours(String name, Optional<UUID> phase, int days) {
            return new Wanted(
                    name,
                    Optional.empty(),
                    phase,
                    days,
                    Optional.empty(),
                    Side.OURS,
                    PlannedTask.Hands.NOBODY,
                    List.of(),
                    Optional.empty());
        }
    }

    /** Adds a task. */
    @Transactional
    public ItemId add(ProjectId project, Wanted wanted, Person.OfTeam by) {
        ItemId id = make(project, wanted, tasks.nextPosition(project), by);
        ProjectPlan plan = keepPlan.changed(project);
        audit.append(
                project, id.value(), new PlanActs.TaskAdded(by.actor(), wanted.name(), wanted.days(), wanted.side()));
        given.given(plan, id, Optional.empty(), by.actor());
        return id;
    }

    /** Adds many at once. */
    @Transactional
    void addAll(ProjectId project, List<Wanted> all, Person.OfTeam by) {
        int position = tasks.nextPosition(project);
        List<ItemId> made = new ArrayList<>();
        for (Wanted wanted : all) {
            made.add(make(project, wanted, position++, by));
        }
        ProjectPlan plan = keepPlan.changed(project);
        made.forEach(id -> given.given(plan, id, Optional.empty(), by.actor()));
    }

    private ItemId make(ProjectId project, Wanted wanted, int position, Person.OfTeam by) {
        wanted.parent()
                .ifPresent(parent -> NotFound.unless(
                        tasks.find(parent).filter(found -> found.project().equals(project))));
        ItemId id = newItem.add(project, ContentKind.TASKS, wanted.name(), wanted.parent(), by.actor());
        Task task = new Task(
                id,
                wanted.parent(),
                wanted.name(),
                wanted.side(),
                new Task.Shape(wanted.days(), Optional.empty(), wanted.after(), OptionalInt.empty()),
                Stage.TO_DO,
                Task.Actual.NONE);
        PlannedTask.Details details = new PlannedTask.Details(
                wanted.phase().filter(phase -> wanted.parent().isEmpty()),
                wanted.milestone(),
                Optional.empty(),
                wanted.due().map(Due::on).orElse(Due.NONE),
                app.clearpane.core.plan.Priority.USUAL,
                List.of(),
                wanted.notes(),
                "",
                PlannedTask.Also.NOWHERE);
        PlannedTask planned = new PlannedTask(task, project, position, wanted.hands(), details, 1);
        mayGive.refuseUnlessItMay(planned, by);
        tasks.add(planned);
        return id;
    }
}
