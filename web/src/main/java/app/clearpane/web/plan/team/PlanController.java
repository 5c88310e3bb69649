package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Notes;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.Assignees;
import app.clearpane.usecases.plan.MoveTask;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.PlanTask;
import app.clearpane.usecases.plan.SlipBook;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import app.clearpane.web.shell.rendering.RenderedRows;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletResponse;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The plan of a project, four ways, and what is agreed on of it. */
@TeamController
@ForOutsideMakers
class PlanController {
    private static final int A_YEAR = 31_536_000;
    private static final Set<String> WAYS = Set.of("lines", "time", "columns", "month", "dates");
    private final PlanBook book;
    private final RenderedRows rows;
    private final SlipBook slips;
    private final PlanTask planTask;
    private final MoveTask moveTask;
    private final BesideDates besideDates;
    private final Agreements agreements;
    private final Tasks tasks;
    private final StepBook stepBook;
    private final Assignees doers;
    private final ProjectFrame frame;
    private final Windows windows;
    private final Notes notes;
    private final TheAgency agency;

    PlanController(
            PlanBook book,
            RenderedRows rows,
            SlipBook slips,
            PlanTask planTask,
            MoveTask moveTask,
            BesideDates besideDates,
            Agreements agreements,
            Tasks tasks,
            StepBook stepBook,
            Assignees doers,
            ProjectFrame frame,
            Windows windows,
            Notes notes,
            TheAgency agency) {
        this.book = book;
        this.rows = rows;
        this.slips = slips;
        this.planTask = planTask;
        this.moveTask = moveTask;
        this.besideDates = besideDates;
        this.agreements = agreements;
        this.tasks = tasks;
        this.stepBook = stepBook;
        this.doers = doers;
        this.frame = frame;
        this.windows = windows;
        this.notes = notes;
        this.agency = agency;
    }

    /**
     * How somebody looks at plans: which way, what is left out, under which headings, and against which agreement if
     * not the latest.
     */
    record Look(String as, String who, String phase, boolean open, String month, Grouping by, String against) {
        private static Look remembered(String kept) {
            String[] parts = kept.split("~", -1);
            return parts.length == 4 && WAYS.contains(parts[0])
                    ? new Look(parts[0], parts[1], "", parts[2].equals("open"), "", Grouping.group(parts[3]), "")
                    : new Look("lines", "all", "", false, "", Grouping.PHASE, "");
        }

        String kept() {
            return as + "~" + who + "~" + (open ? "open" : "") + "~" + by.name().toLowerCase(Locale.ROOT);
        }
    }

    @GetMapping("/t/projects/{project}/plan")
    String plan(
            @PathVariable ProjectId project,
            @RequestParam Map<String, String> asked,
            @CookieValue(name = "plan", defaultValue = "") String kept,
            @AuthenticationPrincipal Person.OfTeam me,
            CsrfToken token,
            HttpServletResponse response,
            Model model) {
        Project found = frame.above(model, project, "Plan");
        ProjectPlan latest = book.planOf(found);
        Look look = look(asked, Look.remembered(kept));
        remember(look, kept, response);
        Optional<Agreements.Agreement> against =
                id(look.against()).flatMap(agreement -> agreements.find(project, agreement));
        ProjectPlan plan = against.map(earlier -> book.against(latest, earlier)).orElse(latest);
        PlanFilter filter = new PlanFilter(look.who(), me.memberId(), id(look.phase()), look.open());
        PlanLines lines = new PlanLines(plan, filter);
        TaskSteps.OfProject steps = stepBook.stepsOf(latest);
        model.addAttribute("plan", plan);
        model.addAttribute("steps", steps.steps());
        model.addAttribute("look", look);
        model.addAttribute("groupings", Grouping.values());
        model.addAttribute("narrows", filter.narrows());
        model.addAttribute("doers", doers.ofProject(project));
        model.addAttribute("agreed", look.as().equals("dates") ? List.of() : agreements.made(project));
        model.addAttribute(
                "slip",
                against.map(earlier -> slips.since(plan, earlier, Optional.empty()))
                        .or(() -> slips.latest(plan))
                        .orElse(null));
        Map<ItemId, Windows.Window> windowsOf = windows.windowsOf(project);
        model.addAttribute("windows", windowsOf);
        model.addAttribute("added", asked.get("added"));
        model.addAttribute("moved", moved(plan, steps.steps(), asked));
        Optional<ItemId> deleted =
                new Input().one("The task", Objects.requireNonNullElse(asked.get("deleted"), ""), ItemId::of);
        model.addAttribute("deleted", deleted.orElse(null));
        model.addAttribute(
                "seenAgain",
                deleted.map(task -> planTask.seenIfBroughtBack(project, task)).orElse(List.of()));
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
        return "plan/" + look.as();
    }

