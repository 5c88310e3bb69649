package app.clearpane.web.plan;

import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.project.Covers;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.Projects;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What can be chosen beside the dates of a project: who is asked to agree to them, who manages it, its cover, and which phases can go. */
@Component
class BesideDates {
  private final AskForDates askForDates;
  private final People people;
  private final Projects projects;

  BesideDates(AskForDates askForDates, People people, Projects projects) {
    this.askForDates = askForDates;
    this.people = people;
    this.projects = projects;
  }

  /** For a page. */
  Map<String, Object> read(ProjectId project) {
    return Map.of("askable", askForDates.askable(project), "managers", people.team().stream().filter(one -> one.role() != TeamRole.MAKER).toList(), "covers", Covers.ALL, "emptyPhases", projects.emptyPhases(project));
  }
}
