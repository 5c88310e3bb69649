package app.clearpane.usecases.plan.task;

import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.TaskLine;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Writes down a task from a few words. */
@Component
public class WriteDownTask {
    private final Projects projects;
    private final Assignees doers;
    private final TheAgency agency;
    private final AddTask addTask;

    WriteDownTask(Projects projects, Assignees doers, TheAgency agency, AddTask addTask) {
        this.projects = projects;
        this.doers = doers;
        this.agency = agency;
        this.addTask = addTask;
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
        return addTask.add(
                project,
                new AddTask.Wanted(
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
        return addTask.add(
                project,
                new AddTask.Wanted(
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
}
