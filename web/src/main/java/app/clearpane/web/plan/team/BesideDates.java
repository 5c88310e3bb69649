package app.clearpane.web.plan.team;

import app.clearpane.core.project.Covers;
import app.clearpane.core.project.Ending;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.WhoAgrees;
import app.clearpane.usecases.shell.TheTeam;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * What can be chosen beside the dates of a project: who is asked to agree to them, who manages it, its cover, and which
 * phases can go.
 */
@Component
class BesideDates {
    private final TheTeam team;
    private final Projects projects;
    private final WhoAgrees whoAgrees;

    BesideDates(TheTeam team, Projects projects, WhoAgrees whoAgrees) {
        this.whoAgrees = whoAgrees;
        this.team = team;
        this.projects = projects;
    }

    /** For a page. */
    Map<String, Object> read(ProjectId project) {
        return Map.of(
                "askable",
                whoAgrees.askable(project),
                "managers",
                team.members().stream().filter(one -> one.role().mayPublish()).toList(),
                "covers",
                Covers.ALL,
                "emptyPhases",
                projects.emptyPhases(project),
                "endings",
                Ending.values());
    }
}
