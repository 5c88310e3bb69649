package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.task.MoveToStep;
import app.clearpane.usecases.plan.task.WriteDownTask;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.shell.frame.TeamController;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Adds tasks to a plan and moves several of them. */
@TeamController
class PlanActsController {
    private final WriteDownTask writeDownTask;
    private final Tasks tasks;
    private final MoveToStep moveToStep;

    PlanActsController(WriteDownTask writeDownTask, Tasks tasks, MoveToStep moveToStep) {
        this.writeDownTask = writeDownTask;
        this.tasks = tasks;
        this.moveToStep = moveToStep;
    }

    @PostMapping("/t/projects/{project}/tasks")
    String add(
            @PathVariable ProjectId project,
            @RequestParam String line,
            @RequestParam(defaultValue = "") String phase,
            @RequestParam(defaultValue = "") String parent,
            @AuthenticationPrincipal Person.OfTeam me) {
        ItemId added = writeDownTask.line(
                project, line, PlanController.id(parent).map(ItemId::new), PlanController.id(phase), me);
        return "redirect:/t/projects/" + project + "/plan?added=" + (phase.isEmpty() ? "none" : phase) + "#task-"
                + added;
    }

    @PostMapping("/t/projects/{project}/tasks/many")
    String many(
            @PathVariable ProjectId project,
            @RequestParam(required = false) @Nullable List<ItemId> task,
            @RequestParam String stage,
            @AuthenticationPrincipal Person me) {
        if (task == null || task.isEmpty()) {
            throw Refused.because("Nothing is ticked. Tick the tasks that are meant, then choose again.");
        }
        List<ItemId> ofThis = new ArrayList<>(task);
        ofThis.removeIf(id ->
                tasks.find(id).filter(found -> found.project().equals(project)).isEmpty());
        moveToStep.all(ofThis, stage, me.actor());
        return "redirect:/t/projects/" + project + "/plan";
    }
}
