package app.clearpane.web.desk.team;

import app.clearpane.core.papers.Paper;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.HeldRequest;
import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.shell.frame.ActiveProjects;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Reads what is addressed to people by name and not settled. */
@Component
class ReadAddressed {
    private final Papers papers;
    private final ActiveProjects workedOn;
    private final TheAgency agency;

    ReadAddressed(Papers papers, ActiveProjects workedOn, TheAgency agency) {
        this.papers = papers;
        this.workedOn = workedOn;
        this.agency = agency;
    }

    /** All of it. @param requests that one side holds, drafts too */
    record Addressed(List<Paper> papers, List<HeldRequest> requests) {}

    Addressed read(Set<ProjectId> projects) {
        return new Addressed(papers.unsettled(projects, agency.today()), workedOn.everybodysRequests());
    }
}
