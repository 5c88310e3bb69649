package app.clearpane.usecases.supply;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.Leaving;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Term;
import app.clearpane.core.supply.UsualSupply;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.Projects;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.files.AddFile;
import app.clearpane.usecases.project.ProjectLaidOut;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What the kind of work needs of the client stands ready when a project is opened: folders, and requests as drafts that
 * know when they go out.
 */
@Component
class DraftUsual {
    private final AddFile addFile;
    private final Requests requests;
    private final Projects projects;
    private final People people;
    private final RequestInPlan plan;
    private final TheAgency agency;
    private final AuditLog audit;

    DraftUsual(
            AddFile addFile,
            Requests requests,
            Projects projects,
            People people,
            RequestInPlan plan,
            TheAgency agency,
            AuditLog audit) {
        this.addFile = addFile;
        this.requests = requests;
        this.projects = projects;
        this.people = people;
        this.plan = plan;
        this.agency = agency;
        this.audit = audit;
    }

    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void laidOut(ProjectLaidOut event) {
        event.supply()
                .folders()
                .forEach(folder -> addFile.folderOnWay(event.project(), folder.way(), folder.words(), event.by()));
        List<Request.Asked> asked = event.contacts().stream()
                .flatMap(contact -> people.contact(contact).stream())
                .map(contact -> new Request.Asked(contact.id(), contact.name()))
                .toList();
        Project project = projects.find(event.project()).orElseThrow();
        event.supply().requests().forEach(usual -> draft(project, usual, asked, event.by()));
    }

    private void draft(Project project, UsualSupply.UsualRequest usual, List<Request.Asked> asked, Actor by) {
        List<RequestPart> parts = DraftRequest.read(String.join("\n", usual.wanted())).stream()
                .map(DraftRequest::part)
                .toList();
        Leaving leaving = new Leaving(
                usual.phase()
                        .flatMap(name -> projects.phases(project.id()).stream()
                                .filter(phase -> phase.name().equals(name))
                                .map(Phase::id)
                                .findFirst())
                        .map(phase -> (Leaving.When) new Leaving.WithPhase(phase, usual.daysBefore()))
                        .orElseGet(() -> new Leaving.OnDay(project.startsOn())),
                usual.alone());
        Request request = new Request(
                new RequestId(UUID.randomUUID()),
                project.id(),
                usual.title(),
                "",
                parts,
                asked,
                new Term.WithinDays(usual.days()),
                by,
                new Request.Draft(Optional.of(leaving)),
                List.of(),
                Optional.empty(),
                1);
        requests.add(request, agency.now());
        requests.leaves(request.id(), Optional.of(leaving));
        plan.put(request, new RequestInPlan.Place(Optional.empty()), by);
        audit.append(
                project.id(),
                request.id().value(),
                new RequestActs.RequestDrafted(
                        by,
                        request.title(),
                        parts.stream().map(RequestPart::name).toList(),
                        asked.stream().map(Request.Asked::name).toList()));
    }
}
