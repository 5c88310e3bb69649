package app.clearpane.usecases.supply;

import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Takes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What its side does with something it gave: says that it is to be looked at all the same, or takes it back. */
@Component
public class KeepSupplied {
    private static final int LONGEST_REASON = 1_000;
    private final GivenFor givenFor;
    private final Requests requests;
    private final RequestInPlan plan;
    private final TheAgency agency;
    private final AuditLog audit;

    KeepSupplied(GivenFor givenFor, Requests requests, RequestInPlan plan, TheAgency agency, AuditLog audit) {
        this.givenFor = givenFor;
        this.requests = requests;
        this.plan = plan;
        this.agency = agency;
        this.audit = audit;
    }

    /** Leaves it to us in spite of what failed, and says why. @throws Refused if it was settled meanwhile */
    @Transactional
    public void sendAllTheSame(Viewer viewer, RequestId id, UUID given, String reason) {
        Input input = new Input();
        String why = input.text("The reason", reason, LONGEST_REASON);
        input.require(!why.isEmpty(), "Say why it is sent all the same, in a few words.");
        input.allGood();
        Request request = givenFor.locked(viewer, id);
        Supplied one = arrived(request, given);
        requests.allTheSame(given, why);
        plan.follow(id, viewer.actor());
        audit.append(
                request.project(),
                id.value(),
                new RequestActs.RequestAllTheSame(
                        viewer.actor(), request.title(), partOf(request, one), one.name(), why));
    }

    /** Takes it back, before we used it. @throws Refused if it was settled meanwhile */
    @Transactional
    public void takeBack(Viewer viewer, RequestId id, UUID given) {
        Request request = givenFor.locked(viewer, id);
        Supplied one = arrived(request, given);
        if (request.part(one.part()).orElseThrow().takes() == Takes.ANSWERS) {
            throw Refused.because("Answers that were handed in stay as they are. Ask us, and we open them again.");
        }
        requests.takeBack(given, agency.now());
        plan.follow(id, viewer.actor());
        audit.append(
                request.project(),
                id.value(),
                new RequestActs.RequestTakenBack(viewer.actor(), request.title(), partOf(request, one), one.name()));
    }

    private static Supplied arrived(Request request, UUID given) {
        Supplied one = NotFound.unless(request.given(given));
        if (!(one.standing() instanceof Supplied.Arrived)) {
            throw Refused.changedMeanwhile("This was settled meanwhile, so nothing was changed. Look at it again.");
        }
        return one;
    }

    private static String partOf(Request request, Supplied one) {
        return request.part(one.part()).orElseThrow().name();
    }
}
