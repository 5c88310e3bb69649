package app.clearpane.web.desk.team;

import app.clearpane.core.papers.Paper;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.shell.frame.ActiveProjects;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads all that is going on. */
@Component
class ReadAcross {
    private final States states;
    private final ActiveProjects workedOn;
    private final PlanBook book;
    private final Papers papers;
    private final TheAgency agency;
    private final WhatIsDue due;
    private final Directory directory;

    ReadAcross(
            States states,
            ActiveProjects workedOn,
            PlanBook book,
            Papers papers,
            TheAgency agency,
            WhatIsDue due,
            Directory directory) {
        this.states = states;
        this.workedOn = workedOn;
        this.book = book;
        this.papers = papers;
        this.agency = agency;
        this.due = due;
        this.directory = directory;
    }

    AcrossProjects.All read() {
        List<DeliverableState> works = states.ofActiveProjects();
        List<Project> projects = workedOn.everybodys();
        Map<ProjectId, ProjectPlan> plans = book.planOf(projects);
        List<Paper> unsettled = papers.unsettled(plans.keySet(), agency.today());
        return new AcrossProjects.All(
                projects,
                plans,
                works.stream().collect(Collectors.groupingBy(state -> state.deliverable()
                        .project())),
                due.moves(works, plans, unsettled),
                due.thisWeek(works, plans),
                due.unsorted(works, plans),
                due.dated(works, plans, unsettled),
                directory.ahead());
    }
}
