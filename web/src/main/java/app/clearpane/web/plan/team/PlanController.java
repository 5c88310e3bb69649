package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.task.DeleteTask;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletResponse;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The plan of a project, four ways, and what is agreed on of it. */
@TeamController
@ForOutsideMakers
class PlanController {
    private static final int A_YEAR = 31_536_000;
    private static final Set<String> WAYS = Set.of("lines", "time", "columns", "month", "dates");
    private final PlanBook book;
    private final StepBook stepBook;
    private final ProjectFrame frame;
    private final Windows windows;
    private final DeleteTask deleteTask;
    private final PlanWays ways;
    private final PlanAgainst against;

    PlanController(
            PlanBook book,
            StepBook stepBook,
            ProjectFrame frame,
            Windows windows,
            DeleteTask deleteTask,
            PlanWays ways,
            PlanAgainst against) {
        this.against = against;
        this.ways = ways;
        this.deleteTask = deleteTask;
        this.book = book;
        this.stepBook = stepBook;
        this.frame = frame;
        this.windows = windows;
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
        PlanAgainst.Compared compared = against.compare(latest, id(look.against()));
        ProjectPlan plan = compared.plan();
        PlanFilter filter = new PlanFilter(look.who(), me.memberId(), id(look.phase()), look.open());
        PlanLines lines = new PlanLines(plan, filter);
        TaskSteps.OfProject steps = stepBook.stepsOf(latest);
        model.addAttribute("plan", plan);
        model.addAttribute("steps", steps.steps());
        model.addAttribute("look", look);
        model.addAttribute("groupings", Grouping.values());
        model.addAttribute("narrows", filter.narrows());
        model.addAttribute("agreed", look.as().equals("dates") ? List.of() : against.agreed(project));
        model.addAttribute("slip", compared.slip());
        Map<ItemId, Windows.Window> windowsOf = windows.windowsOf(project);
        model.addAttribute("windows", windowsOf);
        model.addAttribute("added", asked.get("added"));
        model.addAttribute("moved", moved(plan, steps.steps(), asked));
        Optional<ItemId> deleted =
                new Input().one("The task", Objects.requireNonNullElse(asked.get("deleted"), ""), ItemId::of);
        model.addAttribute("deleted", deleted.orElse(null));
        model.addAttribute(
                "seenAgain",
                deleted.map(task -> deleteTask.seenIfBroughtBack(project, task)).orElse(List.of()));
        ways.show(model, new PlanWays.Shown(look, plan, lines, steps, windowsOf), me, token);
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

    static Optional<UUID> id(@Nullable String typed) {
        try {
            return typed == null || typed.isEmpty() ? Optional.empty() : Optional.of(UUID.fromString(typed));
        } catch (IllegalArgumentException notAnId) {
            return Optional.empty();
        }
    }

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

    /** The day a drawing's first pixel stands for is in its data; nothing is computed here. */
    static LocalDate day(String typed) {
        try {
            return LocalDate.parse(typed);
        } catch (DateTimeException notADay) {
            throw Refused.because("“" + typed + "” is not a day. Nothing was changed.");
        }
    }
}
