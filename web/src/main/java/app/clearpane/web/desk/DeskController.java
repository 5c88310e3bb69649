package app.clearpane.web.desk;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Load;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.project.Standing;
import app.clearpane.core.project.Timing;
import app.clearpane.core.turns.TurnLedger;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.TeamMember;
import app.clearpane.store.desk.TurnCounts;
import app.clearpane.store.plan.PlannedTask;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.web.deliverable.DeliverableState;
import app.clearpane.web.deliverable.States;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.layout.TheAgency;
import app.clearpane.web.layout.WorkedOn;
import app.clearpane.web.plan.PlanBook;
import app.clearpane.web.plan.SlipBook;
import app.clearpane.web.plan.ThePlan;
import app.clearpane.web.project.ProjectFrame;
import app.clearpane.web.security.Person;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Desk: what is next, what waits at clients, every project, and who has how much to do. */
@TeamController
class DeskController {
  private static final int SHOWN = 60;
  private static final int WEEKS = 6;
  private static final int HOURS_A_DAY_WITHOUT_ESTIMATE = 4 * 60;
  private static final Set<String> SPANS = Set.of("month", "quarter", "year");
  private final States states;
  private final Projects projects;
  private final People people;
  private final Tasks tasks;
  private final ProjectFrame frame;
  private final WorkedOn workedOn;
  private final PlanBook book;
  private final SlipBook slips;
  private final NextMoves nextMoves;
  private final ThisWeek thisWeek;
  private final TheAgency agency;

  DeskController(States states, Projects projects, People people, Tasks tasks, ProjectFrame frame, WorkedOn workedOn, PlanBook book, SlipBook slips, NextMoves nextMoves, ThisWeek thisWeek, TheAgency agency) {
    this.states = states;
    this.projects = projects;
    this.people = people;
    this.tasks = tasks;
    this.frame = frame;
    this.workedOn = workedOn;
    this.book = book;
    this.slips = slips;
    this.nextMoves = nextMoves;
    this.thisWeek = thisWeek;
    this.agency = agency;
  }

  /** A project with how it stands. */
  record Line(Project project, String sentence, String stands, String tone, ThePlan plan, Strips.Strip strip, List<DeliverableState> deliverables) {}

  @GetMapping("/t")
  String desk(@RequestParam(defaultValue = "everyones") String whose, @RequestParam(defaultValue = "quarter") String span, @RequestParam(defaultValue = "") String client, @AuthenticationPrincipal Person.OfTeam me, Model model) {
    List<DeliverableState> all = states.ofActiveProjects();
    List<Project> active = workedOn.projects();
    List<Project> looked = active.stream().filter(project -> client.isEmpty() || project.client().toString().equals(client)).toList();
    Map<ProjectId, ThePlan> plans = book.of(looked.stream().limit(SHOWN).toList());
    List<NextMoves.Line> moves = nextMoves.of(all, plans, ledgers(plans), me.memberId()).stream().filter(line -> !whose.equals("mine") || line.mine()).toList();
    Strips strips = new Strips(SPANS.contains(span) ? span : "quarter", agency.today());
    model.addAttribute("whose", whose);
    model.addAttribute("span", SPANS.contains(span) ? span : "quarter");
    model.addAttribute("client", client);
    model.addAttribute("clients", clients(active));
    model.addAttribute("ours", moves.stream().filter(NextMoves.Line::ours).limit(SHOWN).toList());
    model.addAttribute("theirs", moves.stream().filter(line -> !line.ours()).limit(SHOWN).toList());
    model.addAttribute("projects", looked.stream().limit(SHOWN).map(project -> line(project, plans.get(project.id()), strips, all)).sorted(Comparator.comparing((Line line) -> !line.tone().equals("late"))).toList());
    model.addAttribute("due", thisWeek.due(all, plans).stream().limit(SHOWN).toList());
    model.addAttribute("unsorted", thisWeek.unsorted(all, plans).stream().limit(SHOWN).toList());
    model.addAttribute("ticks", strips.ticks());
    model.addAttribute("todayX", strips.x(agency.today()));
    model.addAttribute("archived", projects.archived());
    return "desk/desk";
  }

  private Map<ItemId, TurnLedger> ledgers(Map<ProjectId, ThePlan> plans) {
    return plans.values().stream().anyMatch(ThePlan::isPlanned) ? tasks.ledgers(plans.keySet()) : Map.of();
  }

