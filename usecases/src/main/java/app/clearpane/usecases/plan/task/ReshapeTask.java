package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Moves or stretches a task in time. */
@Component
public class ReshapeTask {
    private final Tasks tasks;
    private final Projects projects;
    private final PlanBook book;
    private final SaveTask save;

    ReshapeTask(Tasks tasks, Projects projects, PlanBook book, SaveTask save) {
        this.tasks = tasks;
        this.projects = projects;
        this.book = book;
        this.save = save;
    }

    /** Moves or stretches a task in time. @param from the first day it may begin @param days how long it takes */
    @Transactional
    public ProjectId reshape(ItemId id, LocalDate from, int days, int revision, Person.OfTeam by) {
        PlannedTask before = NotFound.unless(tasks.find(id));
        save.save(before, reshaped(before, from, days, revision), by);
        return before.project();
    }

    /** The plan as it would be with a task moved or stretched; nothing is saved. */
    public ProjectPlan ifReshaped(ItemId id, LocalDate from, int days) {
        PlannedTask before = NotFound.unless(tasks.find(id));
        ProjectPlan plan = book.planOf(NotFound.unless(projects.find(before.project())));
        return plan.with(reshaped(before, from, days, before.revision()));
    }

    private static PlannedTask reshaped(PlannedTask before, LocalDate from, int days, int revision) {
        Task old = before.task();
        if (days < 1 || days > Task.MOST_DAYS) {
            throw Refused.because("A task takes 1 to " + Task.MOST_DAYS + " working days. Nothing was changed.");
        }
        boolean begun = old.actual().began().isPresent();
        Task task = new Task(
                old.id(),
                old.parent(),
                old.name(),
                old.side(),
                new Task.Shape(
                        days,
                        begun ? old.shape().notBefore() : Optional.of(from),
                        old.shape().after(),
                        old.shape().effortMinutes()),
                old.stage(),
                begun ? new Task.Actual(old.actual().began(), old.actual().done(), Optional.empty()) : old.actual());
        return new PlannedTask(task, before.project(), before.position(), before.hands(), before.details(), revision);
    }
}
