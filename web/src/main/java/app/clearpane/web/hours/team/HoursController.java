package app.clearpane.web.hours.team;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.TimeSpent;
import app.clearpane.usecases.hours.WriteDay;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.ActiveProjects;
import app.clearpane.web.shell.frame.TeamController;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** One's own day, and the hours of everybody by project. */
@TeamController
@ForOutsideMakers
class HoursController {
    private static final int MOST_TASKS = 40;
    private final WriteDay writeDay;
    private final TimeSpent timeSpent;
    private final PlanBook book;
    private final ActiveProjects workedOn;
    private final TeamSight sight;
    private final TheAgency agency;

    HoursController(
            WriteDay writeDay,
            TimeSpent timeSpent,
            PlanBook book,
            ActiveProjects workedOn,
            TeamSight sight,
            TheAgency agency) {
        this.writeDay = writeDay;
        this.timeSpent = timeSpent;
        this.book = book;
        this.workedOn = workedOn;
        this.sight = sight;
        this.agency = agency;
    }

    /** A task that can be written on. */
    record Row(ItemId id, String name, String project) {}

    /** A project in the table. @param minutes by person, in the order of the heading; 0 for none */
    record OfProject(String name, List<Integer> minutes, int sum) {}

    /** Who spent how long where. @param sums of each person */
    record Table(List<String> people, List<OfProject> projects, List<Integer> sums, int all) {}

    @GetMapping("/t/hours")
    String hours(
            @RequestParam(defaultValue = "") String day,
            @RequestParam(defaultValue = "week") String span,
            @AuthenticationPrincipal Person.OfTeam me,
            Model model) {
        LocalDate on = day(day);
        boolean month = span.equals("month");
        LocalDate from = month ? on.withDayOfMonth(1) : on.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        LocalDate to = month ? from.plusMonths(1).minusDays(1) : from.plusDays(6);
        List<TimeSpent.OnDay> written = timeSpent.ofDay(me.memberId(), on);
        model.addAttribute("day", on);
        model.addAttribute("span", month ? "month" : "week");
        model.addAttribute("from", from);
        model.addAttribute("to", to);
        model.addAttribute("written", written);
        model.addAttribute(
                "sum", written.stream().mapToInt(TimeSpent.OnDay::spent).sum());
        model.addAttribute("rows", rows(me, written));
        model.addAttribute(
                "table",
                table(timeSpent.between(from, to).stream()
                        .filter(sum -> !sight.hides(sum.project())
                                && (!me.role().isOutside() || sum.member().equals(me.memberId())))
                        .toList()));
        return "hours/hours";
    }

    private LocalDate day(String typed) {
        try {
            LocalDate day = typed.isEmpty() ? agency.today() : LocalDate.parse(typed);
            return day.isAfter(agency.today()) || day.getYear() < 1901 ? agency.today() : day;
        } catch (DateTimeException notADay) {
            return agency.today();
        }
    }

    /** What is on one's desk, begun first, then what is next; and what was written on that day. */
    private List<Row> rows(Person.OfTeam me, List<TimeSpent.OnDay> written) {
        Map<ProjectId, ProjectPlan> plans = book.planOf(workedOn.projects());
        Set<ItemId> there = written.stream().map(TimeSpent.OnDay::task).collect(Collectors.toSet());
        List<Row> rows = new ArrayList<>();
        for (Project project : workedOn.projects()) {
            ProjectPlan plan = Objects.requireNonNull(plans.get(project.id()));
            plan.tasks().stream()
                    .filter(task -> plan.outline().isLeaf(task.id())
                            && (there.contains(task.id())
                                    || task.isOnDeskOf(me.memberId())
                                            && task.task().stage().open()))
                    .sorted(Comparator.comparing((PlannedTask task) ->
                                    task.task().actual().began().isEmpty())
                            .thenComparing(task -> plan.firstDay(task.id())))
                    .forEach(task -> rows.add(new Row(task.id(), task.name(), project.fullName())));
        }
        return rows.stream().limit(MOST_TASKS).toList();
    }

    private static Table table(List<TimeSpent.Sum> sums) {
        Map<TeamMemberId, String> people = new LinkedHashMap<>();
        sums.stream()
                .sorted(Comparator.comparing(TimeSpent.Sum::name))
                .forEach(sum -> people.putIfAbsent(sum.member(), sum.name()));
        Map<ProjectId, List<TimeSpent.Sum>> byProject = sums.stream()
                .collect(Collectors.groupingBy(TimeSpent.Sum::project, LinkedHashMap::new, Collectors.toList()));
        List<OfProject> projects = byProject.values().stream()
                .map(some -> new OfProject(
                        some.get(0).projectName(),
                        people.keySet().stream().map(person -> of(some, person)).toList(),
                        all(some)))
                .toList();
        return new Table(
                List.copyOf(people.values()),
                projects,
                people.keySet().stream().map(person -> of(sums, person)).toList(),
                all(sums));
    }

    private static int of(List<TimeSpent.Sum> sums, TeamMemberId person) {
        return sums.stream()
                .filter(sum -> sum.member().equals(person))
                .mapToInt(TimeSpent.Sum::minutes)
                .sum();
    }

    private static int all(List<TimeSpent.Sum> sums) {
        return sums.stream().mapToInt(TimeSpent.Sum::minutes).sum();
    }

    @PostMapping("/t/hours")
    String write(
            @RequestParam(defaultValue = "") String day,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal Person.OfTeam me) {
        return "redirect:/t/hours?day=" + writeDay.write(day, typed, me);
    }

    @PostMapping("/t/hours/{entry}/remove")
    String remove(
            @PathVariable UUID entry,
            @RequestParam(defaultValue = "") String day,
            @AuthenticationPrincipal Person.OfTeam me) {
        timeSpent.remove(entry, me.memberId());
        return "redirect:/t/hours?day=" + day(day);
    }
}
