package app.clearpane.web.desk.team;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.plan.Load;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.shell.frame.ActiveProjects;
import app.clearpane.web.shell.frame.TeamController;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Who of the team is on what, and how full their weeks are. */
@TeamController
class TeamLoadController {
    private static final int WEEKS = 6;
    /** How many tasks that somebody has not begun are listed. */
    private static final int AHEAD = 4;

    private static final int HOURS_A_DAY_WITHOUT_ESTIMATE = 4 * 60;
    private final PlanBook book;
    private final ActiveProjects workedOn;
    private final People people;
    private final Windows windows;
    private final TheAgency agency;

    TeamLoadController(PlanBook book, ActiveProjects workedOn, People people, Windows windows, TheAgency agency) {
        this.book = book;
        this.workedOn = workedOn;
        this.people = people;
        this.windows = windows;
        this.agency = agency;
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
