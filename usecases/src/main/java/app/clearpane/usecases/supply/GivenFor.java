package app.clearpane.usecases.supply;

import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.Finding;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Takes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.supply.Requests;
import app.clearpane.store.supply.client.VisibleRequests;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What was given for a request is kept, told and written down, and the turn follows. */
@Component
class GivenFor {
    private final Requests requests;
    private final VisibleRequests visible;
    private final TheAgency agency;
    private final AuditLog audit;
    private final WriteOfRequest write;

    GivenFor(Requests requests, VisibleRequests visible, TheAgency agency, AuditLog audit, WriteOfRequest write) {
        this.requests = requests;
        this.visible = visible;
        this.agency = agency;
        this.audit = audit;
        this.write = write;
    }

    /** The request somebody may give something for now. @throws Refused where they may not */
    Request open(Viewer viewer, RequestId id) {
        Request request = NotFound.unless(visible.find(viewer, id));
        if (!viewer.mayAct()) {
            throw Refused.because(
                    "Nothing can be given here now: you only look, or the project rests. Nothing was kept.");
        }
        if (request.sent().isEmpty()) {
            throw Refused.changedMeanwhile("This is not wanted any more, so nothing was kept.");
        }
        return request;
    }

    /** The same, locked for the rest of the transaction and read once more. */
    Request locked(Viewer viewer, RequestId id) {
        open(viewer, id);
        requests.lock(id);
        return open(viewer, id);
    }

    /** Keeps one; the same twice for one part is kept once. @return what of its like is there, if it was not kept */
    Optional<Supplied> keep(Viewer viewer, Request request, RequestPart part, Supplied given) {
        Optional<Supplied> same = part.takes() != Takes.FILES
                ? Optional.empty()
                : request.given(part).stream()
                        .filter(one -> one.fills() && one.sha256().equals(given.sha256()))
                        .findFirst();
        if (same.isPresent()) {
            return same;
        }
        requests.supply(request.id(), given);
        requests.followTurn(request.id(), agency.now());
        audit.append(
                request.project(),
                request.id().value(),
                new RequestActs.RequestSupplied(
                        viewer.actor(),
                        request.title(),
                        part.name(),
                        given.name(),
                        given.sha256(),
                        given.came().door().name(),
                        given.findings().stream()
                                .filter(Finding::fails)
                                .map(Finding::figures)
                                .toList()));
        write.arrived(request, part, viewer, "“" + given.name() + "”");
        return Optional.empty();
    }
}
