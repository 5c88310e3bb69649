package app.clearpane.usecases.post;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.House;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Writes to whoever manages a project, in the transaction of its cause. */
@Component
public class TellManager {
    private final Projects projects;
    private final People people;
    private final WriteMail mail;
    private final TheAgency agency;
    private final House house;

    TellManager(Projects projects, People people, WriteMail mail, TheAgency agency, House house) {
        this.projects = projects;
        this.people = people;
        this.mail = mail;
        this.agency = agency;
        this.house = house;
    }

    /** Where a mail leads. @param label what stands on it @param path within the house */
    public record Leads(String label, String path) {}

    /**
     * Writes in a few minutes, in one mail with what else happens to the same until then. @param about what it is about
     */
    public void soon(ProjectId project, UUID about, Letter letter) {
        projects.find(project)
                .map(Project::manager)
                .flatMap(people::member)
                .ifPresent(manager -> mail.gathered(manager, letter, about));
    }

    /** A letter that leads to a page of the house. */
    public Letter letter(String subject, List<String> lines, Leads leads) {
        return new Letter(
                subject,
                lines,
                leads.label(),
                house.address() + leads.path(),
                agency.get().name());
    }

    /** Writes. */
    public void tell(ProjectId project, String subject, List<String> lines, Leads leads) {
        projects.find(project)
                .map(Project::manager)
                .flatMap(people::member)
                .ifPresent(manager -> mail.send(manager, letter(subject, lines, leads)));
    }
}
