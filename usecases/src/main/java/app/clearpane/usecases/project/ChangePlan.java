package app.clearpane.usecases.project;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Covers;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.DeleteItem;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.plan.KeepPlan;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Changes the phases and milestones of a project, and what it is called. */
@Component
public class ChangePlan {
    private static final int LONGEST_LINE = 400;
    private final Projects projects;
    private final NewItem newItem;
    private final DeleteItem deleteItem;
    private final People people;
    private final KeepPlan keepPlan;
    private final AuditLog audit;
    private final Clock clock;

    ChangePlan(
            Projects projects,
            NewItem newItem,
            DeleteItem deleteItem,
            People people,
            KeepPlan keepPlan,
            AuditLog audit,
            Clock clock) {
        this.projects = projects;
        this.newItem = newItem;
        this.deleteItem = deleteItem;
        this.people = people;
        this.keepPlan = keepPlan;
        this.audit = audit;
        this.clock = clock;
    }

    @Transactional
    public void phase(ProjectId project, UUID id, PhaseForm form, Actor by) {
        Phase phase = NotFound.unless(projects.phase(project, id));
        Input input = new Input();
        Optional<LocalDate> starts = input.day("The first day", form.startsOn());
        Optional<LocalDate> ends = input.day("The last day", form.endsOn());
        input.require(
                starts.isEmpty() || ends.isEmpty() || !ends.get().isBefore(starts.get()),
                "The last day of " + phase.name() + " is before its first.");
        Optional<Phase.Stage> stage = input.one("How far it is", form.stage(), Phase.Stage::valueOf);
        Optional<Name> name = input.name("The phase", form.name() == null ? phase.name() : form.name());
        String words =
                input.text("What is done in it", Objects.requireNonNullElse(form.words(), phase.words()), LONGEST_LINE);
        input.allGood();
        move(
                project,
                new Phase(
                        id,
                        name.orElseThrow().value(),
                        starts.orElseThrow(),
                        ends.orElseThrow(),
                        stage.orElseThrow(),
                        words,
                        form.revision()),
                by);
    }

    /** Adds a phase behind the others. */
    @Transactional
    public void addPhase(ProjectId project, String name, String startsOn, String endsOn, Actor by) {
        NotFound.unless(projects.find(project));
        Input input = new Input();
        Optional<Name> named = input.name("The phase", name);
        Optional<LocalDate> starts = input.day("The first day", startsOn);
        Optional<LocalDate> ends = input.day("The last day", endsOn);
        input.require(
                starts.isEmpty() || ends.isEmpty() || !ends.get().isBefore(starts.get()),
                "The last day of the phase is before its first.");
        input.allGood();
        Phase phase = new Phase(
                UUID.randomUUID(),
                named.orElseThrow().value(),
                starts.orElseThrow(),
                ends.orElseThrow(),
                Phase.Stage.TO_DO,
                1);
        projects.addPhase(project, phase, projects.phases(project).size());
        keepPlan.changed(project);
        audit.append(project, phase.id(), new PlanActs.PhaseAdded(by, phase.name(), phase.startsOn(), phase.endsOn()));
    }

    /** Puts a phase before the one that it follows. */
    @Transactional
    public void putEarlier(ProjectId project, UUID id, Actor by) {
        Phase phase = NotFound.unless(projects.phase(project, id));
        List<UUID> order =
                new ArrayList<>(projects.phases(project).stream().map(Phase::id).toList());
        int at = order.indexOf(id);
        if (at > 0) {
            Collections.swap(order, at, at - 1);
            projects.orderPhases(project, order);
            keepPlan.changed(project);
            audit.append(
                    project,
                    id,
                    new PlanActs.PhasePutEarlier(
                            by,
                            phase.name(),
                            NotFound.unless(projects.phase(project, order.get(at)))
                                    .name()));
        }
    }

    /** Deletes a phase. @throws Refused while tasks stand in it */
    @Transactional
    public void deletePhase(ProjectId project, UUID id, int revision, Actor by) {
        Phase phase = NotFound.unless(projects.phase(project, id));
        if (!projects.emptyPhases(project).contains(id)) {
            throw Refused.because("Tasks stand in " + phase.name()
                    + " (deleted ones count too). Put them into another phase first; nothing was changed.");
        }
        projects.deletePhase(
                project, new Phase(id, phase.name(), phase.startsOn(), phase.endsOn(), phase.stage(), revision));
        keepPlan.changed(project);
        audit.append(project, id, new PlanActs.PhaseDeleted(by, phase.name()));
    }

    /** Deletes a milestone. @throws Refused if it is the last: a project ends with one */
    @Transactional
    public void deleteMilestone(ProjectId project, ItemId id, Actor by) {
        Milestone milestone = NotFound.unless(milestone(project, id));
        if (projects.milestones(project).size() == 1) {
            throw Refused.because(milestone.name()
                    + " is the only milestone, and the project ends with it. Rename or move it instead.");
        }
        deleteItem.delete(id, by);
        keepPlan.changed(project);
        audit.append(project, id.value(), new PlanActs.MilestoneDeleted(by, milestone.name()));
    }

