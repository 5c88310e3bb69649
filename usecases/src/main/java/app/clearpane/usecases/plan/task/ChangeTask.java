package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.Follows;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Changes a task of a plan. */
@Component
public class ChangeTask {
    private final Tasks tasks;
    private final Items items;
    private final Projects projects;
    private final Assignees doers;
    private final TheAgency agency;
    private final SaveTask save;

    ChangeTask(Tasks tasks, Items items, Projects projects, Assignees doers, TheAgency agency, SaveTask save) {
        this.save = save;
        this.tasks = tasks;
        this.items = items;
        this.projects = projects;
        this.doers = doers;
        this.agency = agency;
    }

    /** Changes a task. @throws Refused if it would wait for itself, naming the circle */
    @Transactional
    public ProjectId change(ItemId id, TaskForm form, DueForm due, AgainForm again, Person.OfTeam by) {
        PlannedTask before = NotFound.unless(tasks.find(id));
        TaskForm.Read read = form.read(before.task().stage(), due, again);
        Assignees.Doer doer = doers.chosen(before.project(), form.doer());
        Task old = before.task();
        Optional<Task.Remaining> remaining = read.remaining().isEmpty()
                ? Optional.empty()
                : old.actual()
                        .remaining()
                        .filter(said -> said.days() == read.remaining().getAsInt())
                        .or(() ->
                                Optional.of(new Task.Remaining(read.remaining().getAsInt(), agency.today())));
        Task task = new Task(
                id,
                old.parent(),
                read.name(),
                doer.side(),
                new Task.Shape(
                        Math.max(read.days(), doer.side() == Side.CLIENTS ? 1 : 0),
                        read.notBefore(),
                        read.after(),
                        read.effort()),
                old.stage(),
                new Task.Actual(
                        read.began(),
                        old.stage() == Stage.DONE
                                ? read.done().or(() -> old.actual().done())
                                : Optional.empty(),
                        remaining));
        PlannedTask.Details details = new PlannedTask.Details(
                old.parent().isPresent() ? Optional.empty() : read.where().phase(),
                read.where().milestone(),
                form.deliverable() == null || before.details().request().isPresent()
                        ? before.details().follows()
                        : read.where().deliverable().map(Follows.OfDeliverable::new),
                due(before, read.due()),
                read.priority(),
                read.labels(),
                read.notes(),
                read.repeats(),
                also(before, form, read.where().alsoPhases()));
        PlannedTask wanted =
                new PlannedTask(task, before.project(), before.position(), doer.hands(), details, form.revision());
        save.save(before, wanted, by);
        return before.project();
    }

    /**
     * By when it is to be done as was chosen; what follows something else of the plan is reckoned once the plan was
     * read anew.
     */
    private Due due(PlannedTask before, Due chosen) {
        chosen.before().ifPresent(rule -> {
            boolean there = !rule.activity().equals(before.id())
                    && items.rows(List.of(rule.activity())).stream()
                            .anyMatch(row -> row.project().equals(before.project()) && !row.deleted());
            if (!there) {
                throw Refused.because(
                        "What it is to be done before is not in this plan any more. Nothing was saved; choose "
                                + "something else.");
            }
        });
        return chosen.before().isEmpty()
                        || !chosen.before().equals(before.details().by().before())
                ? chosen
                : new Due(before.details().due(), chosen.hour(), chosen.before());
    }

    /** Phases of the project beside its own, and members of the team beside whoever does it. */
    private PlannedTask.Also also(PlannedTask before, TaskForm form, List<UUID> alsoPhases) {
        Set<UUID> phases =
                projects.phases(before.project()).stream().map(Phase::id).collect(Collectors.toSet());
        List<PlannedTask.Helper> team = doers.ofProject(before.project()).stream()
                .filter(doer -> form.alsoMembers().contains(doer.value())
                        && !doer.value().equals(form.doer()))
                .flatMap(doer -> doer.hands().member().map(id -> new PlannedTask.Helper(id, doer.name())).stream())
                .toList();
        return new PlannedTask.Also(
                alsoPhases.stream()
                        .filter(phase -> phases.contains(phase) && !form.phase().equals(phase.toString()))
                        .toList(),
                team);
    }

    /** Gives a task to somebody else of the team, or to nobody in person. @param doer as forms name them */
    @Transactional
    public void handOn(ItemId id, String doer, Person.OfTeam by) {
        PlannedTask before = NotFound.unless(tasks.find(id));
        Assignees.Doer chosen = doers.chosen(before.project(), doer);
        if (chosen.side() != Side.OURS || before.task().side() != Side.OURS) {
            throw Refused.because(
                    "Only what we do ourselves is handed on here; open the task to give it to somebody at the "
                            + "client. Nothing was changed.");
        }
        PlannedTask.Also also = new PlannedTask.Also(
                before.details().also().phases(),
                before.details().also().helpers().stream()
                        .filter(helper -> chosen.hands()
                                .member()
                                .filter(helper.id()::equals)
                                .isEmpty())
                        .toList());
        PlannedTask.Details was = before.details();
        save.save(
                before,
                new PlannedTask(
                        before.task(),
                        before.project(),
                        before.position(),
                        chosen.hands(),
                        new PlannedTask.Details(
                                was.phase(),
                                was.milestone(),
                                was.follows(),
                                was.by(),
                                was.priority(),
                                was.labels(),
                                was.notes(),
                                was.repeats(),
                                also),
                        before.revision()),
                by);
    }

    /** Lets a milestone wait for a task. */
    @Transactional
    public void waitsFor(ItemId milestone, ItemId id, Person.OfTeam by) {
        PlannedTask before = NotFound.unless(tasks.find(id));
        PlannedTask.Details was = before.details();
        save.save(
                before,
                new PlannedTask(
                        before.task(),
                        before.project(),
                        before.position(),
                        before.hands(),
                        new PlannedTask.Details(
                                was.phase(),
                                Optional.of(milestone),
                                was.follows(),
                                was.by(),
                                was.priority(),
                                was.labels(),
                                was.notes(),
                                was.repeats(),
                                was.also()),
                        before.revision()),
                by);
    }
}
