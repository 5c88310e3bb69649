package app.clearpane.usecases.project;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.ProjectPeople;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Words;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Names who of the team works on a project, and whether its clients read of them. */
@Component
public class NamePeople {
    private static final int LONGEST = 120;
    private final ProjectPeople onProject;
    private final Projects projects;
    private final People people;
    private final AuditLog audit;

    NamePeople(ProjectPeople onProject, Projects projects, People people, AuditLog audit) {
        this.onProject = onProject;
        this.projects = projects;
        this.people = people;
        this.audit = audit;
    }

    /** Names somebody, or says otherwise what they do there. */
    @Transactional
    public void name(ProjectId project, String member, String does, boolean shown, Actor by) {
        NotFound.unless(projects.find(project));
        Input input = new Input();
        Optional<TeamMember> who =
                input.one("Who it is", member, TeamMemberId::of).flatMap(people::member);
        input.require(who.isPresent(), "Choose one of the team.");
        String what = input.text("What they do here", does, LONGEST).strip();
        input.allGood();
        onProject.put(project, who.orElseThrow().id(), what, shown);
        audit.append(
                project,
                project.value(),
                new PeopleActs.PersonOfProject(
                        Act.PERSON_NAMED, by, who.orElseThrow().name(), what, shown));
    }

    /** Names somebody no longer; what they were given stays with them. */
    @Transactional
    public void drop(ProjectId project, TeamMemberId member, Actor by) {
        ProjectPeople.OfUs found = NotFound.unless(onProject.find(project, member));
        onProject.remove(project, member);
        audit.append(
                project,
                project.value(),
                new PeopleActs.PersonOfProject(Act.PERSON_DROPPED, by, found.name(), found.does(), found.shown()));
    }

    /**
     * Closes a project to the rest of the team, or opens it.
     *
     * @param sure whether it was read who sees it no more
     * @throws NeedsConfirmation if it was not
     */
    @Transactional
    public void close(ProjectId id, boolean closed, boolean sure, Actor by) {
        Project project = NotFound.unless(projects.find(id));
        if (onProject.isClosed(id) == closed) {
            return;
        }
        if (closed && !sure) {
            List<String> lose = people.team().stream()
                    .filter(one -> one.role().sees(false, false, false)
                            && !one.role()
                                    .sees(
                                            true,
                                            onProject.find(id, one.id()).isPresent(),
                                            one.id().equals(project.manager())))
                    .map(TeamMember::name)
                    .toList();
            throw new NeedsConfirmation(
                    List.of(
                            lose.isEmpty()
                                    ? "Everybody of us who sees it goes on seeing it."
                                    : Words.listed(lose) + (lose.size() == 1 ? " sees" : " see")
                                            + " nothing of it any more: not its name, its tasks, its files or who "
                                            + "asks for what. What they have in hand there stays theirs and they "
                                            + "cannot open it.",
                            "Owners, its manager and those named for it see it as before. Clients notice nothing."),
                    "Close it to the rest of us");
        }
        onProject.close(id, closed);
        audit.append(
                id,
                id.value(),
                new PeopleActs.PersonOfProject(
                        Act.PROJECT_CLOSED,
                        by,
                        project.fullName(),
                        closed ? "closed to the rest of the team" : "open to the team",
                        closed));
    }

    /** Lets what is said of tasks start for the client, or for the team. */
    @Transactional
    public void sayToClient(ProjectId id, boolean toClient, Actor by) {
        Project project = NotFound.unless(projects.find(id));
        onProject.sayToClient(id, toClient);
        audit.append(
                id,
                id.value(),
                new PeopleActs.PersonOfProject(
                        Act.PROJECT_TALKS,
                        by,
                        project.fullName(),
                        toClient
                                ? "what is said of tasks starts for the client"
                                : "what is said of tasks starts for the team",
                        toClient));
    }

    /** Lets clients read how many hours went into a project, or no more. */
    @Transactional
    public void showHours(ProjectId project, boolean shown, Actor by) {
        NotFound.unless(projects.find(project));
        onProject.showHours(project, shown);
        audit.append(
                project,
                project.value(),
                new PeopleActs.PersonOfProject(Act.HOURS_SHOWN, by, "The hours we spent", "", shown));
    }
}
