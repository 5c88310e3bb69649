package app.clearpane.usecases.supply;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.Request;
import app.clearpane.core.turns.Turn;
import app.clearpane.store.project.Projects;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sends each who is asked for something one mail with all that is still owed. */
@Component
public class SendOwed {
    private final Requests requests;
    private final Projects projects;
    private final AuditLog audit;
    private final WriteOfRequest write;

    SendOwed(Requests requests, Projects projects, AuditLog audit, WriteOfRequest write) {
        this.requests = requests;
        this.projects = projects;
        this.audit = audit;
        this.write = write;
    }

    /** Sends them. @throws Refused if nothing is owed, or the project rests */
    @Transactional
    public void send(ProjectId id, Actor by) {
        Project project = NotFound.unless(projects.find(id));
        if (project.pausedAt() != null || project.archivedAt() != null) {
            throw Refused.because("The project rests, so nobody is asked for anything. Nothing was sent.");
        }
        List<Request> owed = requests.ofProject(id).stream()
                .filter(request -> request.turn() == Turn.CLIENTS)
                .toList();
        if (owed.isEmpty()) {
            throw Refused.changedMeanwhile("Nothing is owed at the moment. Nothing was sent.");
        }
        Map<Request.Asked, List<Request>> byPerson = owed.stream()
                .flatMap(request -> request.asked().stream().map(one -> Map.entry(one, request)))
                .collect(Collectors.groupingBy(
                        Map.Entry::getKey,
                        LinkedHashMap::new,
                        Collectors.mapping(Map.Entry::getValue, Collectors.toList())));
        byPerson.forEach((person, theirs) -> write.owes(person.contact(), theirs));
        audit.append(
                id,
                id.value(),
                new RequestActs.RequestOwedSent(
                        by,
                        project.name(),
                        byPerson.keySet().stream().map(Request.Asked::name).toList(),
                        owed.stream().map(Request::title).toList()));
    }
}
