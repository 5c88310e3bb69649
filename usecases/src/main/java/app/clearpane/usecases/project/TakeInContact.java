package app.clearpane.usecases.project;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes in a contact of a project's client, or of an outside party that helps. Being one shows them nothing. */
@Component
public class TakeInContact {
    private final Projects projects;
    private final People people;
    private final OpenProject openProject;
    private final SignInLinks signInLinks;
    private final AuditLog audit;
    private final Clock clock;

    TakeInContact(
            Projects projects,
            People people,
            OpenProject openProject,
            SignInLinks signInLinks,
            AuditLog audit,
            Clock clock) {
        this.projects = projects;
        this.people = people;
        this.openProject = openProject;
        this.signInLinks = signInLinks;
        this.audit = audit;
        this.clock = clock;
    }

    /** A contact as typed; an empty client means the project's. */
    public record Typed(String client, String name, String email, String occupation) {}

    /**
     * Changes a contact. Where the address changes, what was sent to the old one opens nothing any more.
     *
     * @throws Refused if the address is somebody else's
     */
    @Transactional
    public void change(ProjectId project, ContactId id, Typed typed, Actor by) {
        Contact contact = NotFound.unless(people.contact(id));
        Input input = new Input();
        Optional<Name> name = input.name("The name", typed.name());
        Optional<EmailAddress> email = input.email("The mail address", typed.email());
        String occupation = input.text("What they do", typed.occupation(), Name.LONGEST);
        input.allGood();
        Optional<Contact> other =
                people.contactAt(email.orElseThrow()).filter(one -> !one.id().equals(id));
        if (other.isPresent()) {
            throw Refused.because(email.orElseThrow().value() + " is the address of "
                    + other.get().name() + ". Two people cannot have the same; nothing was changed.");
        }
        people.changeContact(new Contact(
                id,
                contact.client(),
                name.orElseThrow().value(),
                email.orElseThrow().value(),
                occupation));
        if (!email.orElseThrow().value().equals(contact.email())) {
            signInLinks.revokeAll(id, clock.instant());
        }
        audit.append(
                project,
                id.value(),
                new PeopleActs.ContactChanged(
                        by,
                        name.orElseThrow().value(),
                        email.orElseThrow().value(),
                        contact.name() + ", " + contact.email()));
    }

    /** Takes them in. */
    @Transactional
    public Contact takeIn(ProjectId id, Typed typed, Actor by) {
        Project project = NotFound.unless(projects.find(id));
        Input input = new Input();
        Optional<Name> organisation =
                typed.client().isBlank() ? Optional.empty() : input.name("Where they work", typed.client());
        Optional<Name> name = input.name("The name", typed.name());
        Optional<EmailAddress> email = input.email("The mail address", typed.email());
        String occupation = input.text("What they do", typed.occupation(), Name.LONGEST);
        input.allGood();
        ClientId client = organisation
                .map(named -> people.clientNamed(named, clock.instant()))
                .orElse(project.client());
        Contact contact = openProject.takeIn(
                client, new OpenProject.NewContact(name.orElseThrow(), email.orElseThrow(), occupation));
        audit.append(id, contact.id().value(), new PeopleActs.ContactAdded(by, contact.name(), contact.email()));
        return contact;
    }

    /** Takes somebody in as one of those who work where a contact does. */
    @Transactional
    public Contact takeInBeside(ProjectId id, ContactId colleague, Typed typed, Actor by) {
        Contact known = people.contact(colleague).orElseThrow();
        String organisation = people.clients().stream()
                .filter(client -> client.id().equals(known.client()))
                .findFirst()
                .orElseThrow()
                .name();
        return takeIn(id, new Typed(organisation, typed.name(), typed.email(), typed.occupation()), by);
    }
}