    private Optional<Milestone> milestone(ProjectId project, ItemId id) {
        return projects.milestones(project).stream()
                .filter(one -> one.id().equals(id))
                .findFirst();
    }

    /** Changes what a project is called, how it is reckoned, its cover and who manages it. */
    @Transactional
    public void details(ProjectId id, DetailsForm form, Actor by) {
        Project project = NotFound.unless(projects.find(id));
        Input input = new Input();
        Optional<Name> name = input.name("The project", form.name());
        Reckoned.requireCurrency(input, form.currency());
        Optional<BigDecimal> tax = Reckoned.tax(input, form.tax());
        input.require(Covers.ALL.contains(form.cover()), "Choose one of the covers.");
        Optional<Integer> payment = form.paymentDays() == null
                        || form.paymentDays().isBlank()
                ? Optional.empty()
                : input.number("The days until an invoice is due", form.paymentDays(), 0, Reckoned.MOST_PAYMENT_DAYS);
        boolean staysOurs =
                project.isOwn() && (form.client() == null || form.client().isBlank());
        Optional<Name> client = staysOurs
                ? Optional.empty()
                : input.name("The client", Objects.requireNonNullElse(form.client(), project.clientName()));
        Optional<TeamMember> manager =
                input.one("Who manages it", form.manager(), TeamMemberId::of).flatMap(people::member);
        input.require(
                manager.filter(one -> one.role().mayPublish()).isPresent(),
                "Choose who manages it: a manager or an owner.");
        input.allGood();
        boolean other = client.isPresent() && !client.get().value().equals(project.clientName());
        ClientId of = other ? people.clientNamed(client.orElseThrow(), clock.instant()) : project.client();
        projects.change(new Project(
                id,
                of,
                client.map(Name::value).orElse(""),
                manager.orElseThrow().id(),
                name.orElseThrow().value(),
                form.cover(),
                form.currency(),
                tax.orElseThrow(),
                payment.orElse(null),
                project.startsOn(),
                project.agreedOn(),
                project.archivedAt(),
                project.ended(),
                project.endedBecause(),
                project.pausedAt(),
                project.pausedBecause(),
                project.planRevision(),
                form.revision()));
        audit.append(
                id,
                id.value(),
                new PlanActs.ProjectChanged(
                        by,
                        project.fullName(),
                        name.orElseThrow().value(),
                        Optional.of(project.name())
                                .filter(before ->
                                        !before.equals(name.orElseThrow().value())),
                        form.currency(),
                        tax.orElseThrow(),
                        form.cover(),
                        manager.orElseThrow().name(),
                        other ? client.map(Name::value) : Optional.empty()));
    }

    /** Changes a phase. */
    @Transactional
    public void move(ProjectId project, Phase wanted, Actor by) {
        projects.changePhase(project, wanted);
        keepPlan.changed(project);
        audit.append(
                project,
                wanted.id(),
                new PlanActs.PhaseChanged(
                        by,
                        wanted.name(),
                        wanted.startsOn(),
                        wanted.endsOn(),
                        wanted.stage().toString(),
                        wanted.words()));
    }

    @Transactional
    public void addMilestone(ProjectId project, String name, String fallsOn, Actor by) {
        NotFound.unless(projects.find(project));
        Input input = new Input();
        Optional<Name> named = input.name("The milestone", name);
        Optional<LocalDate> day = input.day("Its day", fallsOn);
        input.allGood();
        addMilestone(project, named.orElseThrow(), day.orElseThrow(), by);
    }

    /** Adds a milestone. */
    @Transactional
    public ItemId addMilestone(ProjectId project, Name name, LocalDate fallsOn, Actor by) {
        ItemId item = newItem.add(project, ContentKind.DATES, name.value(), Optional.empty(), by);
        projects.addMilestone(item, fallsOn);
        keepPlan.changed(project);
        audit.append(project, item.value(), new PlanActs.MilestoneAdded(by, name.value(), fallsOn));
        return item;
    }

    /** Changes a milestone. */
    @Transactional
    public void milestone(ProjectId project, ItemId id, MilestoneForm form, Actor by) {
        Milestone milestone = NotFound.unless(milestone(project, id));
        Input input = new Input();
        Optional<Name> name = input.name("The milestone", form.name() == null ? milestone.name() : form.name());
        Optional<LocalDate> day = input.day("The day of " + milestone.name(), form.fallsOn());
        input.allGood();
        projects.changeMilestone(
                new Milestone(id, name.orElseThrow().value(), day.orElseThrow(), form.isReached(), form.revision()),
                clock.instant());
        keepPlan.changed(project);
        audit.append(
                project,
                id.value(),
                new PlanActs.MilestoneChanged(by, name.orElseThrow().value(), day.orElseThrow(), form.isReached()));
    }
}
