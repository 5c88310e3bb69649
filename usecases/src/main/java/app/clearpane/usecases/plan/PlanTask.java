package app.clearpane.usecases.plan;

import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Reason;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Verdict;
import app.clearpane.core.exposure.Visibility;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.Network;
import app.clearpane.core.plan.Outline;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.plan.TaskLine;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.DeleteItem;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.exposure.WatchArrivals;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Plans tasks: adds them, changes them, gives them to somebody, takes them away. */
@Component
public class PlanTask {
    private final Tasks tasks;
    private final Items items;
    private final DeleteItem deleteItem;
    private final WatchArrivals arrivals;
    private final NewItem newItem;
    private final Projects projects;
    private final Panes panes;
    private final Seats seats;
    private final Assignees doers;
    private final TellDoer tellDoer;
    private final KeepPlan keepPlan;
    private final PlanBook book;
    private final TheAgency agency;
    private final AuditLog audit;

    PlanTask(
            Tasks tasks,
            Items items,
            DeleteItem deleteItem,
            WatchArrivals arrivals,
            NewItem newItem,
            Projects projects,
            Panes panes,
            Seats seats,
            Assignees doers,
            TellDoer tellDoer,
            KeepPlan keepPlan,
            PlanBook book,
            TheAgency agency,
            AuditLog audit) {
        this.tasks = tasks;
        this.items = items;
        this.deleteItem = deleteItem;
        this.arrivals = arrivals;
        this.newItem = newItem;
        this.projects = projects;
        this.panes = panes;
        this.seats = seats;
        this.doers = doers;
        this.tellDoer = tellDoer;
        this.keepPlan = keepPlan;
        this.book = book;
        this.agency = agency;
        this.audit = audit;
    }

    /**
     * A task to be made.
     *
     * @param after the tasks it waits for
     * @param notes what to know, for whoever does it
     */
    public record Wanted(
            String name,
            Optional<ItemId> parent,
            Optional<UUID> phase,
            int days,
            Optional<LocalDate> due,
            Side side,
            PlannedTask.Hands hands,
            List<Task.After> after,
            Optional<ItemId> milestone,
            String notes) {
        /** With nothing to know beside its name. */
        public Wanted(
                String name,
                Optional<ItemId> parent,
                Optional<UUID> phase,
                int days,
                Optional<LocalDate> due,
                Side side,
                PlannedTask.Hands hands,
                List<Task.After> after,
                Optional<ItemId> milestone) {
            this(name, parent, phase, days, due, side, hands, after, milestone, "");
        }

        /** One of ours that waits for nothing. */
        public static Wanted ours(String name, Optional<UUID> phase, int days) {
            return new Wanted(
                    name,
                    Optional.empty(),
                    phase,
                    days,
                    Optional.empty(),
                    Side.OURS,
                    PlannedTask.Hands.NOBODY,
                    List.of(),
                    Optional.empty());
        }
    }

    /** Adds what one line says. @return the task */
    @Transactional
    public ItemId line(
            ProjectId project, String line, Optional<ItemId> parent, Optional<UUID> phase, Person.OfTeam by) {
        NotFound.unless(projects.find(project));
        TaskLine read;
        try {
            read = TaskLine.parse(line, agency.today(), agency.calendar());
        } catch (IllegalArgumentException e) {
            throw Refused.because(
                    "Nothing was saved: " + e.getMessage() + ". For instance “Draw the map @teo 3d fri”.");
        }
        String name;
        try {
            name = new Name(read.name()).value();
        } catch (IllegalArgumentException e) {
            throw Refused.because("The task: " + e.getMessage());
        }
        Optional<Assignees.Doer> doer = read.who().map(who -> doers.named(project, who));
        return add(
                project,
                new Wanted(
                        name,
                        parent,
                        phase,
                        read.days().orElse(1),
                        read.due(),
                        doer.map(Assignees.Doer::side).orElse(Side.OURS),
                        doer.map(Assignees.Doer::hands).orElse(PlannedTask.Hands.NOBODY),
                        List.of(),
                        Optional.empty()),
                by);
    }

