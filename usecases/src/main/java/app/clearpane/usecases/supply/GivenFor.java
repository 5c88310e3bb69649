package app.clearpane.usecases.supply;

import app.clearpane.core.files.Sha256;
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
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What was given for a request is kept, told and written down, and the turn follows. */
@Component
public class GivenFor {
    private final Requests requests;
    private final VisibleRequests visible;
    private final RequestInPlan plan;
    private final AuditLog audit;
    private final WriteOfRequest write;

    GivenFor(Requests requests, VisibleRequests visible, RequestInPlan plan, AuditLog audit, WriteOfRequest write) {
        this.requests = requests;
        this.visible = visible;
        this.plan = plan;
        this.audit = audit;
        this.write = write;
    }

    /** The request somebody may give something for now. @throws Refused where they may not */
    public Request open(Viewer viewer, RequestId id) {
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
    public Request locked(Viewer viewer, RequestId id) {
        open(viewer, id);
        requests.lock(id);
        return open(viewer, id);
    }

    /** Something that was not kept since its like is there. @param there what it is called */
    public record Same(Supplied given, String there) {}

    /**
     * Keeps what somebody gave for a part at one time, which is one entry in the Record and one telling. The same file
     * twice for one part is kept once.
     */
    public List<Same> keep(Viewer viewer, Request request, RequestPart part, List<Supplied> all) {
        Map<Sha256, String> there = new HashMap<>();
        if (part.takes() == Takes.FILES) {
            request.given(part).stream()
                    .filter(Supplied::fills)
                    .forEach(one -> there.putIfAbsent(one.sha256(), one.name()));
        }
        List<Same> same = new ArrayList<>();
        List<Supplied> kept = new ArrayList<>();
        for (Supplied given : all) {
            String like = there.putIfAbsent(given.sha256(), given.name());
            if (like != null) {
                same.add(new Same(given, like));
            } else {
                requests.supply(request.id(), given);
                kept.add(given);
            }
        }
        if (!kept.isEmpty()) {
            plan.follow(request.id(), viewer.actor());
            noteAndTell(viewer, request, part, kept);
        }
        return same;
    }

    private void noteAndTell(Viewer viewer, Request request, RequestPart part, List<Supplied> kept) {
        audit.append(
                request.project(),
                request.id().value(),
                new RequestActs.RequestSupplied(
                        viewer.actor(),
                        request.title(),
                        part.name(),
                        kept.stream().map(Supplied::name).toList(),
                        kept.stream().map(Supplied::sha256).toList(),
                        kept.get(0).came().door().name(),
                        kept.stream()
                                .flatMap(one -> one.findings().stream())
                                .filter(Finding::fails)
                                .map(Finding::figures)
                                .distinct()
                                .toList()));
        write.arrived(
                request, part, viewer, kept.size() == 1 ? "“" + kept.get(0).name() + "”" : kept.size() + " files");
    }
}
