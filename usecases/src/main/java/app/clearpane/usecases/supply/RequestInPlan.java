package app.clearpane.usecases.supply;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.project.Project;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.Term;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.plan.RequestsFollow;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What a request has to do with the plan: what stands for it there, and until when it is wanted. */
@Component
class RequestInPlan {
    static final String OWN = "own";
    private final Requests requests;
    private final RequestsFollow plan;
    private final TheAgency agency;

    RequestInPlan(Requests requests, RequestsFollow plan, TheAgency agency) {
        this.requests = requests;
        this.plan = plan;
        this.agency = agency;
    }

    /** After anything that happened to a request: whoever holds it is noted, and the plan follows. */
    void follow(RequestId id, Actor by) {
        requests.followTurn(id, agency.now());
        plan.moved(requests.find(id).orElseThrow(), by);
    }

    /** When it is due if it is sent now. @throws Refused if that is past, or what it is needed for has begun */
    Instant due(Request request) {
        Term.Dated term = request.term() instanceof Term.BeforeStart before
                ? plan.begins(request.project(), before.activity())
                        .map(begins -> before.when(begins, agency.calendar()))
                        .orElseThrow(() -> Refused.because("What it is needed for has begun, or is not in the plan any "
                                + "more. Nothing was sent; take the draft away and ask anew, by a day."))
                : (Term.Dated) request.term();
        if (term.isPast(agency.now(), agency.calendar())) {
            throw Refused.because(
                    "The day by which it is wanted is past. Nothing was sent; take the draft away and ask "
                            + "anew, by a later day.");
        }
        return term.due(agency.now(), agency.calendar());
    }

    /** So many working days before an activity begins, as it was typed. */
    Optional<Term> before(Input input, Project project, String activity, String days) {
        Optional<ItemId> needed = chosen(plan.activities(project).mayNeed(), activity);
        input.require(
                needed.isPresent(), "What it is needed for has begun, or is not in the plan any more. Choose again.");
        Optional<Term.BeforeStart> term = input.number(
                        "The working days before", days.isBlank() ? "1" : days, 1, Term.MOST_DAYS)
                .flatMap(before -> needed.map(one -> new Term.BeforeStart(one, before)));
        input.require(
                term.flatMap(one -> plan.begins(project.id(), one.activity())
                                .map(begins -> one.when(begins, agency.calendar())))
                        .filter(by -> by.isPast(agency.now(), agency.calendar()))
                        .isEmpty(),
                "That many working days before it begins is past. Give them fewer, or let it begin later.");
        return term.map(one -> one);
    }

    private static Optional<ItemId> chosen(List<PlannedTask> among, String typed) {
        return among.stream()
                .map(PlannedTask::id)
                .filter(id -> id.toString().equals(typed))
                .findFirst();
    }

    /**
     * Where it is to stand in the plan, as it was chosen: the activity of the client's that is to stand for it, or
     * {@link #OWN}; nothing for nowhere. What is due before an activity begins stands there always.
     */
    Optional<Place> place(Input input, Project project, String typed, boolean always) {
        if (typed.isBlank() || typed.equals(OWN)) {
            return typed.equals(OWN) || always ? Optional.of(new Place(Optional.empty())) : Optional.empty();
        }
        Optional<ItemId> as = chosen(plan.activities(project).mayStand(), typed);
        input.require(as.isPresent(), "The activity of the plan has begun, or is not there any more. Choose again.");
        return as.map(one -> new Place(Optional.of(one)));
    }

    /** A place in the plan. @param as the activity that stands for it; empty for one of its own */
    record Place(Optional<ItemId> as) {}

    /** Puts a draft there. */
    void put(Request draft, Place place, Actor by) {
        plan.stand(draft, place.as(), by);
    }

    /** When a draft goes out; empty if that was not said. */
    Optional<LocalDate> goesOut(Request draft) {
        return plan.goesOut(draft);
    }

    /** It is said when a draft goes out, or that day has moved. */
    void leaves(Request draft) {
        plan.leaves(draft);
    }

    /** A draft was taken away. */
    void takenAway(Request draft, Actor by) {
        plan.takenAway(draft, by);
    }
}
