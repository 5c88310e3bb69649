package app.clearpane.usecases.supply;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.Leaving;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.store.project.Projects;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.post.PossibleRecipients;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says when a draft goes out, and whom it asks. */
@Component
public class TimeRequest {
    private final Requests requests;
    private final Projects projects;
    private final PossibleRecipients recipients;
    private final RequestInPlan inPlan;
    private final PlanBook plans;
    private final RequestWords words;
    private final AuditLog audit;

    TimeRequest(
            Requests requests,
            Projects projects,
            PossibleRecipients recipients,
            RequestInPlan inPlan,
            PlanBook plans,
            RequestWords words,
            AuditLog audit) {
        this.requests = requests;
        this.projects = projects;
        this.recipients = recipients;
        this.inPlan = inPlan;
        this.plans = plans;
        this.words = words;
        this.audit = audit;
    }

    /**
     * When it goes out, as it comes from a page.
     *
     * @param on a day; may be empty
     * @param with a phase; may be empty, and then nothing is said where no day is given
     * @param before how many working days before the phase begins; 0 where empty
     * @param alone whether it goes by itself
     */
    public record When(
            @Nullable String on,
            @Nullable String with,
            @Nullable String before,
            @Nullable Boolean alone) {}

    /** Says when it goes out. @throws Refused if it was sent meanwhile, or the day is past */
    @Transactional
    public ProjectId time(RequestId id, When typed, Actor by) {
        Request draft = draft(id);
        Project project = NotFound.unless(projects.find(draft.project()));
        Input input = new Input();
        Optional<Leaving> leaving =
                when(input, project, typed).map(when -> new Leaving(when, Boolean.TRUE.equals(typed.alone())));
        input.allGood();
        requests.leaves(id, leaving);
        Request timed = NotFound.unless(requests.find(id));
        inPlan.leaves(timed);
        audit.append(
                draft.project(),
                id.value(),
                new RequestActs.RequestTimed(by, draft.title(), words.leaves(timed, plans.planOf(project))));
        return draft.project();
    }

    private Optional<Leaving.When> when(Input input, Project project, When typed) {
        String phase = Objects.requireNonNullElse(typed.with(), "");
        String day = Objects.requireNonNullElse(typed.on(), "");
        input.require(phase.isBlank() || day.isBlank(), "It goes out on a day or with a phase: choose one of them.");
        if (!phase.isBlank()) {
            Optional<Phase> found = plans.planOf(project).phases().stream()
                    .filter(one -> one.id().toString().equals(phase))
                    .findFirst();
            input.require(found.isPresent(), "The phase is not there any more. Choose again.");
            String before = Objects.requireNonNullElse(typed.before(), "");
            return input.number("The working days before", before.isBlank() ? "0" : before, 0, Leaving.MOST_DAYS)
                    .flatMap(days -> found.map(one -> new Leaving.WithPhase(one.id(), days)));
        }
        return day.isBlank()
                ? Optional.empty()
                : input.day("The day on which it goes out", day).map(Leaving.OnDay::new);
    }

    /** Says whom it asks. @throws Refused if that is nobody, or it was sent meanwhile */
    @Transactional
    public ProjectId address(RequestId id, @Nullable List<String> chosen, Actor by) {
        Request draft = draft(id);
        List<String> typed = Objects.requireNonNullElse(chosen, List.of());
        List<Contact> asked = recipients.possible(NotFound.unless(projects.find(draft.project()))).stream()
                .filter(contact -> typed.contains(contact.id().toString()))
                .toList();
        if (asked.isEmpty()) {
            throw Refused.because("Say who is asked: at least one person.");
        }
        requests.askOnly(id, asked.stream().map(Contact::id).toList());
        audit.append(
                draft.project(),
                id.value(),
                new RequestActs.RequestAddressed(
                        by, draft.title(), asked.stream().map(Contact::name).toList()));
        return draft.project();
    }

    private Request draft(RequestId id) {
        requests.lock(id);
        Request request = NotFound.unless(requests.find(id));
        if (!(request.standing() instanceof Request.Draft)) {
            throw Refused.changedMeanwhile("This was sent meanwhile, so nothing was changed. Look at it again.");
        }
        return request;
    }
}
