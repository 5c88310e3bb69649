package app.clearpane.web.exposure.team;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Covers;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.usecases.exposure.EndSeat;
import app.clearpane.usecases.exposure.GiveSeat;
import app.clearpane.usecases.exposure.PaneBoard;
import app.clearpane.usecases.exposure.SectionWords;
import app.clearpane.usecases.exposure.SetUpPane;
import app.clearpane.usecases.exposure.TakePaneAway;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import app.clearpane.web.shell.rendering.RenderedRows;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The panes of a project: what passes, to whom, and publishing it. */
@TeamController
class PaneController {
    /** How many items the board lists at first; whoever needs the rest asks for it. */
    private static final int LINES = 100;

    private final ProjectFrame frame;
    private final PaneBoard board;
    private final SetUpPane setUpPane;
    private final LinkSeats links;
    private final TakePaneAway takePaneAway;
    private final RenderedRows rows;
    private final EndSeat endSeat;

    PaneController(
            ProjectFrame frame,
            PaneBoard board,
            SetUpPane setUpPane,
            LinkSeats links,
            TakePaneAway takePaneAway,
            RenderedRows rows,
            EndSeat endSeat) {
        this.endSeat = endSeat;
        this.rows = rows;
        this.frame = frame;
        this.board = board;
        this.setUpPane = setUpPane;
        this.links = links;
        this.takePaneAway = takePaneAway;
    }

    /** An item of a cell, and which cell. */
    record Listed(PaneBoard.ItemLine line, PaneId pane, ContentKind kind) {}

    @GetMapping("/t/projects/{project}/panes")
    String board(
            @PathVariable ProjectId project,
            @RequestParam Optional<PaneId> pane,
            @RequestParam(defaultValue = "DELIVERABLES") ContentKind kind,
            @RequestParam Optional<SeatId> through,
            @RequestParam(defaultValue = "now") String sight,
            @RequestParam(defaultValue = "false") boolean all,
            CsrfToken token,
            Model model) {
        Project found = frame.above(model, project, "Panes");
        PaneBoard.Board laid = board.read(project, pane, kind);
        model.addAttribute("board", laid);
        List<PaneBoard.ItemLine> lines =
                all ? laid.lines() : laid.lines().stream().limit(LINES).toList();
        model.addAttribute("lines", lines);
        laid.selected().ifPresent(selected -> {
            model.addAttribute(
                    "rows",
                    rows.html(
                            "exposure/_item",
                            lines.stream()
                                    .map(line ->
                                            new Listed(line, selected.pane().id(), kind))
                                    .toList(),
                            token.getToken()));
            model.addAttribute("covers", Covers.ALL);
            model.addAttribute("usual", SectionWords.USUAL);
            model.addAttribute(
                    "links",
                    links.ofProject(project).stream()
                            .filter(link -> link.pane().equals(selected.pane().id()))
                            .toList());
            model.addAttribute("removable", laid.audiences().size() > 1 && takePaneAway.mayRemove(selected.pane()));
            model.addAttribute("endable", endSeat.endable(project, selected.seats()));
            model.addAttribute("candidates", GiveSeat.candidates(laid, selected.seats()));
            model.addAttribute(
                    "through",
                    selected.seats().stream()
                            .filter(seat -> through.isEmpty() || seat.id().equals(through.get()))
                            .findFirst()
                            .orElse(null));
        });
        model.addAttribute("sight", sight.equals("after-publishing") ? sight : "now");
        return "exposure/board";
    }

    @PostMapping("/t/projects/{project}/panes")
    @ForManagers
    String add(
            @PathVariable ProjectId project,
            @RequestParam String name,
            @RequestParam String welcome,
            @RequestParam(defaultValue = "") String like,
            @AuthenticationPrincipal Person me) {
        Input input = new Input();
        Optional<PaneId> alike =
                like.isEmpty() ? Optional.empty() : input.one("The pane that it is to be like", like, PaneId::of);
        input.allGood();
        PaneId pane = alike.isPresent()
                ? setUpPane.copy(project, alike.get(), name, me.actor())
                : setUpPane.add(project, name, welcome, me.actor());
        return redirectTo(project, pane, ContentKind.DELIVERABLES);
    }

    static String redirectTo(ProjectId project, PaneId pane, ContentKind kind) {
        return "redirect:/t/projects/" + project + "/panes?pane=" + pane + "&kind=" + kind;
    }
}
