package app.clearpane.web.plan.team;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Round;
import app.clearpane.formats.plan.Calendars;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.exposure.client.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.plan.Feeds;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.store.project.Projects;
import app.clearpane.store.project.client.VisibleDates;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.PlanForClients;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;

/**
 * What a calendar address holds: for the team what is theirs or a project's, for a seat exactly what its holder may see
 * now, and nothing once they may not.
 */
@Component
class FeedOf {
    private final Projects projects;
    private final PlanBook book;
    private final People people;
    private final Seats seats;
    private final Viewers viewers;
    private final VisibleTasks visibleTasks;
    private final VisibleDates visibleDates;
    private final VisibleDeliverables visibleDeliverables;
    private final PlanForClients plans;
    private final TeamSight sight;
    private final TheAgency agency;

    FeedOf(
            Projects projects,
            PlanBook book,
            People people,
            Seats seats,
            Viewers viewers,
            VisibleTasks visibleTasks,
            VisibleDates visibleDates,
            VisibleDeliverables visibleDeliverables,
            PlanForClients plans,
            TeamSight sight,
            TheAgency agency) {
        this.projects = projects;
        this.book = book;
        this.people = people;
        this.seats = seats;
        this.viewers = viewers;
        this.visibleTasks = visibleTasks;
        this.visibleDates = visibleDates;
        this.visibleDeliverables = visibleDeliverables;
        this.plans = plans;
        this.sight = sight;
        this.agency = agency;
    }

    /** Its entries; empty where whoever made it may no longer see them. */
    Optional<List<Calendars.Entry>> entriesOf(Feeds.Feed feed) {
        if (feed.seat() != null) {
            return seats.find(feed.seat()).flatMap(this::viewer).map(this::seen);
        }
        Optional<TeamMember> member = Optional.ofNullable(feed.member()).flatMap(people::member);
        if (member.isEmpty()) {
            return Optional.empty();
        }
        Set<ProjectId> hidden = sight.hiddenFrom(member.get().id(), member.get().role());
        if (feed.project() != null) {
            return projects.find(feed.project())
                    .filter(project -> !hidden.contains(project.id()))
                    .map(project -> entries(book.planOf(project), task -> true, true));
        }
        List<Calendars.Entry> own = new ArrayList<>();
        book.planOf(projects.active().stream()
                        .filter(project -> !hidden.contains(project.id()))
                        .toList())
                .values()
                .forEach(plan -> own.addAll(entries(
                        plan,
                        task -> feed.everything()
                                || task.isOnDeskOf(member.get().id()),
                        feed.everything())));
        return Optional.of(own);
    }

    private Optional<Viewer> viewer(SeatRow seat) {
        return viewers.viewerAt(seat.pane(), seat.contact(), agency.now());
    }

    private List<Calendars.Entry> entries(ProjectPlan plan, Predicate<PlannedTask> which, boolean milestones) {
        List<Calendars.Entry> entries = new ArrayList<>();
        Project project = plan.project();
        plan.tasks().stream()
                .filter(task -> plan.outline().isLeaf(task.id()) && which.test(task))
                .filter(task -> task.task().stage() != Stage.DONE)
                .forEach(task -> {
                    LocalDate day = task.details()
                            .due()
                            .orElseGet(() -> plan.hasDays(task.id()) ? plan.lastDay(task.id()) : plan.today());
                    entries.add(entry(
                            task.id().value(),
                            project.planRevision(),
                            task.name(),
                            project.fullName(),
                            day,
                            task.task().stage() == Stage.DROPPED));
                });
        if (milestones) {
            plan.milestones()
                    .forEach(milestone -> entries.add(entry(
                            milestone.id().value(),
                            project.planRevision(),
                            milestone.name(),
                            project.fullName(),
                            plan.lastDay(milestone.id()),
                            false)));
        }
        return entries;
    }

    /** What the holder of a seat sees: their tasks, the dates, what they are asked to sign. */
    private List<Calendars.Entry> seen(Viewer viewer) {
        String heading = viewers.heading(viewer).project();
        List<Calendars.Entry> entries = new ArrayList<>();
        visibleTasks.all(viewer).stream()
                .filter(task -> task.yours() && task.stage() != Stage.DONE && task.due() != null)
                .forEach(task -> entries.add(entry(
                        task.id().value(),
                        viewer.planRevision(),
                        task.name(),
                        heading,
                        java.util.Objects.requireNonNull(task.due()),
                        task.stage() == Stage.DROPPED)));
        List<Milestone> milestones = visibleDates.milestones(viewer);
        Map<?, LocalDate> days = plans.days(viewer, milestones);
        milestones.forEach(milestone -> entries.add(entry(
                milestone.id().value(),
                viewer.planRevision(),
                milestone.name(),
                heading,
                days.getOrDefault(milestone.id(), milestone.fallsOn()),
                false)));
        visibleDeliverables.rounds(viewer).stream()
                .filter(Round::open)
                .filter(round -> asked(round, viewer.contact()))
                .forEach(round -> entries.add(new Calendars.Entry(
                        round.id() + "@clearpane",
                        0,
                        "Sign off: " + name(viewer, round),
                        heading,
                        LocalDate.ofInstant(round.dueAt(), agency.get().zone()),
                        Optional.of(round.dueAt()),
                        false)));
        return entries;
    }

    private String name(Viewer viewer, Round round) {
        return visibleDeliverables
                .version(viewer, round.version())
                .flatMap(version -> visibleDeliverables.find(viewer, version.deliverable()))
                .map(VisibleDeliverables.Row::name)
                .orElse("");
    }

    private static boolean asked(Round round, ContactId contact) {
        return round.signatories().stream().anyMatch(one -> one.contact().equals(contact))
                && round.saidBy(contact).isEmpty();
    }

    private static Calendars.Entry entry(
            UUID id, int sequence, String name, String project, LocalDate day, boolean cancelled) {
        return new Calendars.Entry(id + "@clearpane", sequence, name, project, day, Optional.empty(), cancelled);
    }
}
