package app.clearpane.usecases.project;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PhaseTemplate;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.plan.task.AddTask;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Lays out the phases, the finish and the usual tasks of a new project. */
@Component
class LayOutProject {
    private final Projects projects;
    private final NewItem newItem;
    private final TheAgency agency;
    private final AddTask addTask;
    private final TaskSteps steps;
    private final SigningDefaults signing;

    LayOutProject(
            Projects projects,
            NewItem newItem,
            TheAgency agency,
            AddTask addTask,
            TaskSteps steps,
            SigningDefaults signing) {
        this.projects = projects;
        this.newItem = newItem;
        this.agency = agency;
        this.addTask = addTask;
        this.steps = steps;
        this.signing = signing;
    }

    void layOut(Project project, OpenProject.Wanted wanted, PhaseTemplate template, Person.OfTeam by) {
        int position = 0;
        for (PhaseTemplate.Laid phase : template.layOut(wanted.startsOn(), wanted.agreedOn(), agency.calendar())) {
            projects.addPhase(
                    project.id(),
                    new Phase(UUID.randomUUID(), phase.name(), phase.startsOn(), phase.endsOn(), Phase.Stage.TO_DO, 1),
                    position++);
        }
        ItemId finish = newItem.add(project.id(), ContentKind.DATES, template.finish(), Optional.empty(), by.actor());
        projects.addMilestone(finish, wanted.agreedOn());
        if (wanted.usualTasks()) {
            plan(project, wanted, template, finish, by);
            steps.set(project.id(), Steps.PLAIN.named(template.steps(), UUID::randomUUID));
            signing.set(new SigningDefaults.Usual(project.id(), signing.house().terms(), template.checklist(), 0));
        }
    }

    /** The usual tasks one after another; the finish waits for the last. */
    private void plan(
            Project project, OpenProject.Wanted wanted, PhaseTemplate template, ItemId finish, Person.OfTeam by) {
        Map<String, UUID> phases =
                projects.phases(project.id()).stream().collect(Collectors.toMap(Phase::name, Phase::id));
        List<PhaseTemplate.LaidTask> tasks = template.tasks(wanted.startsOn(), wanted.agreedOn(), agency.calendar());
        Optional<ItemId> before = Optional.empty();
        for (int i = 0; i < tasks.size(); i++) {
            PhaseTemplate.LaidTask task = tasks.get(i);
            before = Optional.of(addTask.add(
                    project.id(),
                    new AddTask.Wanted(
                            task.name(),
                            Optional.empty(),
                            Optional.ofNullable(phases.get(task.phase())),
                            task.days(),
                            Optional.empty(),
                            task.side(),
                            PlannedTask.Hands.NOBODY,
                            before.stream().map(one -> new Task.After(one, 0)).toList(),
                            i == tasks.size() - 1 ? Optional.of(finish) : Optional.empty()),
                    by));
        }
    }
}
