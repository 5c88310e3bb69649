package app.clearpane.usecases.followup;

import app.clearpane.core.followup.TaskOfMark;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.people.Actor;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.markup.AnswerMark;
import app.clearpane.usecases.markup.MarkMoved;
import app.clearpane.usecases.plan.task.MoveTask;
import app.clearpane.usecases.plan.task.TaskMoved;
import app.clearpane.usecases.said.Speaker;
import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Keeps a mark and the task that was made of it one in state, whichever of the two is moved, within what moves it. */
@Component
class KeepMarkAndTaskInStep {
    private final Markups markups;
    private final Deliverables deliverables;
    private final Tasks tasks;
    private final MoveTask moveTask;
    private final AnswerMark answerMark;

    KeepMarkAndTaskInStep(
            Markups markups, Deliverables deliverables, Tasks tasks, MoveTask moveTask, AnswerMark answerMark) {
        this.markups = markups;
        this.deliverables = deliverables;
        this.tasks = tasks;
        this.moveTask = moveTask;
        this.answerMark = answerMark;
    }

    /** The task follows its mark. */
    @EventListener
    public void moved(MarkMoved event) {
        markups.find(event.mark()).ifPresent(mark -> follow(mark, event.by()));
    }

    private void follow(Mark mark, Actor by) {
        mark.beside().task().flatMap(tasks::find).ifPresent(task -> TaskOfMark.stage(
                        mark.progress(), task.task().stage())
                .ifPresent(stage -> moveTask.move(task.id(), stage, by)));
    }

    /** The mark follows its task. */
    @EventListener
    public void moved(TaskMoved event) {
        markups.ofTask(event.task()).ifPresent(mark -> {
            List<MarkupProgress.Act> acts = TaskOfMark.acts(event.stage(), mark.progress());
            for (MarkupProgress.Act act : acts) {
                Mark now = markups.find(mark.id()).orElseThrow();
                answerMark.answer(
                        now,
                        new AnswerMark.AnswerForm(
                                act.name(),
                                act == MarkupProgress.Act.SET_ASIDE ? "We took it off our list." : "",
                                "client",
                                now.revision()),
                        List.of(),
                        new Speaker.Following(event.by()));
            }
        });
    }
}
