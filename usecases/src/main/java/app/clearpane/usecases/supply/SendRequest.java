package app.clearpane.usecases.supply;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sends a request to those it is for, and withdraws it. */
@Component
public class SendRequest {
    private static final int LONGEST_REASON = 1_000;
    private final Requests requests;
    private final Seats seats;
    private final RequestInPlan plan;
    private final TheAgency agency;
    private final Lasting lasting;
    private final AuditLog audit;
    private final WriteOfRequest write;

    SendRequest(
            Requests requests,
            Seats seats,
            RequestInPlan plan,
            TheAgency agency,
            Lasting lasting,
            AuditLog audit,
            WriteOfRequest write) {
        this.requests = requests;
        this.seats = seats;
        this.plan = plan;
        this.agency = agency;
        this.lasting = lasting;
        this.audit = audit;
        this.write = write;
    }

    /**
     * Sends it: it is due as its term says (D6), and each who is asked gets a mail.
     *
     * @param sure whether it goes out although somebody has no seat
     * @throws Refused if somebody has none and that is not wanted
     */
    @Transactional
    public ProjectId send(RequestId id, boolean sure, Actor by) {
        requests.lock(id);
        Request request = NotFound.unless(requests.find(id));
        if (!(request.standing() instanceof Request.Draft)) {
            throw Refused.changedMeanwhile("This was sent or withdrawn already. Nothing was sent twice.");
        }
        if (request.asked().isEmpty()) {
            throw Refused.because("Nobody is asked yet. Nothing was sent; say who is asked first.");
        }
        Instant now = agency.now();
        List<String> without = request.asked().stream()
                .filter(one -> seats.paneThatOpens(request.project(), one.contact(), now)
                        .isEmpty())
                .map(Request.Asked::name)
                .toList();
        if (!without.isEmpty() && !sure) {
            throw Refused.because(Words.listed(without) + (without.size() == 1 ? " has" : " have")
                    + " no seat at a published pane here, so they could not open it. Give them a seat first, or tick "
                    + "that it is sent all the same.");
        }
        Instant due = plan.due(request);
        requests.send(id, new Request.Sent(now, due, now));
        plan.follow(id, by);
        audit.append(
                request.project(),
                id.value(),
                new RequestActs.RequestSent(
                        by,
                        request.title(),
                        request.asked().stream().map(Request.Asked::name).toList(),
                        lasting.zoned(due)));
        request.asked().forEach(one -> write.asks(request, one.contact(), due));
        return request.project();
    }

    /** Withdraws it: it is not wanted any more, and what was given stays. */
    @Transactional
    public ProjectId withdraw(RequestId id, String reason, Actor by) {
        Input input = new Input();
        String why = input.text("The reason", reason, LONGEST_REASON);
        input.require(!why.isEmpty(), "Say why it is not wanted any more; those who were asked read it.");
        input.allGood();
        requests.lock(id);
        Request request = NotFound.unless(requests.find(id));
        if (request.sent().isEmpty() || request.isDone()) {
            throw Refused.changedMeanwhile(
                    "This was withdrawn or accepted meanwhile, so nothing was changed. Look at it again.");
        }
        requests.withdraw(id, why, agency.now());
        plan.follow(id, by);
        audit.append(request.project(), id.value(), new RequestActs.RequestWithdrawn(by, request.title(), why));
        request.asked().forEach(one -> write.withdraws(request, one.contact(), why));
        return request.project();
    }
}
