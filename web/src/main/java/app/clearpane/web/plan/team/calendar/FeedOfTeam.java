package app.clearpane.web.plan.team.calendar;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.plan.Calendars;
import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Feeds;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.shell.TeamSight;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;

/** What one of the team has subscribed to. */
@Component
class FeedOfTeam {
    private final Projects projects;
    private final PlanBook book;
    private final People people;
    private final TeamSight sight;

    FeedOfTeam(Projects projects, PlanBook book, People people, TeamSight sight) {
        this.projects = projects;
        this.book = book;
        this.people = people;
        this.sight = sight;
    }

    /** Its entries; empty where whoever made it may no longer see them. */
    Optional<List<Calendars.Entry>> entriesOf(Feeds.Feed feed) {
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
                    entries.add(FeedOf.entry(
                            task.id().value(),
                            project.planRevision(),
                            task.name(),
                            project.fullName(),
                            day,
                            task.task().stage() == Stage.DROPPED));
                });
        if (milestones) {
            plan.milestones()
                    .forEach(milestone -> entries.add(FeedOf.entry(
                            milestone.id().value(),
                            project.planRevision(),
                            milestone.name(),
                            project.fullName(),
                            plan.lastDay(milestone.id()),
                            false)));
        }
        return entries;
    }
}