    /** Adds one of ours for somebody of the team. */
    @Transactional
    public ItemId ours(ProjectId project, String name, String notes, Optional<TeamMemberId> doer, Person.OfTeam by) {
        PlannedTask.Hands hands = doer.map(id -> new PlannedTask.Hands(
                        Optional.empty(), Optional.of(id), doers.nameOf(id).orElse("")))
                .orElse(PlannedTask.Hands.NOBODY);
        return add(
                project,
                new Wanted(
                        name,
                        Optional.empty(),
                        Optional.empty(),
                        1,
                        Optional.empty(),
                        Side.OURS,
                        hands,
                        List.of(),
                        Optional.empty(),
                        notes),
                by);
    }

    /** Adds a task. */
    @Transactional
    public ItemId add(ProjectId project, Wanted wanted, Person.OfTeam by) {
        ItemId id = make(project, wanted, tasks.nextPosition(project), by);
        ProjectPlan plan = keepPlan.changed(project);
        audit.append(
                project, id.value(), new PlanActs.TaskAdded(by.actor(), wanted.name(), wanted.days(), wanted.side()));
        given(plan, id, Optional.empty(), by.actor());
        return id;
    }

    /** Adds many at once. */
    @Transactional
    void addAll(ProjectId project, List<Wanted> all, Person.OfTeam by) {
        int position = tasks.nextPosition(project);
        List<ItemId> made = new ArrayList<>();
        for (Wanted wanted : all) {
            made.add(make(project, wanted, position++, by));
        }
        ProjectPlan plan = keepPlan.changed(project);
        made.forEach(id -> given(plan, id, Optional.empty(), by.actor()));
    }

    private ItemId make(ProjectId project, Wanted wanted, int position, Person.OfTeam by) {
        wanted.parent()
                .ifPresent(parent -> NotFound.unless(
                        tasks.find(parent).filter(found -> found.project().equals(project))));
        ItemId id = newItem.add(project, ContentKind.TASKS, wanted.name(), wanted.parent(), by.actor());
        Task task = new Task(
                id,
                wanted.parent(),
                wanted.name(),
                wanted.side(),
                new Task.Shape(wanted.days(), Optional.empty(), wanted.after(), OptionalInt.empty()),
                Stage.TO_DO,
                Task.Actual.NONE);
        PlannedTask.Details details = new PlannedTask.Details(
                wanted.phase().filter(phase -> wanted.parent().isEmpty()),
                wanted.milestone(),
                Optional.empty(),
                wanted.due().map(Due::on).orElse(Due.NONE),
                app.clearpane.core.plan.Priority.USUAL,
                List.of(),
                wanted.notes(),
                "",
                PlannedTask.Also.NOWHERE);
        PlannedTask planned = new PlannedTask(task, project, position, wanted.hands(), details, 1);
        mayGive(planned, by);
        tasks.add(planned);
        return id;
    }

