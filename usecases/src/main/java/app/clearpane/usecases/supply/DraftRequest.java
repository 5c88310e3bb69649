package app.clearpane.usecases.supply;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.PartLine;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Term;
import app.clearpane.store.project.Projects;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.post.PossibleRecipients;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Drafts a request: what is wanted, in a line each, of whom, and within how many working days. */
@Component
public class DraftRequest {
    /** The most parts that one request has. */
    public static final int MOST_PARTS = 40;

    private static final int LONGEST_WHY = 2_000;
    private static final int LONGEST_LINE = 400;
    private static final int LONGEST_ALLOWANCE = 250;
    private final Requests requests;
    private final Projects projects;
    private final RequestChoices choices;
    private final PossibleRecipients recipients;
    private final RequestInPlan plan;
    private final TheAgency agency;
    private final AuditLog audit;

    DraftRequest(
            Requests requests,
            Projects projects,
            RequestChoices choices,
            PossibleRecipients recipients,
            RequestInPlan plan,
            TheAgency agency,
            AuditLog audit) {
        this.requests = requests;
        this.projects = projects;
        this.choices = choices;
        this.recipients = recipients;
        this.plan = plan;
        this.agency = agency;
        this.audit = audit;
    }

    /**
     * A request as it comes from a page.
     *
     * @param wanted a line for each thing that is wanted
     * @param asked the contacts it is for, in order
     * @param allowance within how many working days; not looked at where a day is given
     * @param until by which day; may be empty
     * @param needed the activity of the plan before which it is wanted; may be empty
     * @param before how many working days before it begins
     * @param plan the activity of the client's that stands for it in the plan, or {@link RequestInPlan#OWN} for one of
     *     its own; empty for none
     * @param folder where accepted files go: a folder, a task or a deliverable; empty for the top of the files
     */
    public record RequestForm(
            @Nullable String title,
            @Nullable String why,
            @Nullable String wanted,
            @Nullable List<String> asked,
            @Nullable String allowance,
            @Nullable String until,
            @Nullable String needed,
            @Nullable String before,
            @Nullable String plan,
            @Nullable String folder) {
        /** What is wanted, as it was typed. */
        public String lines() {
            return given(wanted);
        }
    }

    /** What each line says, in order; lines that say nothing are left out. */
    public static List<PartLine> read(String wanted) {
        return wanted.lines().flatMap(line -> PartLine.read(line).stream()).toList();
    }

    /** Keeps a draft; whoever it is for does not know of it. @throws Refused if something is missing */
    @Transactional
    public RequestId draft(ProjectId project, RequestForm form, Actor by) {
        Input input = new Input();
        return keep(project, form, parts(input, form.lines()), input, by);
    }

    /** Keeps a draft with these parts. @throws Refused if something is missing, or was wrong before */
    public RequestId keep(ProjectId project, RequestForm form, List<RequestPart> parts, Input input, Actor by) {
        Project found = NotFound.unless(projects.find(project));
        Optional<Name> title = input.name("The request", given(form.title()));
        String why = input.text("What it is for", given(form.why()), LONGEST_WHY);
        Optional<Term> term = term(input, found, form);
        Optional<RequestInPlan.Place> place =
                plan.place(input, found, given(form.plan()), term.orElse(null) instanceof Term.BeforeStart);
        List<Request.Asked> asked = asked(found, form);
        Optional<ItemId> goesTo = goesTo(input, project, given(form.folder()));
        input.require(!asked.isEmpty(), "Say who is asked: at least one person.");
        input.allGood();
        Request request = new Request(
                new RequestId(UUID.randomUUID()),
                project,
                title.orElseThrow().value(),
                why,
                parts,
                asked,
                term.orElseThrow(),
                by,
                new Request.Draft(Optional.empty()),
                List.of(),
                goesTo,
                1);
        requests.add(request, agency.now());
        place.ifPresent(where -> plan.put(request, where, by));
        audit.append(
                project,
                request.id().value(),
                new RequestActs.RequestDrafted(
                        by,
                        request.title(),
                        parts.stream().map(RequestPart::name).toList(),
                        asked.stream().map(Request.Asked::name).toList()));
        return request.id();
    }

    private static String given(@Nullable String typed) {
        return typed == null ? "" : typed;
    }

    private Optional<Term> term(Input input, Project project, RequestForm form) {
        if (!given(form.needed()).isBlank()) {
            return plan.before(input, project, given(form.needed()), given(form.before()));
        }
        if (given(form.until()).isBlank()) {
            return input.number("The time they have", given(form.allowance()), 1, LONGEST_ALLOWANCE)
                    .map(Term.WithinDays::new);
        }
        Optional<Term.ByDay> by =
                input.day("The day by which it is wanted", given(form.until())).map(Term.ByDay::new);
        input.require(
                by.filter(term -> term.isPast(agency.now(), agency.calendar())).isEmpty(),
                "The day by which it is wanted is past. Choose a later one.");
        return by.map(one -> one);
    }

    private List<Request.Asked> asked(Project project, RequestForm form) {
        List<Contact> possible = recipients.possible(project);
        return (form.asked() == null ? List.<String>of() : form.asked())
                .stream()
                        .distinct()
                        .flatMap(id -> possible.stream()
                                .filter(contact -> contact.id().toString().equals(id)))
                        .map(contact ->
                                new Request.Asked(new ContactId(contact.id().value()), contact.name()))
                        .toList();
    }

    private static List<RequestPart> parts(Input input, String wanted) {
        List<String> long_ =
                wanted.lines().filter(line -> line.length() > LONGEST_LINE).toList();
        input.require(
                long_.isEmpty(),
                "One of the lines is longer than " + LONGEST_LINE
                        + " letters. Put what explains it into the words above.");
        List<PartLine> lines = long_.isEmpty() ? read(wanted) : List.of();
        input.require(!long_.isEmpty() || !lines.isEmpty(), "Say what is wanted, a line for each thing.");
        input.require(
                lines.size() <= MOST_PARTS,
                "A request has at most " + MOST_PARTS + " lines; these are " + lines.size() + ". Make two of it.");
        return lines.stream().map(DraftRequest::part).toList();
    }

    /** What a line asks for, as a part of a request. */
    public static RequestPart part(PartLine line) {
        return new RequestPart(
                UUID.randomUUID(),
                line.name(),
                line.takes(),
                line.wanted(),
                line.checks(),
                line.choices(),
                line.good(),
                line.bad());
    }

    private Optional<ItemId> goesTo(Input input, ProjectId project, String chosen) {
        if (chosen.isEmpty()) {
            return Optional.empty();
        }
        Optional<ItemId> found = choices.places(project).stream()
                .map(RequestChoices.Place::id)
                .filter(id -> id.toString().equals(chosen))
                .findFirst();
        input.require(found.isPresent(), "Where accepted files go is not there any more. Choose another place.");
        return found;
    }

    /** Takes away a draft. @throws Refused if it was sent meanwhile */
    @Transactional
    public ProjectId discard(RequestId id, Actor by) {
        requests.lock(id);
        Request request = NotFound.unless(requests.find(id));
        if (!(request.standing() instanceof Request.Draft)) {
            throw Refused.changedMeanwhile("This was sent meanwhile, so it was not taken away. Look at it again.");
        }
        plan.takenAway(request, by);
        requests.discard(id);
        return request.project();
    }
}
