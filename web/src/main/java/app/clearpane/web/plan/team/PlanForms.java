package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.reminders.Rhythm;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Projects;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.web.shell.forms.FormStates;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** How tasks, steps, reminders and projects stand, for forms that change them. Templates call it {@code planned}. */
@Component
class PlanForms implements FormStates, TemplateHelper {
    private final Tasks tasks;
    private final TaskSteps steps;
    private final PlanBook book;
    private final Projects projects;
    private final Reminders reminders;

    PlanForms(Tasks tasks, TaskSteps steps, PlanBook book, Projects projects, Reminders reminders) {
        this.tasks = tasks;
        this.steps = steps;
        this.book = book;
        this.projects = projects;
        this.reminders = reminders;
    }

    @Override
    public String name() {
        return "planned";
    }

    /** The steps of a project by name, stage after stage. */
    public String steps(Map<Stage, String> named) {
        return Arrays.stream(Stage.values())
                .map(stage -> named.getOrDefault(stage, ""))
                .collect(Collectors.joining("; "));
    }

    /** When people are reminded. */
    public String rhythm(boolean reminds, Rhythm rhythm) {
        return reminds
                ? rhythm.hour() + ":00, every " + rhythm.every() + ", " + rhythm.most() + " times"
                : "nobody is reminded";
    }

    /** Whether a project was put away. */
    public String project(boolean archived) {
        return archived ? "put away" : "worked on";
    }

    @Override
    public List<FormState> states() {
        return List.of(
                FormState.of(
                        "/t/tasks/{task}/stage", "stage", asked -> task(asked).map(this::step)),
                FormState.of(
                        "/t/tasks/{task}/hand-on", "", asked -> task(asked).map(task -> "revision " + task.revision())),
                FormState.of(
                        "/t/tasks/{task}/delete", "", asked -> task(asked).map(task -> "revision " + task.revision())),
                FormState.of("/t/projects/{project}/steps", "", asked -> project(asked)
                        .map(project -> steps(named(steps.ofProject(project).steps())))),
                FormState.of("/t/projects/{project}/archive", "", this::projectNow),
                FormState.of("/t/projects/{project}/restore", "", this::projectNow),
                FormState.of(
                        "/t/calendar/reminders",
                        "",
                        asked -> Optional.of(rhythm(
                                reminders.rhythm().isPresent(),
                                reminders.rhythm().orElse(Rhythm.USUAL)))));
    }

    private static Map<Stage, String> named(Steps steps) {
        return Arrays.stream(Stage.values()).collect(Collectors.toMap(stage -> stage, stage -> steps.own().stream()
                .filter(step -> step.stage() == stage)
                .map(Steps.Step::name)
                .collect(Collectors.joining(", "))));
    }

    private String step(PlannedTask task) {
        ProjectPlan plan = book.planOf(projects.find(task.project()).orElseThrow());
        return steps.ofProject(task.project())
                .stepOf(task.id(), plan.outline().stage(task.id()))
                .value();
    }

    private Optional<PlannedTask> task(Asked asked) {
        try {
            return tasks.find(ItemId.of(asked.path("task")));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    private static Optional<ProjectId> project(Asked asked) {
        try {
            return Optional.of(ProjectId.of(asked.path("project")));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    private Optional<String> projectNow(Asked asked) {
        return project(asked).flatMap(projects::find).map(project -> project(project.archivedAt() != null));
    }
}
