package app.clearpane.usecases.plan.task;

import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.shell.TheAgency;
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
        Task moved = task.movedTo(stage, agency.today());
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
