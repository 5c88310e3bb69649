package app.clearpane.web.desk;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.TurnLedger;
import app.clearpane.store.Writes;
import app.clearpane.store.papers.Papers;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Project;
import app.clearpane.web.deliverable.DeliverableState;
import app.clearpane.web.deliverable.States;
import app.clearpane.web.layout.KeptReading;
import app.clearpane.web.layout.TheAgency;
import app.clearpane.web.layout.WorkedOn;
import app.clearpane.web.plan.PlanBook;
import app.clearpane.web.plan.ThePlan;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Everything that goes on in the projects that are worked on, for the Desk; computed anew when something was written and once a minute. */
@Component
class AcrossProjects {
  private final States states;
  private final WorkedOn workedOn;
  private final PlanBook book;
  private final Tasks tasks;
  private final Papers papers;
  private final TheAgency agency;
  private final NextMoves nextMoves;
  private final ThisWeek thisWeek;
  private final Clock clock;
  private final KeptReading<Instant, All> kept;

  AcrossProjects(States states, WorkedOn workedOn, PlanBook book, Tasks tasks, Papers papers, TheAgency agency, NextMoves nextMoves, ThisWeek thisWeek, Writes writes, Clock clock) {
    this.states = states;
    this.workedOn = workedOn;
    this.book = book;
    this.tasks = tasks;
    this.papers = papers;
    this.agency = agency;
    this.nextMoves = nextMoves;
    this.thisWeek = thisWeek;
    this.clock = clock;
    this.kept = new KeptReading<>(writes, 1, minute -> read());
  }

  /** What the week is called that is looked ahead to. */
  String week() {
    return thisWeek.called();
  }

  /**
   * All of it.
   *
   * @param works the deliverables of each project that has any
   * @param moves what is to be done next, in order
   */
  record All(List<Project> projects, Map<ProjectId, ThePlan> plans, Map<ProjectId, List<DeliverableState>> works, List<NextMoves.Line> moves, List<ThisWeek.Due> due, List<ThisWeek.Unsorted> unsorted) {}

  All now() {
    return kept.of(clock.instant().truncatedTo(ChronoUnit.MINUTES));
  }

  private All read() {
    List<DeliverableState> works = states.ofActiveProjects();
    List<Project> projects = workedOn.projects();
    Map<ProjectId, ThePlan> plans = book.of(projects);
    Map<ItemId, TurnLedger> ledgers = plans.values().stream().anyMatch(ThePlan::isPlanned) ? tasks.ledgers(plans.keySet()) : Map.of();
    return new All(projects, plans, works.stream().collect(Collectors.groupingBy(state -> state.deliverable().project())), nextMoves.of(works, plans, ledgers, papers.unsettled(plans.keySet(), agency.today())), thisWeek.due(works, plans), thisWeek.unsorted(works, plans));
  }
}
