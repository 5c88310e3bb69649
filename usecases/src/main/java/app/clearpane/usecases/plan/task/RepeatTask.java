package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.formats.plan.Repeats;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Plans the next one of a task that repeats. */
@Component
class RepeatTask {
    private final Tasks tasks;
    private final NewItem newItem;
    private final TheAgency agency;

    RepeatTask(Tasks tasks, NewItem newItem, TheAgency agency) {
        this.tasks = tasks;
        this.newItem = newItem;
        this.agency = agency;
    }

    /** The next one of a task that repeats. */
    void again(PlannedTask done, Actor by) {
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
}
