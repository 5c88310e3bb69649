package app.clearpane.web.project;

import app.clearpane.core.project.ProjectId;
import app.clearpane.core.project.Standing;
import app.clearpane.store.desk.TurnCounts;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.web.layout.NotThere;
import app.clearpane.web.layout.TheAgency;
import app.clearpane.web.layout.Words;
import app.clearpane.web.layout.WorkedOn;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The band with a project's name, the sentence that says how it stands, and its places. */
@Component
public class ProjectFrame {
  private final Projects projects;
  private final WorkedOn workedOn;
  private final TheAgency agency;
  private final Words words;

  ProjectFrame(Projects projects, WorkedOn workedOn, TheAgency agency, Words words) {
    this.projects = projects;
    this.workedOn = workedOn;
    this.agency = agency;
    this.words = words;
  }

  /**
   * What the band shows.
   *
   * @param place the place one is at
   */
  public record Frame(Project project, String sentence, String place) {}

  /** Puts a project's band above a page. @throws NotThere if there is no such project */
  public Project above(Model model, ProjectId id, String place) {
    Project project = workedOn.projects().stream().filter(one -> one.id().equals(id)).findFirst().orElseGet(() -> NotThere.unless(projects.find(id)));
    model.addAttribute("frame", new Frame(project, sentence(project, workedOn.in(project)), place));
    return project;
  }

  /** How a project stands, in one sentence. */
  public String sentence(Project project, TurnCounts.Counts turns) {
    boolean begun = !project.startsOn().isAfter(agency.today());
    Standing standing = Standing.of(new Standing.Facts(project.archivedAt() != null, begun, turns.ours(), turns.clients(), turns.nobodys(), 1));
    String finish = "Agreed for " + words.day(project.agreedOn()) + ".";
    return switch (standing) {
      case ARCHIVED -> "Archived on " + words.dayOf(project.archivedAt()) + ".";
      case TO_BE_PLANNED -> "To be planned.";
      case COMPLETE -> "Complete: everything is released. " + finish;
      case NOT_STARTED -> "Starts on " + words.day(project.startsOn()) + ". " + finish;
      case WAITING_ON_THE_CLIENT -> "Waiting on the client for " + words.count(turns.clients(), "thing", "things") + ". " + finish;
      case UNDER_WAY -> "Under way" + (turns.clients() > 0 ? ", with " + words.count(turns.clients(), "thing", "things") + " at the client" : "") + ". " + finish;
    };
  }
}
