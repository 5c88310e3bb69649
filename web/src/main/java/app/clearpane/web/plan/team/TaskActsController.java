package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.SayOfTask;
import app.clearpane.usecases.plan.task.AgainForm;
import app.clearpane.usecases.plan.task.ChangeTask;
import app.clearpane.usecases.plan.task.DeleteTask;
import app.clearpane.usecases.plan.task.DueForm;
import app.clearpane.usecases.plan.task.MoveToStep;
import app.clearpane.usecases.plan.task.TaskForm;
import app.clearpane.usecases.plan.task.WriteDownTask;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is done to a task. */
@TeamController
@ForOutsideMakers
class TaskActsController {
    private final SayOfTask sayOfTask;
    private final Tasks tasks;
    private final WriteDownTask writeDownTask;
    private final ChangeTask changeTask;
    private final DeleteTask deleteTask;
    private final MoveToStep moveToStep;

    TaskActsController(
            SayOfTask sayOfTask,
            Tasks tasks,
            WriteDownTask writeDownTask,
            ChangeTask changeTask,
            DeleteTask deleteTask,
            MoveToStep moveToStep) {
        this.moveToStep = moveToStep;
        this.deleteTask = deleteTask;
        this.changeTask = changeTask;
        this.writeDownTask = writeDownTask;
        this.sayOfTask = sayOfTask;
        this.tasks = tasks;
    }

    @PostMapping("/t/tasks/{task}")
    String change(
            @PathVariable ItemId task,
            TaskForm form,
            DueForm due,
            AgainForm again,
            @AuthenticationPrincipal Person.OfTeam me) {
        changeTask.change(task, form, due, again, me);
        return "redirect:/t/tasks/" + task;
    }

    @PostMapping("/t/tasks/{task}/hand-on")
    String handOn(
            @PathVariable ItemId task,
            @RequestParam(defaultValue = "") String doer,
            @AuthenticationPrincipal Person.OfTeam me) {
        changeTask.handOn(task, doer, me);
        return "redirect:/t/people";
    }

    @PostMapping("/t/tasks/{task}/stage")
    String stage(
            @PathVariable ItemId task,
            @RequestParam String stage,
            @RequestParam(defaultValue = "") String from,
            @AuthenticationPrincipal Person me) {
        MoveToStep.Stepped moved = moveToStep.toStep(task, stage, me.actor());
        return from.equals("task")
                ? "redirect:/t/tasks/" + task
                : "redirect:/t/projects/" + moved.project() + "/plan?moved=" + task + "&was="
                        + moved.was().value();
    }

    @PostMapping("/t/tasks/{task}/comments")
    String say(
            @PathVariable ItemId task,
            @RequestParam String said,
            @RequestParam(defaultValue = "false") boolean teamOnly,
            @AuthenticationPrincipal Person.OfTeam me) {
        sayOfTask.byTeam(task, said, teamOnly, me);
        return "redirect:/t/tasks/" + task + "#said";
    }

    @PostMapping("/t/tasks/{task}/parts")
    String addPart(@PathVariable ItemId task, @RequestParam String line, @AuthenticationPrincipal Person.OfTeam me) {
        writeDownTask.line(NotFound.unless(tasks.find(task)).project(), line, Optional.of(task), Optional.empty(), me);
        return "redirect:/t/tasks/" + task + "#parts";
    }

    @PostMapping("/t/tasks/{task}/delete")
    String delete(@PathVariable ItemId task, @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + deleteTask.delete(task, me.actor()) + "/plan?deleted=" + task;
    }

    @PostMapping("/t/tasks/{task}/restore")
    String restore(
            @PathVariable ItemId task,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        deleteTask.restore(task, sure, me.actor());
        return "redirect:/t/tasks/" + task;
    }
}
