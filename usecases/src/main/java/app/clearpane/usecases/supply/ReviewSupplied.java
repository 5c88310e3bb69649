package app.clearpane.usecases.supply;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Takes;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the team makes of something that was given: accepts it, which puts it where it belongs, or asks again. */
@Component
public class ReviewSupplied {
    private static final int LONGEST = 1_000;
    private final Requests requests;
    private final ShelveSupplied shelf;
    private final RequestInPlan plan;
    private final TheAgency agency;
    private final AuditLog audit;
    private final WriteOfRequest write;

    ReviewSupplied(
            Requests requests,
            ShelveSupplied shelf,
            RequestInPlan plan,
            TheAgency agency,
            AuditLog audit,
            WriteOfRequest write) {
        this.requests = requests;
        this.shelf = shelf;
        this.plan = plan;
        this.agency = agency;
        this.audit = audit;
        this.write = write;
    }

    /**
     * Accepts it. Files and texts become files of the project.
     *
     * @param reason why, where a check failed
     * @throws Refused if a check failed and no reason is given, or it was settled meanwhile
     */
    @Transactional
    public ProjectId accept(UUID given, String reason, Actor by) {
        Input input = new Input();
        String why = input.text("The reason", reason, LONGEST);
        Looked looked = look(given);
        Supplied one = looked.given();
        input.require(!why.isEmpty() || !one.fails(), "A check failed. Say why it is accepted all the same.");
        input.allGood();
        requests.accept(given, new Supplied.Accepted(by, agency.now(), why));
        boolean aFile = looked.part().takes() == Takes.FILES && one.typed().isEmpty();
        if (aFile || looked.part().takes() == Takes.TEXT) {
            shelf.put(looked.request(), one, by);
        }
        plan.follow(looked.request().id(), by);
        audit.append(
                looked.request().project(),
                looked.request().id().value(),
                new RequestActs.RequestAccepted(
                        by, looked.request().title(), looked.part().name(), one.name(), one.sha256(), why));
        return looked.request().project();
    }

    /** Asks for another, and says why; those who are asked are told. @throws Refused if it was settled meanwhile */
    @Transactional
    public ProjectId askAgain(UUID given, String words, Actor by) {
        Input input = new Input();
        String why = input.text("What is wrong with it", words, LONGEST);
        input.require(!why.isEmpty(), "Say what is wrong with it, so that the next one will do.");
        input.allGood();
        Looked looked = look(given);
        requests.askAgain(given, new Supplied.AskedAgain(by, agency.now(), why));
        plan.follow(looked.request().id(), by);
        String name = looked.given().name();
        audit.append(
                looked.request().project(),
                looked.request().id().value(),
                new RequestActs.RequestAskedAgain(
                        by, looked.request().title(), looked.part().name(), name, why));
        write.asksAgain(
                looked.request(), looked.part(), name, why, looked.part().takes() != Takes.FILES);
        return looked.request().project();
    }

    private record Looked(Request request, RequestPart part, Supplied given) {}

    private Looked look(UUID given) {
        requests.lock(NotFound.unless(requests.ofSupplied(given)).id());
        Request request = requests.ofSupplied(given).orElseThrow();
        Supplied one = request.given(given).orElseThrow();
        if (!(one.standing() instanceof Supplied.Arrived) || request.sent().isEmpty()) {
            throw Refused.changedMeanwhile(
                    "This was settled, taken back or withdrawn meanwhile, so nothing was changed. Look at it again.");
        }
        return new Looked(request, request.part(one.part()).orElseThrow(), one);
    }
}
