package app.clearpane.web.desk.team;

import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Directory;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.plan.PlanBook;
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
    private final ReadAddressed addressed;
    private final WhatIsDue due;
    private final Directory directory;

    ReadAcross(
            States states,
            ActiveProjects workedOn,
            PlanBook book,
            ReadAddressed addressed,
            WhatIsDue due,
            Directory directory) {
        this.states = states;
        this.workedOn = workedOn;
        this.book = book;
        this.addressed = addressed;
        this.due = due;
        this.directory = directory;
    }

    AcrossProjects.All read() {
        List<DeliverableState> works = states.ofActiveProjects();
        List<Project> projects = workedOn.everybodys();
        Map<ProjectId, ProjectPlan> plans = book.planOf(projects);
        ReadAddressed.Addressed unsettled = addressed.read(plans.keySet());
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
