package app.clearpane.web.plan.team;

import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.TaskSteps;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** The steps of plans. What was read is remembered as long as the plan is the same. */
@Component
class StepBook {
    private final TaskSteps steps;
    private final Map<ProjectId, Remembered> remembered = new ConcurrentHashMap<>();

    StepBook(TaskSteps steps) {
        this.steps = steps;
    }

    private record Remembered(ProjectPlan plan, TaskSteps.OfProject steps) {}

    /** The steps of a plan, and at which each of its tasks is. */
    TaskSteps.OfProject stepsOf(ProjectPlan plan) {
        ProjectId project = plan.project().id();
        Remembered known = remembered.get(project);
        if (known == null || known.plan() != plan) {
            known = new Remembered(plan, steps.ofProject(project));
            remembered.put(project, known);
        }
        return known.steps();
    }
}
