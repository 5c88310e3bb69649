package app.clearpane.web.desk.team;

import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.project.ProjectState;
import app.clearpane.core.turns.TurnTally;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.project.StandingWords;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.ActiveProjects;
import app.clearpane.web.shell.frame.TeamController;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalInt;
import java.util.Set;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** All projects side by side: in columns by how they stand, or with their phases on one time axis. */
@TeamController
@ForOutsideMakers
class AllProjectsController {
    private static final Set<String> SPANS = Set.of("month", "quarter", "year");
    private static final int LANE = 22;
    private final AcrossProjects across;
    private final Projects projects;
    private final ActiveProjects workedOn;
    private final ProjectFrame frame;
    private final StandingWords standings;
    private final TeamSight sight;
    private final TheAgency agency;

    AllProjectsController(
            AcrossProjects across,
            Projects projects,
            ActiveProjects workedOn,
            ProjectFrame frame,
            StandingWords standings,
            TeamSight sight,
            TheAgency agency) {
        this.across = across;
        this.projects = projects;
        this.workedOn = workedOn;
        this.frame = frame;
        this.standings = standings;
        this.sight = sight;
        this.agency = agency;
    }

    /** A project in a column. @param late whether its timing is in danger */
    record Card(ProjectId id, String name, String client, String sentence, OptionalInt percent, boolean late) {}

    /** The projects that stand alike. */
    record Column(String name, List<Card> cards) {}

    /**
     * A phase on the axis, drawn on a width of 1,000; its words stand beside the drawing's own scale. @param lane from
     * 0 @param width more than 0
     */
    record Bar(String name, String stage, LocalDate from, LocalDate to, double x, double width, int lane) {}

    /** A project on the axis. @param height of its drawing @param agreed where the agreed finish lies */
    record Row(
            ProjectId id,
            String name,
            String stands,
            List<Bar> bars,
            int height,
            double agreed,
            List<ProjectStrips.Tick> ticks) {}

    @GetMapping("/t/projects")
    String all(
            @RequestParam(defaultValue = "columns") String as,
            @RequestParam(defaultValue = "quarter") String span,
            Model model) {
        AcrossProjects.All all = across.now();
        model.addAttribute("as", as.equals("time") ? "time" : "columns");
        if (as.equals("time")) {
            String known = SPANS.contains(span) ? span : "quarter";
            ProjectStrips strips = new ProjectStrips(known, agency.today());
            model.addAttribute("span", known);
            model.addAttribute("ticks", strips.ticks());
            model.addAttribute("todayX", strips.x(agency.today()));
            model.addAttribute(
                    "rows",
                    all.projects().stream()
                            .map(project -> Objects.requireNonNull(all.plans().get(project.id())))
                            .map(plan -> row(plan, strips))
                            .toList());
        } else {
            model.addAttribute("columns", columns(all));
        }
        return "desk/projects";
    }

    private List<Column> columns(AcrossProjects.All all) {
        Map<ProjectState, List<Card>> cards = new EnumMap<>(ProjectState.class);
        for (Project project : all.projects()) {
            ProjectPlan plan = Objects.requireNonNull(all.plans().get(project.id()));
            TurnTally turns = workedOn.in(project);
            ProjectState standing = plan.standing(turns);
            boolean late =
                    switch (plan.timing(standing)) {
                        case LATE, AT_RISK, FINISHED_LATE -> true;
                        case FINISHED_ON_TIME, ON_COURSE -> false;
                    };
            cards.computeIfAbsent(standing, none -> new ArrayList<>())
                    .add(new Card(
                            project.id(),
                            project.name(),
                            project.clientName(),
                            frame.sentence(project, plan, turns),
                            plan.percent(),
                            late));
        }
        List<Card> ended = projects.archived().stream()
                .filter(project -> !sight.hides(project.id()))
                .map(project -> new Card(
                        project.id(),
                        project.name(),
                        project.clientName(),
                        frame.ended(project),
                        OptionalInt.empty(),
                        false))
                .toList();
        List<ProjectState> order = List.of(
                ProjectState.TO_BE_PLANNED,
                ProjectState.NOT_STARTED,
                ProjectState.UNDER_WAY,
                ProjectState.IN_REVIEW,
                ProjectState.WAITING_ON_THE_CLIENT,
                ProjectState.PAUSED,
                ProjectState.COMPLETE);
        List<Column> columns = new ArrayList<>(order.stream()
                .map(standing -> new Column(standings.inWords(standing), cards.getOrDefault(standing, List.of())))
                .filter(column -> !column.cards().isEmpty())
                .toList());
        if (!ended.isEmpty()) {
            columns.add(new Column(standings.inWords(ProjectState.ARCHIVED), ended));
        }
        return columns;
    }

    /** Phases that overlap lie in lanes below each other. */
    private Row row(ProjectPlan plan, ProjectStrips strips) {
        List<Bar> bars = new ArrayList<>();
        List<LocalDate> lanes = new ArrayList<>();
        for (Phase phase : plan.phases().stream()
                .map(one -> one.standing(plan.openIn(one.id()) > 0))
                .sorted(Comparator.comparing(Phase::startsOn))
                .toList()) {
            int lane = 0;
            while (lane < lanes.size() && !lanes.get(lane).isBefore(phase.startsOn())) {
                lane++;
            }
            if (lane == lanes.size()) {
                lanes.add(phase.endsOn());
            } else {
                lanes.set(lane, phase.endsOn());
            }
            double left = Math.max(0, strips.x(phase.startsOn()));
            double right = Math.min(1_000, strips.x(phase.endsOn().plusDays(1)));
            if (right > left) {
                bars.add(new Bar(
                        phase.name(),
                        phase.stage().name().toLowerCase(java.util.Locale.ROOT),
                        phase.startsOn(),
                        phase.endsOn(),
                        left,
                        right - left,
                        lane));
            }
        }
        return new Row(
                plan.project().id(),
                plan.project().fullName(),
                frame.sentence(plan.project(), plan, workedOn.in(plan.project())),
                bars,
                Math.max(1, lanes.size()) * LANE + 6,
                strips.x(plan.agreedFinish().plusDays(1)),
                strips.ticks());
    }
}
