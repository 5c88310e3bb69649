package app.clearpane.web.layout;

import app.clearpane.store.desk.TurnCounts;
import app.clearpane.store.project.Project;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.context.annotation.RequestScope;

/** The projects that are worked on and who holds what in them, read once for a page. */
@Component
@RequestScope
public class WorkedOn {
  private final TurnCounts counts;
  private final TheAgency agency;
  private @Nullable List<TurnCounts.Worked> known;

  WorkedOn(TurnCounts counts, TheAgency agency) {
    this.agency = agency;
    this.counts = counts;
  }

  /** The projects, by the name of their client. */
  public List<Project> projects() {
    return all().stream().map(TurnCounts.Worked::project).toList();
  }

  /** Who holds what in one project, put away or not. */
  public TurnCounts.Counts in(Project project) {
    return all().stream().filter(one -> one.project().id().equals(project.id())).findFirst().map(TurnCounts.Worked::turns).orElseGet(() -> counts.of(project.id(), agency.today()));
  }

  /** Who holds what in all of them. */
  public TurnCounts.Counts inAll() {
    return all().stream().map(TurnCounts.Worked::turns).reduce(TurnCounts.Counts.NONE, TurnCounts.Counts::plus);
  }

  private List<TurnCounts.Worked> all() {
    List<TurnCounts.Worked> read = known;
    if (read == null) {
      read = counts.workedOn(agency.today());
      known = read;
    }
    return read;
  }
}
