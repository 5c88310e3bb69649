package app.clearpane.web.desk.team;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Load;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.project.ProjectState;
import app.clearpane.core.project.Timing;
import app.clearpane.core.turns.TurnTally;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.SlipBook;
import app.clearpane.usecases.project.StandingWords;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.ActiveProjects;
import app.clearpane.web.shell.frame.TeamController;
import app.clearpane.web.shell.rendering.RenderedRows;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Desk: what is next, what waits at clients, every project, and who has how much to do. */
@TeamController
class DeskController {
    private static final int SHOWN = 60;
    private static final int WEEKS = 6;
    /** How many tasks that somebody has not begun are listed. */
    private static final int AHEAD = 4;

    private static final int HOURS_A_DAY_WITHOUT_ESTIMATE = 4 * 60;
    private static final Set<String> SPANS = Set.of("month", "quarter", "year");
    private final AcrossProjects across;
    private final RenderedRows rows;
    private final People people;
    private final ProjectFrame frame;
    private final ActiveProjects workedOn;
    private final PlanBook book;
    private final SlipBook slips;
    private final StandingWords standings;
    private final Windows windows;
    private final TheAgency agency;

    DeskController(
            AcrossProjects across,
            RenderedRows rows,
            People people,
            ProjectFrame frame,
            ActiveProjects workedOn,
            PlanBook book,
            SlipBook slips,
            StandingWords standings,
            Windows windows,
            TheAgency agency) {
        this.across = across;
        this.rows = rows;
        this.people = people;
        this.frame = frame;
        this.workedOn = workedOn;
        this.book = book;
        this.slips = slips;
        this.standings = standings;
        this.windows = windows;
        this.agency = agency;
    }

    /** A deliverable and whose turn it is. */
    public record Work(ItemId id, String name, String turn) {}

    /** A project with how it stands, and its days on the axis. */
    public record Line(
            ProjectId id,
            String name,
            String tone,
            String stands,
            OptionalInt percent,
            String sentence,
            LocalDate finish,
            LocalDate agreed,
            ProjectStrips.Strip strip,
            List<ProjectStrips.Tick> ticks,
            double todayX,
            List<Work> works) {}

    /** As much of a list as a page shows at first, and how much is left. */
    private record Part<T>(List<T> shown, int left) {
        static <T> Part<T> of(Stream<T> all, boolean whole) {
            List<T> list = all.toList();
            return whole || list.size() <= SHOWN
                    ? new Part<>(list, 0)
                    : new Part<>(list.subList(0, SHOWN), list.size() - SHOWN);
        }
    }

    @ForOutsideMakers
    @GetMapping("/t")
    String desk(
            @RequestParam(defaultValue = "everyones") String whose,
            @RequestParam(defaultValue = "quarter") String span,
            @RequestParam(defaultValue = "") String client,
            @RequestParam(defaultValue = "false") boolean whole,
            @AuthenticationPrincipal Person.OfTeam me,
            Model model) {
        AcrossProjects.All all = across.now();
        Predicate<Project> looked =
                project -> client.isEmpty() || project.client().toString().equals(client);
        List<NextMoves.Line> moves = all.moves().stream()
                .filter(line -> looked.test(line.project())
                        && (!whose.equals("mine") || line.whose().contains(me.memberId())))
                .toList();
        ProjectStrips strips = new ProjectStrips(SPANS.contains(span) ? span : "quarter", agency.today());
        model.addAttribute("whose", whose);
        model.addAttribute("span", SPANS.contains(span) ? span : "quarter");
        model.addAttribute("client", client);
        model.addAttribute("clients", clients(all.projects()));
        Part<NextMoves.Line> ours = Part.of(moves.stream().filter(NextMoves.Line::ours), whole);
        Part<NextMoves.Line> theirs = Part.of(moves.stream().filter(line -> !line.ours()), whole);
        Part<ThisWeek.Due> due = Part.of(all.due().stream().filter(one -> looked.test(one.project())), whole);
        Part<ThisWeek.Unsorted> unsorted =
                Part.of(all.unsorted().stream().filter(one -> looked.test(one.project())), whole);
        Map<ItemId, Windows.Window> windowOf = windows.across(Stream.of(
                        moved(ours),
                        moved(theirs),
                        due.shown().stream().map(ThisWeek.Due::item),
                        unsorted.shown().stream().map(ThisWeek.Unsorted::item))
                .flatMap(Function.identity())
                .toList());
        model.addAttribute("windows", windowOf);
        model.addAttribute("ours", html(ours.shown(), windowOf));
        model.addAttribute("theirs", html(theirs.shown(), windowOf));
        Part<How> hows = Part.of(
                all.projects().stream()
                        .filter(looked)
                        .map(project -> how(Objects.requireNonNull(all.plans().get(project.id()))))
                        .sorted(Comparator.comparing((How how) -> !how.late())),
                whole);
        List<Line> lines = hows.shown().stream()
                .map(how -> line(
                        how,
                        strips,
                        all.works().getOrDefault(how.plan().project().id(), List.of())))
                .toList();
        model.addAttribute(
                "left",
                Map.of(
                        "ours",
                        ours.left(),
                        "clients",
                        theirs.left(),
                        "week",
                        due.left(),
                        "unsorted",
                        unsorted.left(),
                        "projects",
                        hows.left()));
        model.addAttribute("projects", lines);
        model.addAttribute("lines", rows.html("desk/_project", lines, ""));
        model.addAttribute("due", due.shown());
        model.addAttribute("week", across.week());
        model.addAttribute("unsorted", unsorted.shown());
        model.addAttribute("ticks", strips.ticks());
        model.addAttribute("ahead", all.ahead());
        return "desk/desk";
    }

