package app.clearpane.usecases.project;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PhaseTemplate;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.plan.PlanTask;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Opens a project: its client and contacts, its days, its phases from a template. */
@Component
public class OpenProject {
    private final Projects projects;
    private final People people;
    private final NewItem newItem;
    private final TheAgency agency;
    private final PlanTask planTask;
    private final LikeProject likeProject;
    private final TaskSteps steps;
    private final SigningDefaults signing;
    private final AuditLog audit;

    OpenProject(
            Projects projects,
            People people,
            NewItem newItem,
            TheAgency agency,
            PlanTask planTask,
            LikeProject likeProject,
            TaskSteps steps,
            SigningDefaults signing,
            AuditLog audit) {
        this.projects = projects;
        this.people = people;
        this.newItem = newItem;
        this.agency = agency;
        this.planTask = planTask;
        this.likeProject = likeProject;
        this.steps = steps;
        this.signing = signing;
        this.audit = audit;
    }

    /** Somebody at the client. */
    public record NewContact(Name name, EmailAddress email, String says) {}

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
            layOut(project, wanted, wanted.template().orElseThrow(), by);
        }
        wanted.contacts().forEach(contact -> takeIn(client, contact));
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
        return project.id();
    }

    private void layOut(Project project, Wanted wanted, PhaseTemplate template, Person.OfTeam by) {
        int position = 0;
        for (PhaseTemplate.Laid phase : template.layOut(wanted.startsOn(), wanted.agreedOn(), agency.calendar())) {
            projects.addPhase(
                    project.id(),
                    new Phase(UUID.randomUUID(), phase.name(), phase.startsOn(), phase.endsOn(), Phase.Stage.TO_DO, 1),
                    position++);
        }
        ItemId finish = newItem.add(project.id(), ContentKind.DATES, template.finish(), Optional.empty(), by.actor());
        projects.addMilestone(finish, wanted.agreedOn());
        if (wanted.usualTasks()) {
            plan(project, wanted, template, finish, by);
            steps.set(project.id(), Steps.PLAIN.named(template.steps(), UUID::randomUUID));
            signing.set(new SigningDefaults.Usual(project.id(), signing.house().terms(), template.checklist(), 0));
        }
    }

    /** The usual tasks one after another; the finish waits for the last. */
    private void plan(Project project, Wanted wanted, PhaseTemplate template, ItemId finish, Person.OfTeam by) {
        Map<String, UUID> phases =
                projects.phases(project.id()).stream().collect(Collectors.toMap(Phase::name, Phase::id));
        List<PhaseTemplate.LaidTask> tasks = template.tasks(wanted.startsOn(), wanted.agreedOn(), agency.calendar());
        Optional<ItemId> before = Optional.empty();
        for (int i = 0; i < tasks.size(); i++) {
            PhaseTemplate.LaidTask task = tasks.get(i);
            before = Optional.of(planTask.add(
                    project.id(),
                    new PlanTask.Wanted(
                            task.name(),
                            Optional.empty(),
                            Optional.ofNullable(phases.get(task.phase())),
                            task.days(),
                            Optional.empty(),
                            task.side(),
                            PlannedTask.Hands.NOBODY,
                            before.stream().map(one -> new Task.After(one, 0)).toList(),
                            i == tasks.size() - 1 ? Optional.of(finish) : Optional.empty()),
                    by));
        }
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
                () -> people.addContact(client, contact.name(), contact.email(), contact.says(), agency.now()));
    }
}
