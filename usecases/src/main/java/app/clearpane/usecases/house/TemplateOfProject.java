package app.clearpane.usecases.house;

import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.files.FolderTree;
import app.clearpane.core.plan.PhaseTemplate;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.UsualSupply;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What a project that was would be as a template. */
@Component
class TemplateOfProject {
    private final Projects projects;
    private final PlanBook plans;
    private final TaskSteps steps;
    private final SigningDefaults signing;
    private final TheAgency agency;
    private final ProjectFiles files;

    TemplateOfProject(
            Projects projects,
            PlanBook plans,
            TaskSteps steps,
            SigningDefaults signing,
            TheAgency agency,
            ProjectFiles files) {
        this.projects = projects;
        this.plans = plans;
        this.steps = steps;
        this.signing = signing;
        this.agency = agency;
        this.files = files;
    }

    /**
     * Reads it: its phases with their working days, the tasks in them, the names of its steps, what is looked at before
     * a release, what its last milestone is called, and its folders that say what belongs in them. @throws Refused if
     * it has no phase yet
     */
    PhaseTemplate read(ProjectId id) {
        Project project = NotFound.unless(projects.find(id));
        ProjectPlan plan = plans.planOf(project);
        WorkingCalendar calendar = agency.calendar();
        List<PhaseTemplate.Part> parts = new ArrayList<>();
        for (Phase phase : plan.phases()) {
            List<PhaseTemplate.Usual> usual = plan.tasks().stream()
                    .filter(task -> plan.outline().isLeaf(task.id())
                            && isIn(plan, task, phase.id())
                            && task.details().follows().isEmpty()
                            && task.task().stage() != Stage.DROPPED)
                    .limit(PhaseTemplate.MOST)
                    .map(task -> new PhaseTemplate.Usual(
                            said(task),
                            task.task().side(),
                            Math.max(1, task.task().shape().days())))
                    .toList();
            parts.add(new PhaseTemplate.Part(
                    phase.name(),
                    Math.max(
                            1,
                            calendar.workingDays(
                                    phase.startsOn(), phase.endsOn().plusDays(1))),
                    usual));
        }
        if (parts.isEmpty()) {
            throw Refused.because(project.fullName() + " has no phase yet, so there is nothing to make a template of.");
        }
        String finish = projects.milestones(id).stream()
                .reduce((earlier, later) -> later)
                .map(Milestone::name)
                .orElse("Delivery");
        Map<Stage, List<String>> named = steps.ofProject(id).steps().own().stream()
                .collect(Collectors.groupingBy(
                        Steps.Step::stage, Collectors.mapping(Steps.Step::name, Collectors.toList())));
        return new PhaseTemplate(
                "Like " + project.name(),
                finish,
                parts,
                named,
                signing.usualOf(id).checklist(),
                new UsualSupply(foldersOf(id), List.of()));
    }

    /** The folders of a project that say what belongs in them. */
    private List<UsualSupply.UsualFolder> foldersOf(ProjectId project) {
        FolderTree tree = new FolderTree(files.folders(project));
        return tree.rows().stream()
                .map(FolderTree.Row::folder)
                .filter(folder -> !folder.words().isEmpty())
                .limit(PhaseTemplate.MOST)
                .map(folder -> new UsualSupply.UsualFolder(
                        tree.path(folder.id()).stream()
                                .map(step -> step.name().replaceAll("[/:]", " "))
                                .toList(),
                        folder.words()))
                .toList();
    }

    /** Whether a task stands in a phase, by itself or by what it is a part of. */
    private static boolean isIn(ProjectPlan plan, PlannedTask task, UUID phase) {
        Optional<UUID> own = task.details().phase();
        return own.isPresent()
                ? own.get().equals(phase)
                : task.task()
                        .parent()
                        .flatMap(parent -> plan.tasks().stream()
                                .filter(one -> one.id().equals(parent))
                                .findFirst())
                        .filter(parent -> isIn(plan, parent, phase))
                        .isPresent();
    }

    private static String said(PlannedTask task) {
        return task.name().startsWith("-") ? task.name().substring(1).strip() : task.name();
    }
}