    private static Stream<ItemId> moved(Part<NextMoves.Line> lines) {
        return lines.shown().stream().map(line -> line.move().item());
    }

    /** A next move with its little window. */
    record Shown(NextMoves.Line line, Windows.Window window) {
        /** Whether it is a paper, which no window is turned for. */
        public boolean isByName() {
            return window == Windows.Window.BY_NAME_ONLY;
        }
    }

    private String html(List<NextMoves.Line> lines, Map<ItemId, Windows.Window> windowOf) {
        return rows.html(
                "desk/_move",
                lines.stream()
                        .map(line -> new Shown(
                                line, windowOf.getOrDefault(line.move().item(), Windows.Window.BY_NAME_ONLY)))
                        .toList(),
                "");
    }

    private static Map<String, String> clients(List<Project> active) {
        Map<String, String> clients = new LinkedHashMap<>();
        active.stream()
                .filter(project -> !project.isOwn())
                .forEach(project -> clients.put(project.client().toString(), project.clientName()));
        return clients;
    }

    /** How a project stands. */
    private record How(ProjectPlan plan, TurnTally turns, ProjectState standing, Timing timing) {
        private boolean late() {
            return timing == Timing.LATE || timing == Timing.AT_RISK || timing == Timing.FINISHED_LATE;
        }
    }

    private How how(ProjectPlan plan) {
        TurnTally turns = workedOn.in(plan.project());
        ProjectState standing = plan.standing(turns);
        return new How(plan, turns, standing, plan.timing(standing));
    }

    /** How a project stands, in two words. */
    private String stands(How how) {
        if (how.late()) {
            int days = how.plan().isPlanned() ? how.plan().daysAfterAgreed() : 0;
            return days > 0
                    ? days + (days == 1 ? " day late" : " days late")
                    : how.timing() == Timing.LATE ? "late" : "at risk";
        }
        return switch (how.standing()) {
            case WAITING_ON_THE_CLIENT, PAUSED, COMPLETE, NOT_STARTED, TO_BE_PLANNED ->
                standings.inWords(how.standing());
            case ARCHIVED, IN_REVIEW, UNDER_WAY -> standings.own(how.standing()).orElse("on course");
        };
    }

    private Line line(How how, ProjectStrips strips, List<DeliverableState> works) {
        ProjectPlan plan = how.plan();
        ProjectState standing = how.standing();
        return new Line(
                plan.project().id(),
                plan.project().fullName(),
                how.late()
                        ? "late"
                        : standing == ProjectState.WAITING_ON_THE_CLIENT
                                ? "client"
                                : standing == ProjectState.COMPLETE ? "done" : "quiet",
                stands(how),
                plan.percent(),
                frame.sentence(plan.project(), plan, how.turns()),
                plan.isPlanned() ? plan.finish() : plan.agreedFinish(),
                plan.agreedFinish(),
                strips.draw(plan, slips.latest(plan)),
                strips.ticks(),
                strips.x(agency.today()),
                works.stream()
                        .map(state -> new Work(
                                state.deliverable().id(),
                                state.deliverable().name(),
                                state.turn().name()))
                        .toList());
    }

