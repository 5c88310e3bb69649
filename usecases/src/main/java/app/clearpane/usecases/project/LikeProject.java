package app.clearpane.usecases.project;

import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PhaseTemplate;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.plan.KeepPlan;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Lays a new project out like an earlier one: its phases over the new days, its tasks with their parts, links and
 * lengths, the names of its steps, its milestones, who signs and what is looked at before a release. Nothing that was
 * done, said or made comes along.
 */
@Component
class LikeProject {
    private final Projects projects;
    private final TaskSteps steps;
    private final SigningDefaults signing;
    private final NewItem newItem;
    private final KeepPlan keepPlan;
    private final TheAgency agency;
    private final TasksLike tasksLike;

    LikeProject(
            Projects projects,
            TaskSteps steps,
            SigningDefaults signing,
            NewItem newItem,
            KeepPlan keepPlan,
            TheAgency agency,
            TasksLike tasksLike) {
        this.tasksLike = tasksLike;
        this.projects = projects;
        this.steps = steps;
        this.signing = signing;
        this.newItem = newItem;
        this.keepPlan = keepPlan;
        this.agency = agency;
    }

    /** The first day of a project that takes as many working days as an earlier one and ends on this day. */
    LocalDate startFor(Project like, LocalDate finish) {
        WorkingCalendar calendar = agency.calendar();
        int days = calendar.workingDays(like.startsOn(), like.agreedOn().plusDays(1));
        LocalDate start = finish;
        while (calendar.workingDays(start, finish.plusDays(1)) < days) {
            start = start.minusDays(1);
        }
        return start;
    }

    /** Lays it out. @param withPeople whether the team's people keep their tasks; the client's never do */
    void lay(Project like, Project wanted, boolean withPeople, Actor by) {
        Map<UUID, UUID> phases = phases(like, wanted);
        Map<ItemId, ItemId> milestones = milestones(like, wanted, by);
        tasksLike.lay(like.id(), wanted.id(), new TasksLike.Places(phases, milestones), withPeople, by);
        SigningDefaults.Usual usual = signing.usualOf(like.id());
        signing.set(new SigningDefaults.Usual(
                wanted.id(),
                usual.terms(),
                usual.checklist(),
                signing.usualOf(wanted.id()).revision()));
        steps.set(
                wanted.id(),
                Steps.PLAIN.named(
                        steps.steps(like.id()).own().stream()
                                .collect(Collectors.groupingBy(
                                        Steps.Step::stage, Collectors.mapping(Steps.Step::name, Collectors.toList()))),
                        UUID::randomUUID));
        keepPlan.changed(wanted.id());
    }

    private Map<UUID, UUID> phases(Project like, Project wanted) {
        WorkingCalendar calendar = agency.calendar();
        List<Phase> old = projects.phases(like.id());
        List<PhaseTemplate.Share> shares = old.stream()
                .map(phase -> new PhaseTemplate.Share(
                        phase.name(),
                        Math.max(
                                1,
                                calendar.workingDays(
                                        phase.startsOn(), phase.endsOn().plusDays(1)))))
                .toList();
        List<PhaseTemplate.Laid> laid = PhaseTemplate.layOut(shares, wanted.startsOn(), wanted.agreedOn(), calendar);
        Map<UUID, UUID> phases = new HashMap<>();
        for (int i = 0; i < laid.size(); i++) {
            UUID id = UUID.randomUUID();
            projects.addPhase(
                    wanted.id(),
                    new Phase(
                            id,
                            laid.get(i).name(),
                            laid.get(i).startsOn(),
                            laid.get(i).endsOn(),
                            Phase.Stage.TO_DO,
                            old.get(i).words(),
                            1),
                    i);
            phases.put(old.get(i).id(), id);
        }
        return phases;
    }

    /** Each as many working days from the start as it was, but none after the finish; the last one on it. */
    private Map<ItemId, ItemId> milestones(Project like, Project wanted, Actor by) {
        WorkingCalendar calendar = agency.calendar();
        Map<ItemId, ItemId> milestones = new HashMap<>();
        List<Milestone> old = projects.milestones(like.id());
        for (Milestone milestone : old) {
            ItemId id = newItem.add(wanted.id(), ContentKind.DATES, milestone.name(), Optional.empty(), by);
            LocalDate day = calendar.addWorkingDays(
                    wanted.startsOn(), Math.max(0, calendar.workingDays(like.startsOn(), milestone.fallsOn())));
            boolean last = milestone.equals(old.get(old.size() - 1));
            projects.addMilestone(id, last || day.isAfter(wanted.agreedOn()) ? wanted.agreedOn() : day);
            milestones.put(milestone.id(), id);
        }
        return milestones;
    }
}
