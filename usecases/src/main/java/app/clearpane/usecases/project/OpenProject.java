package app.clearpane.usecases.project;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.plan.PhaseTemplate;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Opens a project: its client and contacts, its days, its phases from a template. */
@Component
public class OpenProject {
    private final Projects projects;
    private final People people;
    private final TheAgency agency;
    private final LikeProject likeProject;
    private final AuditLog audit;
    private final LayOutProject layOut;
    private final ApplicationEventPublisher events;

    OpenProject(
            Projects projects,
            People people,
            TheAgency agency,
            LikeProject likeProject,
            AuditLog audit,
            LayOutProject layOut,
            ApplicationEventPublisher events) {
        this.events = events;
        this.layOut = layOut;
        this.projects = projects;
        this.people = people;
        this.agency = agency;
        this.likeProject = likeProject;
        this.audit = audit;
    }

    /** Somebody at the client. */
    public record NewContact(Name name, EmailAddress email, String occupation) {}

    /**
     * What a project is opened with. @param client missing for the house's own work @param template missing where it is
     * laid out like an earlier project
     */
    public record Wanted(
            Optional<Name> client,
            Name name,
            String cover,
            String currency,
            BigDecimal taxPercent,
            LocalDate startsOn,
            LocalDate agreedOn,
            Optional<PhaseTemplate> template,
            boolean usualTasks,
            List<NewContact> contacts,
            Optional<Like> like) {
        /** The same from another day on. */
        Wanted from(LocalDate start) {
            return new Wanted(
                    client, name, cover, currency, taxPercent, start, agreedOn, template, usualTasks, contacts, like);
        }
    }

    /**
     * An earlier project to lay it out like. @param withPeople whether the team's people keep their tasks @param
     * backwards whether it begins as early as the earlier one took
     */
    public record Like(ProjectId project, boolean withPeople, boolean backwards) {}

    /** Opens it. @throws Refused if an address belongs to somebody at another client */
    @Transactional
    public ProjectId open(Wanted asked, Person.OfTeam by) {
        Optional<Project> earlier = asked.like().map(like -> NotFound.unless(projects.find(like.project())));
        Wanted wanted = earlier.isPresent() && asked.like().orElseThrow().backwards()
                ? asked.from(likeProject.startFor(earlier.get(), asked.agreedOn()))
                : asked;
        Instant now = agency.now();
        ClientId client =
                wanted.client().map(named -> people.clientNamed(named, now)).orElseGet(() -> people.ownWork(now));
        Project project = new Project(
                new ProjectId(UUID.randomUUID()),
                client,
                wanted.client().map(Name::value).orElse(""),
                by.memberId(),
                wanted.name().value(),
                wanted.cover(),
                wanted.currency(),
                wanted.taxPercent(),
                null,
                wanted.startsOn(),
                wanted.agreedOn(),
                null,
                null,
                "",
                null,
                "",
                0,
                1);
        projects.open(project, now);
        if (earlier.isPresent()) {
            likeProject.lay(earlier.get(), project, asked.like().orElseThrow().withPeople(), by.actor());
        } else {
            layOut.layOut(project, wanted, wanted.template().orElseThrow(), by);
        }
        List<ContactId> contacts = wanted.contacts().stream()
                .map(contact -> takeIn(client, contact).id())
                .toList();
        audit.append(
                project.id(),
                project.id().value(),
                new PlanActs.ProjectOpened(
                        by.actor(),
                        project.fullName(),
                        wanted.startsOn(),
                        wanted.agreedOn(),
                        wanted.currency(),
                        wanted.taxPercent(),
                        earlier.map(Project::fullName).orElse("")));
        if (wanted.usualTasks()) {
            wanted.template()
                    .map(PhaseTemplate::supply)
                    .ifPresent(supply ->
                            events.publishEvent(new ProjectLaidOut(project.id(), supply, contacts, by.actor())));
        }
        return project.id();
    }

    /** Takes in a contact, unless they are known at this client already. */
    @Transactional
    public Contact takeIn(ClientId client, NewContact contact) {
        Optional<Contact> known = people.contactAt(contact.email());
        if (known.isPresent() && !known.get().client().equals(client)) {
            throw Refused.because(contact.email() + " belongs to " + known.get().name()
                    + " at another client. Nothing was saved; use another address.");
        }
        return known.orElseGet(
                () -> people.addContact(client, contact.name(), contact.email(), contact.occupation(), agency.now()));
    }
}