    private static Look look(Map<String, String> asked, Look before) {
        String wanted = asked.getOrDefault("as", "");
        String as = WAYS.contains(wanted) ? wanted : before.as();
        boolean filtering = asked.containsKey("who");
        return new Look(
                as,
                asked.getOrDefault("who", before.who()),
                asked.getOrDefault("phase", ""),
                filtering ? asked.containsKey("open") : before.open(),
                asked.getOrDefault("month", ""),
                asked.containsKey("by") ? Grouping.group(asked.get("by")) : before.by(),
                asked.getOrDefault("against", ""));
    }

    private static void remember(Look look, String kept, HttpServletResponse response) {
        if (!look.as().equals("dates")
                && !look.kept().equals(kept)
                && look.kept().matches("[a-z0-9:~-]{1,80}")) {
            Cookie cookie = new Cookie("plan", look.kept());
            cookie.setPath("/t");
            cookie.setMaxAge(A_YEAR);
            cookie.setHttpOnly(true);
            cookie.setAttribute("SameSite", "Lax");
            response.addCookie(cookie);
        }
    }

    private static Optional<UUID> id(@Nullable String typed) {
        try {
            return typed == null || typed.isEmpty() ? Optional.empty() : Optional.of(UUID.fromString(typed));
        } catch (IllegalArgumentException notAnId) {
            return Optional.empty();
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

    /** What was moved just now, to offer its undoing. */
    record Moved(ItemId id, String name, String was) {}

    private static @Nullable Moved moved(ProjectPlan plan, Steps steps, Map<String, String> asked) {
        return id(asked.get("moved"))
                .map(ItemId::new)
                .flatMap(plan::task)
                .flatMap(task -> steps.read(asked.getOrDefault("was", ""))
                        .map(was -> new Moved(task.id(), task.name(), was.value())))
                .orElse(null);
    }

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

    private static void month(Look look, PlanLines lines, ProjectPlan plan, Model model) {
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

    @PostMapping("/t/projects/{project}/tasks")
    String add(
            @PathVariable ProjectId project,
            @RequestParam String line,
            @RequestParam(defaultValue = "") String phase,
            @RequestParam(defaultValue = "") String parent,
            @AuthenticationPrincipal Person.OfTeam me) {
        ItemId added = planTask.line(project, line, id(parent).map(ItemId::new), id(phase), me);
        return "redirect:/t/projects/" + project + "/plan?added=" + (phase.isEmpty() ? "none" : phase) + "#task-"
                + added;
    }

    @PostMapping("/t/projects/{project}/tasks/many")
    String many(
            @PathVariable ProjectId project,
            @RequestParam(required = false) @Nullable List<ItemId> task,
            @RequestParam String stage,
            @AuthenticationPrincipal Person me) {
        if (task == null || task.isEmpty()) {
            throw Refused.because("Nothing is ticked. Tick the tasks that are meant, then choose again.");
        }
        List<ItemId> ofThis = new ArrayList<>(task);
        ofThis.removeIf(id ->
                tasks.find(id).filter(found -> found.project().equals(project)).isEmpty());
        moveTask.all(ofThis, stage, me.actor());
        return "redirect:/t/projects/" + project + "/plan";
    }

    /** The day a drawing's first pixel stands for is in its data; nothing is computed here. */
    static LocalDate day(String typed) {
        try {
            return LocalDate.parse(typed);
        } catch (DateTimeException notADay) {
            throw Refused.because("“" + typed + "” is not a day. Nothing was changed.");
        }
    }
}
