package app.clearpane.usecases.about;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.AboutPart;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.project.ProjectWords;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says what a project is for, and how it stands. */
@Component
public class SayOfProject {
    private static final int LONGEST_PART = 4_000;
    private static final int LONGEST_SAID = 2_000;
    private final ProjectWords words;
    private final Projects projects;
    private final AuditLog audit;
    private final Clock clock;

    SayOfProject(ProjectWords words, Projects projects, AuditLog audit, Clock clock) {
        this.words = words;
        this.projects = projects;
        this.audit = audit;
        this.clock = clock;
    }

    /** Writes a part. @param revision as it was seen @throws app.clearpane.store.Stale if it was written since */
    @Transactional
    public void write(ProjectId project, AboutPart part, String text, boolean shown, int revision, Actor by) {
        NotFound.unless(projects.find(project));
        Input input = new Input();
        String said = input.text(AboutWords.title(part), text, LONGEST_PART);
        input.allGood();
        words.write(project, new ProjectWords.Part(part, said, shown, revision));
        audit.append(
                project,
                project.value(),
                new PlanActs.ProjectSays(Act.PROJECT_SAYS, by, AboutWords.title(part), said, shown));
    }

    /** Says how it stands. */
    @Transactional
    public void say(ProjectId project, String text, boolean shown, Actor by) {
        NotFound.unless(projects.find(project));
        Input input = new Input();
        String said = input.text("How it stands", text, LONGEST_SAID);
        input.require(!said.isEmpty(), "Write something first.");
        input.allGood();
        words.say(project, new ProjectWords.Said(UUID.randomUUID(), said, by, clock.instant(), shown));
        audit.append(
                project,
                project.value(),
                new PlanActs.ProjectSays(Act.PROJECT_STANDS, by, "How it stands", said, shown));
    }

    /** Shows what was said, or shows it no more. @return its project */
    @Transactional
    public ProjectId show(UUID id, boolean shown, Actor by) {
        ProjectId project = NotFound.unless(words.projectOf(id));
        ProjectWords.Said said = words.said(project).stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
        if (said.shown() != shown) {
            words.show(id, shown);
            audit.append(
                    project,
                    project.value(),
                    new PlanActs.ProjectSays(Act.PROJECT_STANDS, by, "How it stands", said.said(), shown));
        }
        return project;
    }
}
