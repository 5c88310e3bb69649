package app.clearpane.usecases.post;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Writes to whoever manages a project, in the transaction of its cause. */
@Component
public class WriteToTeam {
    private final Projects projects;
    private final People people;
    private final WriteMail mail;
    private final LinkKeys keys;
    private final TheAgency agency;
    private final HouseSettings house;

    WriteToTeam(
            Projects projects, People people, WriteMail mail, LinkKeys keys, TheAgency agency, HouseSettings house) {
        this.projects = projects;
        this.people = people;
        this.mail = mail;
        this.keys = keys;
        this.agency = agency;
        this.house = house;
    }

    /** Where a mail leads. @param label what stands on it @param path within the house */
    public record Leads(String label, String path) {}

    /**
     * Writes in a few minutes, in one mail with what else happens to the same until then. @param about what it is about
     */
    public void soon(ProjectId project, UUID about, Letter letter) {
        manager(project).ifPresent(manager -> mail.gathered(manager, letter, about));
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

    /** Writes to one of the team. */
    public void write(TeamMember to, String subject, List<String> lines, Leads leads) {
        mail.send(to, letter(subject, lines, leads));
    }

    /** Writes to one of the team a mail whose button lets them in. @param leads where it lets them in */
    public void letIn(TeamMember to, String subject, List<String> lines, Leads leads) {
        mail.send(
                to,
                new Letter(
                        subject,
                        lines,
                        leads.label(),
                        keys.forMember(to.id(), leads.path()),
                        agency.get().name()));
    }

    /** Writes to the manager, once what it tells of cannot be taken back any more. @param about what that is */
    public void onceCertain(ProjectId project, Letter letter, UUID about, Instant certain) {
        manager(project).ifPresent(manager -> mail.onceCertain(manager, letter, about, certain));
    }

    /** Drops what waits to tell of something. @return whether there was any; what has gone out cannot be dropped */
    public boolean takeBack(UUID about) {
        return mail.takeBack(about);
    }

    /** Writes to the manager. */
    public void tell(ProjectId project, String subject, List<String> lines, Leads leads) {
        manager(project).ifPresent(manager -> mail.send(manager, letter(subject, lines, leads)));
    }

    private Optional<TeamMember> manager(ProjectId project) {
        return projects.find(project).map(Project::manager).flatMap(people::member);
    }
}
