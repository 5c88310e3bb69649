package app.clearpane.web.desk.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.Project;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import app.clearpane.web.shell.rendering.RenderedRows;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
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
    private static final Set<String> SPANS = Set.of("month", "quarter", "year");
    private final AcrossProjects across;
    private final RenderedRows rows;
    private final Windows windows;
    private final TheAgency agency;
    private final ProjectLines projectLines;

    DeskController(
            AcrossProjects across, RenderedRows rows, Windows windows, TheAgency agency, ProjectLines projectLines) {
        this.projectLines = projectLines;
        this.across = across;
        this.rows = rows;
        this.windows = windows;
        this.agency = agency;
    }

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
        Part<ProjectLines.How> hows = Part.of(
                all.projects().stream()
                        .filter(looked)
                        .map(project -> projectLines.how(
                                Objects.requireNonNull(all.plans().get(project.id()))))
                        .sorted(Comparator.comparing((ProjectLines.How how) -> !how.late())),
                whole);
        List<ProjectLines.Line> lines = hows.shown().stream()
                .map(how -> projectLines.line(
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
}
