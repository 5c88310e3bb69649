package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Notes;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.task.Assignees;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.shell.rendering.RenderedRows;
import java.time.DateTimeException;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The ways in which a plan can be looked at. */
@Component
class PlanWays {
    private final RenderedRows rows;
    private final BesideDates besideDates;
    private final Agreements agreements;
    private final Tasks tasks;
    private final Notes notes;
    private final TheAgency agency;
    private final Assignees doers;

    PlanWays(
            RenderedRows rows,
            BesideDates besideDates,
            Agreements agreements,
            Tasks tasks,
            Notes notes,
            TheAgency agency,
            Assignees doers) {
        this.doers = doers;
        this.rows = rows;
        this.besideDates = besideDates;
        this.agreements = agreements;
        this.tasks = tasks;
        this.notes = notes;
        this.agency = agency;
    }

    /** What is shown. @param windows the little window of each thing */
    record Shown(
            PlanController.Look look,
            ProjectPlan plan,
            PlanLines lines,
            TaskSteps.OfProject steps,
            Map<ItemId, Windows.Window> windows) {}

    /** Puts a plan on a page in the way that was chosen. */
    void show(Model model, Shown shown, Person.OfTeam me, CsrfToken token) {
        PlanController.Look look = shown.look();
        ProjectPlan plan = shown.plan();
        PlanLines lines = shown.lines();
        TaskSteps.OfProject steps = shown.steps();
        Map<ItemId, Windows.Window> windowsOf = shown.windows();
        ProjectId project = plan.project().id();
        model.addAttribute("doers", doers.ofProject(project));
        switch (look.as()) {
            case "time" -> {
                PlanTime.Drawing drawing =
                        new PlanTime(plan, tasks.ledgers(project), agency.get().zone()).draw(lines.groups(look.by()));
                model.addAttribute("drawing", drawing);
                model.addAttribute("links", rows.html("plan/_link", drawing.links(), ""));
                model.addAttribute("seen", rows.html("plan/_seen", seen(drawing, windowsOf), ""));
                model.addAttribute("bars", rows.html("plan/_bars", drawing.rows(), ""));
            }
            case "columns" -> model.addAttribute("columns", columns(lines.groups(look.by()), steps));
            case "month" -> month(look, lines, plan, model);
            case "dates" -> {
                model.addAttribute("agreements", agreements.ofProject(project));
                model.addAllAttributes(besideDates.read(project));
                model.addAttribute("stages", Stage.values());
                model.addAttribute(
                        "named",
                        Arrays.stream(Stage.values())
                                .collect(Collectors.toMap(stage -> stage, stage -> steps.steps().own().stream()
                                        .filter(step -> step.stage() == stage)
                                        .map(Steps.Step::name)
                                        .collect(Collectors.joining(", ")))));
                model.addAttribute("notes", notes.about(Set.of(project.value()), me.memberId()));
            }
            default ->
                model.addAttribute(
                        "groups",
                        lines.groups(look.by()).stream()
                                .map(group -> new Written(
                                        group,
                                        rows.html(
                                                "plan/_line",
                                                group.lines().stream()
                                                        .map(line -> new Listed(
                                                                line,
                                                                Objects.requireNonNull(windowsOf.get(
                                                                        line.task()
                                                                                .id())),
                                                                steps.stepOf(
                                                                        line.task()
                                                                                .id(),
                                                                        line.stage()),
                                                                steps.steps()))
                                                        .toList(),
                                                token.getToken())))
                                .toList());
        }
    }

    /** A line with its little window, the step it is at, and all there are. */
    record Listed(PlanLines.Line line, Windows.Window window, Steps.Step step, Steps steps) {}

    /** The little window of what stands in a row of the drawing. */
    record Seen(ItemId item, String name, int y, Windows.Window window) {}

    private static List<Seen> seen(PlanTime.Drawing drawing, Map<ItemId, Windows.Window> windowsOf) {
        Stream<Seen> tasks = drawing.rows().stream()
                .map(row -> new Seen(
                        row.line().task().id(),
                        row.line().task().name(),
                        row.y(),
                        Objects.requireNonNull(windowsOf.get(row.line().task().id()))));
        Stream<Seen> milestones = drawing.diamonds().stream()
                .map(diamond -> new Seen(
                        diamond.milestone().id(),
                        diamond.milestone().name(),
                        diamond.y(),
                        Objects.requireNonNull(windowsOf.get(diamond.milestone().id()))));
        return Stream.concat(tasks, milestones).toList();
    }

    /** Lines under a heading, as HTML. */
    record Written(PlanLines.Group group, String html) {}

    /** The tasks at a step, under headings. */
    record Column(Steps.Step step, int count, List<PlanLines.Group> groups) {}

    private static List<Column> columns(List<PlanLines.Group> groups, TaskSteps.OfProject steps) {
        Map<Steps.Step, List<PlanLines.Group>> columns = new LinkedHashMap<>();
        steps.steps().all().forEach(step -> columns.put(step, new ArrayList<>()));
        groups.forEach(group -> columns.forEach((step, there) -> {
            List<PlanLines.Line> at = group.lines().stream()
                    .filter(line -> !line.gathers()
                            && steps.stepOf(line.task().id(), line.stage()).equals(step))
                    .toList();
            if (!at.isEmpty()) {
                there.add(group.with(at));
            }
        }));
        return columns.entrySet().stream()
                .map(column -> new Column(
                        column.getKey(),
                        (int) column.getValue().stream()
                                .flatMap(group -> group.lines().stream())
                                .map(line -> line.task().id())
                                .distinct()
                                .count(),
                        column.getValue()))
                .toList();
    }

    private static void month(PlanController.Look look, PlanLines lines, ProjectPlan plan, Model model) {
        YearMonth month;
        try {
            month = look.month().isEmpty() ? YearMonth.from(plan.today()) : YearMonth.parse(look.month());
        } catch (DateTimeException notAMonth) {
            month = YearMonth.from(plan.today());
        }
        month = month.getYear() < 1901 || month.getYear() > 9_990 ? YearMonth.from(plan.today()) : month;
        model.addAttribute("month", month.atDay(1));
        model.addAttribute("weeks", lines.month(month.atDay(1), look.by()));
    }
}
