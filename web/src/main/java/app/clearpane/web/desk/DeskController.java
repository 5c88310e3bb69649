package app.clearpane.web.desk;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.turns.Turn;
import app.clearpane.store.desk.TurnCounts;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.web.deliverable.DeliverableState;
import app.clearpane.web.deliverable.States;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.layout.WorkedOn;
import app.clearpane.web.project.ProjectFrame;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Desk: what is next, what waits at clients, and every project. */
@TeamController
class DeskController {
  private static final int SHOWN = 60;
  private static final Comparator<DeliverableState> FIRST_TO_DO = Comparator.comparing((DeliverableState state) -> !state.overdue())
      .thenComparing(state -> -urgency(state)).thenComparing(state -> -state.daysHeld()).thenComparing(state -> state.deliverable().id().toString());
  private final States states;
  private final Projects projects;
  private final ProjectFrame frame;
  private final WorkedOn workedOn;

  DeskController(States states, Projects projects, ProjectFrame frame, WorkedOn workedOn) {
    this.states = states;
    this.projects = projects;
    this.frame = frame;
    this.workedOn = workedOn;
  }

  /** Something to do or to wait for. */
  record Move(DeliverableState state, Project project) {}

  /** A project with how it stands. */
  record Line(Project project, String sentence, TurnCounts.Counts turns, List<DeliverableState> deliverables) {}

  @GetMapping("/t")
  String desk(Model model) {
    List<DeliverableState> all = states.ofActiveProjects();
    List<Project> active = workedOn.projects();
    Map<?, Project> byId = active.stream().collect(Collectors.toMap(Project::id, Function.identity()));
    model.addAttribute("ours", moves(all, byId, Turn.OURS));
    model.addAttribute("clients", moves(all, byId, Turn.CLIENTS));
    model.addAttribute("projects", active.stream().limit(SHOWN).map(project -> {
      TurnCounts.Counts turns = workedOn.in(project);
      return new Line(project, frame.sentence(project, turns), turns, all.stream().filter(s -> s.deliverable().project().equals(project.id())).toList());
    }).toList());
    model.addAttribute("archived", projects.archived());
    return "desk/desk";
  }

  /** The next or the one before of what awaits us, in the Desk's order; the Desk itself where nothing does. */
  @GetMapping("/t/next")
  String next(@RequestParam Optional<ItemId> from, @RequestParam(defaultValue = "1") int by) {
    List<ItemId> awaiting = states.ofActiveProjects().stream().filter(DeliverableState::ours).sorted(FIRST_TO_DO).map(state -> state.deliverable().id()).toList();
    int at = from.map(awaiting::indexOf).orElse(-1);
    int next = at < 0 && by < 0 ? awaiting.size() - 1 : at + Integer.signum(by);
    return awaiting.isEmpty() ? "redirect:/t" : "redirect:/t/deliverables/" + awaiting.get(Math.floorMod(next, awaiting.size()));
  }

  private static List<Move> moves(List<DeliverableState> all, Map<?, Project> projects, Turn turn) {
    return all.stream().filter(state -> state.turn() == turn).sorted(FIRST_TO_DO).limit(SHOWN).map(state -> new Move(state, projects.get(state.deliverable().project()))).toList();
  }

  private static int urgency(DeliverableState state) {
    return switch (state.phase()) {
      case CAME_BACK, WILL_GO_BACK -> 3;
      case SIGNED, NOBODY_LEFT -> 2;
      default -> 1;
    };
  }
}