    /** The next or the one before of what awaits us, in the Desk's order; the Desk itself where nothing does. */
    @ForOutsideMakers
    @GetMapping("/t/next")
    String next(@RequestParam Optional<ItemId> from, @RequestParam(defaultValue = "1") int by) {
        List<NextMoves.Line> awaiting =
                across.now().moves().stream().filter(NextMoves.Line::ours).toList();
        int at = from.map(id -> awaiting.stream()
                        .map(line -> line.move().item())
                        .toList()
                        .indexOf(id))
                .orElse(-1);
        int next = at < 0 && by < 0 ? awaiting.size() - 1 : at + Integer.signum(by);
        return awaiting.isEmpty()
                ? "redirect:/t"
                : "redirect:"
                        + awaiting.get(Math.floorMod(next, awaiting.size())).address();
    }

    /**
     * One of the team with what they are on and how full their weeks are. @param ahead what they begin next @param
     * beyond how much more there is of that
     */
    record Busy(TeamMember member, List<PlannedTask> on, List<PlannedTask> ahead, int beyond, List<Load.Week> weeks) {}

    private record Begins(PlannedTask task, LocalDate on) {}

    @GetMapping("/t/people")
    String people(Model model) {
        Map<ProjectId, ProjectPlan> plans = book.planOf(workedOn.projects());
        Map<ProjectId, Project> byId = new LinkedHashMap<>();
        workedOn.projects().forEach(project -> byId.put(project.id(), project));
        List<Busy> busy = new ArrayList<>();
        for (TeamMember member : people.team()) {
            List<PlannedTask> on = plans.values().stream()
                    .flatMap(plan -> plan.open().stream())
                    .filter(task -> task.isOnDeskOf(member.id())
                            && task.task().actual().began().isPresent())
                    .toList();
            List<PlannedTask> ahead = plans.values().stream()
                    .flatMap(plan -> plan.open().stream()
                            .filter(task -> task.hands()
                                            .member()
                                            .filter(member.id()::equals)
                                            .isPresent()
                                    && task.task().actual().began().isEmpty())
                            .map(task -> new Begins(task, plan.firstDay(task.id()))))
                    .sorted(Comparator.comparing(Begins::on))
                    .map(Begins::task)
                    .toList();
            busy.add(new Busy(
                    member,
                    on,
                    ahead.stream().limit(AHEAD).toList(),
                    Math.max(0, ahead.size() - AHEAD),
                    Load.weeks(pieces(plans, member.id()), agency.today(), WEEKS, agency.calendar())));
        }
        model.addAttribute("busy", busy);
        model.addAttribute("byId", byId);
        model.addAttribute("team", people.team());
        model.addAttribute(
                "windows",
                windows.across(busy.stream()
                        .flatMap(one -> Stream.concat(one.on().stream(), one.ahead().stream()))
                        .map(PlannedTask::id)
                        .toList()));
        return "desk/people";
    }

    /** The work left in the open tasks of somebody; where nothing was estimated, half a day for each of its days. */
    private List<Load.Piece> pieces(Map<ProjectId, ProjectPlan> plans, TeamMemberId member) {
        List<Load.Piece> pieces = new ArrayList<>();
        plans.values().forEach(plan -> plan.open().stream()
                .filter(task -> task.hands().member().filter(member::equals).isPresent())
                .forEach(task -> {
                    LocalDate from =
                            plan.firstDay(task.id()).isBefore(plan.today()) ? plan.today() : plan.firstDay(task.id());
                    LocalDate to = plan.lastDay(task.id()).isBefore(from) ? from : plan.lastDay(task.id());
                    int all = task.task()
                            .shape()
                            .effortMinutes()
                            .orElse(HOURS_A_DAY_WITHOUT_ESTIMATE
                                    * Math.max(1, task.task().shape().days()));
                    int left = task.task().shape().days() == 0
                            ? all
                            : Math.max(
                                    1,
                                    all
                                            * Math.min(
                                                    task.task().shape().days(),
                                                    agency.calendar().workingDays(from, to.plusDays(1)))
                                            / task.task().shape().days());
                    pieces.add(new Load.Piece(left, from, to));
                }));
        return pieces;
    }
}