  private static Map<String, String> clients(List<Project> active) {
    Map<String, String> clients = new LinkedHashMap<>();
    active.forEach(project -> clients.put(project.client().toString(), project.clientName()));
    return clients;
  }

  private Line line(Project project, ThePlan plan, Strips strips, List<DeliverableState> all) {
    TurnCounts.Counts turns = workedOn.in(project);
    Standing standing = plan.standing(turns);
    Timing timing = plan.timing(standing);
    boolean late = timing == Timing.LATE || timing == Timing.AT_RISK || timing == Timing.FINISHED_LATE;
    String stands = late ? plan.isPlanned() && plan.daysAfterAgreed() > 0 ? plan.daysAfterAgreed() + (plan.daysAfterAgreed() == 1 ? " day late" : " days late") : timing == Timing.LATE ? "late" : "at risk"
        : standing == Standing.WAITING_ON_THE_CLIENT ? "waiting on the client" : standing == Standing.PAUSED ? "paused" : standing == Standing.COMPLETE ? "complete" : "on course";
    return new Line(project, frame.sentence(project, plan, turns), stands, late ? "late" : standing == Standing.WAITING_ON_THE_CLIENT ? "client" : standing == Standing.COMPLETE ? "done" : "quiet", plan,
        strips.of(plan, slips.latest(plan)), all.stream().filter(state -> state.deliverable().project().equals(project.id())).toList());
  }

  /** The next or the one before of what awaits us, in the Desk's order; the Desk itself where nothing does. */
  @GetMapping("/t/next")
  String next(@RequestParam Optional<ItemId> from, @RequestParam(defaultValue = "1") int by, @AuthenticationPrincipal Person.OfTeam me) {
    Map<ProjectId, ThePlan> plans = book.of(workedOn.projects().stream().limit(SHOWN).toList());
    List<NextMoves.Line> awaiting = nextMoves.of(states.ofActiveProjects(), plans, ledgers(plans), me.memberId()).stream().filter(NextMoves.Line::ours).toList();
    int at = from.map(id -> awaiting.stream().map(line -> line.move().item()).toList().indexOf(id)).orElse(-1);
    int next = at < 0 && by < 0 ? awaiting.size() - 1 : at + Integer.signum(by);
    return awaiting.isEmpty() ? "redirect:/t" : "redirect:" + awaiting.get(Math.floorMod(next, awaiting.size())).address();
  }

  /** One of the team with what they are on and how full their weeks are. */
  record Busy(TeamMember member, List<PlannedTask> on, List<Load.Week> weeks) {}

  @GetMapping("/t/people")
  String people(Model model) {
    Map<ProjectId, ThePlan> plans = book.of(workedOn.projects());
    Map<ProjectId, Project> byId = new LinkedHashMap<>();
    workedOn.projects().forEach(project -> byId.put(project.id(), project));
    List<Busy> busy = new ArrayList<>();
    for (TeamMember member : people.team()) {
      List<PlannedTask> on = plans.values().stream().flatMap(plan -> plan.open().stream()).filter(task -> task.hands().member().filter(member.id()::equals).isPresent() && task.task().actual().began().isPresent()).toList();
      busy.add(new Busy(member, on, Load.weeks(pieces(plans, member.id()), agency.today(), WEEKS, agency.calendar())));
    }
    model.addAttribute("busy", busy);
    model.addAttribute("byId", byId);
    return "desk/people";
  }

  /** The work left in the open tasks of somebody; where nothing was estimated, half a day for each of its days. */
  private List<Load.Piece> pieces(Map<ProjectId, ThePlan> plans, TeamMemberId member) {
    List<Load.Piece> pieces = new ArrayList<>();
    plans.values().forEach(plan -> plan.open().stream().filter(task -> task.hands().member().filter(member::equals).isPresent()).forEach(task -> {
      LocalDate from = plan.firstDay(task.id()).isBefore(plan.today()) ? plan.today() : plan.firstDay(task.id());
      LocalDate to = plan.lastDay(task.id()).isBefore(from) ? from : plan.lastDay(task.id());
      int all = task.task().shape().effortMinutes().orElse(HOURS_A_DAY_WITHOUT_ESTIMATE * Math.max(1, task.task().shape().days()));
      int left = task.task().shape().days() == 0 ? all : Math.max(1, all * Math.min(task.task().shape().days(), agency.calendar().workingDays(from, to.plusDays(1))) / task.task().shape().days());
      pieces.add(new Load.Piece(left, from, to));
    }));
    return pieces;
  }
}