    /** TaskDifferences a task. @throws Refused if it would wait for itself, naming the circle */
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
                form.deliverable() == null
                        ? before.details().deliverable()
                        : read.where().deliverable(),
                due(before, read.due()),
                read.priority(),
                read.labels(),
                read.notes(),
                read.repeats(),
                also(before, form, read.where().alsoPhases()));
        PlannedTask wanted =
                new PlannedTask(task, before.project(), before.position(), doer.hands(), details, form.revision());
        save(before, wanted, by);
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

    /** Saves a task that was changed, with all that follows. */
    private void save(PlannedTask before, PlannedTask wanted, Person.OfTeam by) {
        if (!before.hands().contact().equals(wanted.hands().contact())) {
            mayGive(wanted, by);
        }
        noCircle(wanted);
        arrivals.watch(before.project(), by.actor());
        tasks.change(wanted, agency.now());
        ProjectPlan plan = keepPlan.changed(before.project());
        audit.append(
                before.project(),
                before.id().value(),
                new PlanActs.TaskChanged(by.actor(), wanted.name(), TaskDifferences.between(before, wanted)));
        given(plan, before.id(), Optional.of(before), by.actor());
    }

    /** Moves or stretches a task in time. @param from the first day it may begin @param days how long it takes */
    @Transactional
    public ProjectId reshape(ItemId id, LocalDate from, int days, int revision, Person.OfTeam by) {
        PlannedTask before = NotFound.unless(tasks.find(id));
        save(before, reshaped(before, from, days, revision), by);
        return before.project();
    }

    /** The plan as it would be with a task moved or stretched; nothing is saved. */
    public ProjectPlan ifReshaped(ItemId id, LocalDate from, int days) {
        PlannedTask before = NotFound.unless(tasks.find(id));
        ProjectPlan plan = book.planOf(NotFound.unless(projects.find(before.project())));
        return plan.with(reshaped(before, from, days, before.revision()));
    }

    private static PlannedTask reshaped(PlannedTask before, LocalDate from, int days, int revision) {
        Task old = before.task();
        if (days < 1 || days > Task.MOST_DAYS) {
            throw Refused.because("A task takes 1 to " + Task.MOST_DAYS + " working days. Nothing was changed.");
        }
        boolean begun = old.actual().began().isPresent();
        Task task = new Task(
                old.id(),
                old.parent(),
                old.name(),
                old.side(),
                new Task.Shape(
                        days,
                        begun ? old.shape().notBefore() : Optional.of(from),
                        old.shape().after(),
                        old.shape().effortMinutes()),
                old.stage(),
                begun ? new Task.Actual(old.actual().began(), old.actual().done(), Optional.empty()) : old.actual());
        return new PlannedTask(task, before.project(), before.position(), before.hands(), before.details(), revision);
    }

    private void noCircle(PlannedTask wanted) {
        List<Task> all = new ArrayList<>(tasks.ofProject(wanted.project()).stream()
                .map(PlannedTask::task)
                .filter(task -> !task.id().equals(wanted.id()))
                .toList());
        all.add(wanted.task());
        wanted.task().shape().after().stream()
                .filter(link -> all.stream().noneMatch(task -> task.id().equals(link.predecessor())))
                .findAny()
                .ifPresent(gone -> {
                    throw Refused.changedMeanwhile(
                            "Something this task waits for was deleted meanwhile. Nothing was saved; choose again.");
                });
        List<Task> activities;
        try {
            activities = new Outline(all).activities();
        } catch (IllegalArgumentException gone) {
            throw Refused.changedMeanwhile("What this task is a part of was deleted meanwhile. Nothing was saved.");
        }
        Network.circle(activities).ifPresent(circle -> {
            throw Refused.because("These would wait for each other: "
                    + String.join(" → ", circle.stream().map(Task::name).toList())
                    + ". Nothing was saved; take one of the links away.");
        });
    }

    /** Whether a task may be given to whom it is meant for (V6). */
    private void mayGive(PlannedTask task, Person.OfTeam by) {
        if (task.hands().contact().isEmpty()) {
            return;
        }
        if (!by.role().mayPublish()) {
            throw Refused.because(
                    "Only managers and owners give tasks to the client’s people. Nothing was saved; leave it with "
                            + "us and ask "
                            + manager(task.project()) + ".");
        }
        if (!doers.clientsDoTasks()) {
            throw Refused.because(
                    "Clients are given no tasks here: the owner switched that off under Ceilings. Nothing was saved.");
        }
        heldBack(task).ifPresent(verdict -> {
            throw Refused.because("“" + verdict.source().orElse(task.name()) + "” is held back by "
                    + verdict.setting().orElseThrow().by().name() + ", so it cannot be given to "
                    + task.hands().name() + ". Nothing was saved; let it go on the Panes page first.");
        });
    }

    private String manager(ProjectId project) {
        return projects.find(project)
                .map(Project::manager)
                .flatMap(doers::nameOf)
                .orElse("one of them");
    }

    /** What holds a task back at every pane at which its doer sits. */
    private Optional<Verdict> heldBack(PlannedTask task) {
        var contact = task.hands().contact().orElseThrow();
        Item known = items.ofProject(task.project()).stream()
                .filter(item -> item.id().equals(task.id()))
                .findFirst()
                .orElseThrow();
        Item item = new Item(
                known.id(), known.kind(), known.name(), known.ancestors(), known.state(), java.util.Set.of(contact));
        List<Verdict> verdicts = new ArrayList<>();
        Panes.All all = panes.all(task.project());
        for (SeatRow seat : seats.ofProject(task.project())) {
            if (seat.contact().equals(contact) && seat.state() != SeatState.ENDED) {
                all.panes().stream()
                        .filter(pane -> pane.id().equals(seat.pane()))
                        .forEach(pane -> verdicts.add(Visibility.decide(
                                item,
                                pane,
                                Optional.of(new Seat(
                                        seat.id(),
                                        seat.pane(),
                                        contact,
                                        seat.role(),
                                        SeatState.ACCEPTED,
                                        seat.leadVoice())),
                                agency.now())));
            }
        }
        boolean everywhere = !verdicts.isEmpty()
                && verdicts.stream()
                        .allMatch(one -> one.reason() == Reason.HELD_BACK || one.reason() == Reason.HELD_BACK_ABOVE);
        return everywhere ? Optional.of(verdicts.get(0)) : Optional.empty();
    }

    /** After a task was given to somebody else: whose turn it is, when it began for the client, and a mail. */
    private void given(ProjectPlan plan, ItemId id, Optional<PlannedTask> before, Actor by) {
        PlannedTask task = plan.task(id).orElseThrow();
        boolean same = before.filter(was -> was.hands().equals(task.hands())
                        && was.task().side() == task.task().side())
                .isPresent();
        if (same) {
            return;
        }
        Side was = before.map(one -> ProjectPlan.isClientsTurn(one) ? Side.CLIENTS : Side.OURS)
                .orElse(Side.OURS);
        if (task.hands().contact().isPresent()) {
            if (tellDoer.ifReady(plan, task, by)) {
                keepPlan.changed(task.project());
            }
        } else if (was == Side.CLIENTS) {
            tasks.turned(id, TurnEvent.TASK_WITH_US, by, agency.now());
        }
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
        save(
                before,
                new PlannedTask(
                        before.task(),
                        before.project(),
                        before.position(),
                        chosen.hands(),
                        new PlannedTask.Details(
                                was.phase(),
                                was.milestone(),
                                was.deliverable(),
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
        save(
                before,
                new PlannedTask(
                        before.task(),
                        before.project(),
                        before.position(),
                        before.hands(),
                        new PlannedTask.Details(
                                was.phase(),
                                Optional.of(milestone),
                                was.deliverable(),
                                was.by(),
                                was.priority(),
                                was.labels(),
                                was.notes(),
                                was.repeats(),
                                was.also()),
                        before.revision()),
                by);
    }

    /** Takes a task away with its parts; it can be brought back. */
    @Transactional
    public ProjectId delete(ItemId id, Actor by) {
        PlannedTask task = NotFound.unless(tasks.find(id));
        deleteItem.delete(id, by);
        keepPlan.changed(task.project());
        audit.append(task.project(), id.value(), new PlanActs.TaskDeleted(by, task.name()));
        return task.project();
    }

    /** The names of the panes at which a deleted task is seen at once if it is brought back. */
    public List<String> seenIfBroughtBack(ProjectId project, ItemId id) {
        return arrivals.ifBroughtBack(project, id);
    }

    /** Brings it back. @param sure whether it was said who will see it at once, and confirmed */
    @Transactional
    public ProjectId restore(ItemId id, boolean sure, Actor by) {
        Items.Row item = NotFound.unless(items.find(id).filter(row -> row.kind() == ContentKind.TASKS));
        deleteItem.restore(id, sure, by);
        keepPlan.changed(item.project());
        audit.append(item.project(), id.value(), new PlanActs.TaskRestored(by, item.name()));
        return item.project();
    }
}
