package app.clearpane.usecases.plan;

import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Gives the steps of a project's tasks names of the team's own. */
@Component
public class NameSteps {
    private final Projects projects;
    private final TaskSteps steps;
    private final KeepPlan keepPlan;
    private final AuditLog audit;

    NameSteps(Projects projects, TaskSteps steps, KeepPlan keepPlan, AuditLog audit) {
        this.projects = projects;
        this.steps = steps;
        this.keepPlan = keepPlan;
        this.audit = audit;
    }

    /**
     * Takes them as typed: by stage, set apart by commas. @throws Refused if they cannot be told apart or are too many
     */
    @Transactional
    public void typed(ProjectId id, Map<String, String> typed, Actor by) {
        Project project = NotFound.unless(projects.find(id));
        if (Arrays.stream(Stage.values()).noneMatch(stage -> typed.containsKey(stage.name()))) {
            throw Refused.because("No step was said. Nothing was changed.");
        }
        Map<Stage, List<String>> names = new EnumMap<>(Stage.class);
        Arrays.stream(Stage.values())
                .forEach(stage -> names.put(
                        stage, List.of(typed.getOrDefault(stage.name(), "").split(","))));
        try {
            Steps named = steps.steps(id).named(names, UUID::randomUUID);
            steps.set(id, named);
            keepPlan.changed(id);
            audit.append(
                    id,
                    id.value(),
                    new PlanActs.StepsNamed(
                            by,
                            project.name(),
                            named.all().stream().map(Steps.Step::name).toList()));
        } catch (IllegalArgumentException wrong) {
            throw Refused.because(wrong.getMessage() + " Nothing was changed.");
        }
    }
}
