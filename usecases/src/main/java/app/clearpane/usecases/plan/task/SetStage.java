package app.clearpane.usecases.plan.task;

import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Sets the stage of one task, with the days and turns that follow from it. */
@Component
class SetStage {
    private final Tasks tasks;
    private final RepeatTask repeat;
    private final TheAgency agency;
    private final ApplicationEventPublisher events;

    SetStage(Tasks tasks, RepeatTask repeat, TheAgency agency, ApplicationEventPublisher events) {
        this.tasks = tasks;
        this.repeat = repeat;
        this.agency = agency;
        this.events = events;
    }

    void set(PlannedTask planned, Stage stage, Actor by) {
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
            repeat.again(planned, by);
        }
    }
}
