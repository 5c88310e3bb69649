package app.clearpane.web.exposure;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.project.Covers;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.project.Project;
import app.clearpane.usecases.exposure.GiveSeat;
import app.clearpane.usecases.exposure.PaneBoard;
import app.clearpane.usecases.exposure.PublishPane;
import app.clearpane.usecases.exposure.SectionWords;
import app.clearpane.usecases.exposure.SetSections;
import app.clearpane.usecases.exposure.SetShowing;
import app.clearpane.usecases.exposure.SetUpPane;
import app.clearpane.usecases.exposure.TakePaneAway;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.web.layout.ForManagers;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.layout.WrittenRows;
import app.clearpane.web.project.ProjectFrame;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
    private final SetSections setSections;
    private final SetShowing setShowing;
    private final GiveSeat giveSeat;
    private final PublishPane publishPane;
    private final TakePaneAway takePaneAway;
    private final WrittenRows rows;

    PaneController(
            ProjectFrame frame,
            PaneBoard board,
            SetUpPane setUpPane,
            LinkSeats links,
            SetSections setSections,
            SetShowing setShowing,
            GiveSeat giveSeat,
            PublishPane publishPane,
            TakePaneAway takePaneAway,
            WrittenRows rows) {
        this.rows = rows;
        this.frame = frame;
        this.board = board;
        this.setUpPane = setUpPane;
        this.links = links;
        this.setSections = setSections;
        this.setShowing = setShowing;
        this.giveSeat = giveSeat;
        this.publishPane = publishPane;
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
        PaneBoard.Board laid = board.of(project, pane, kind);
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
            model.addAttribute("endable", giveSeat.endable(project, selected.seats()));
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
        return at(project, pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/panes/{pane}/words")
    @ForManagers
    String change(
            @PathVariable PaneId pane,
            SetUpPane.WordsForm form,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return at(setUpPane.change(pane, form, sure, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/panes/{pane}/sections")
    @ForManagers
    String setSections(@PathVariable PaneId pane, SetSections.Form form, @AuthenticationPrincipal Person me) {
        return at(setSections.set(pane, form, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/panes/{pane}/apertures")
    @ForManagers
    String setAperture(
            @PathVariable PaneId pane,
            @RequestParam ContentKind kind,
            @RequestParam Aperture aperture,
            @AuthenticationPrincipal Person me) {
        return at(setUpPane.setAperture(pane, kind, aperture, me.actor()), pane, kind);
    }

    @PostMapping("/t/panes/{pane}/filters")
    @ForManagers
    String setFilters(
            @PathVariable PaneId pane,
            @RequestParam(defaultValue = "FILES") ContentKind kind,
            @RequestParam(defaultValue = "") String folders,
            @AuthenticationPrincipal Person me) {
        return at(setUpPane.setFilters(pane, kind, folders, me.actor()), pane, kind);
    }

    @PostMapping("/t/panes/{pane}/arrivals")
    @ForManagers
    String setArrivals(
            @PathVariable PaneId pane,
            @RequestParam ContentKind kind,
            @RequestParam boolean shown,
            @AuthenticationPrincipal Person me) {
        return at(setUpPane.setArrivals(pane, kind, shown, me.actor()), pane, kind);
    }

    @PostMapping("/t/panes/{pane}/showings")
    @ForManagers
    String setShowing(
            @PathVariable PaneId pane,
            @RequestParam ItemId item,
            @RequestParam Showing showing,
            @RequestParam ContentKind kind,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return at(setShowing.set(pane, item, showing, sure, me.actor()), pane, kind);
    }

    @PostMapping("/t/panes/{pane}/showings/many")
    @ForManagers
    String setShowings(
            @PathVariable PaneId pane,
            @RequestParam(defaultValue = "") Set<ItemId> item,
            @RequestParam(defaultValue = "false") boolean all,
            @RequestParam Showing showing,
            @RequestParam ContentKind kind,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return at(setShowing.ofMany(pane, kind, item, all, showing, sure, me.actor()), pane, kind);
    }

    @PostMapping("/t/items/{item}/hold-back")
    @ForManagers
    String holdBack(
            @PathVariable ItemId item,
            @RequestParam PaneId pane,
            @RequestParam ContentKind kind,
            @RequestParam(defaultValue = "board") String from,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return after(setShowing.holdBackEverywhere(item, sure, me.actor()), item, pane, kind, from);
    }

    @PostMapping("/t/items/{item}/let-go")
    @ForManagers
    String letGo(
            @PathVariable ItemId item,
            @RequestParam PaneId pane,
            @RequestParam ContentKind kind,
            @RequestParam(defaultValue = "board") String from,
            @AuthenticationPrincipal Person me) {
        return after(setShowing.letGo(item, me.actor()), item, pane, kind, from);
    }

    @PostMapping("/t/panes/{pane}/starting-point")
    @ForManagers
    String follow(@PathVariable PaneId pane, @RequestParam boolean follows, @AuthenticationPrincipal Person me) {
        return at(setUpPane.follow(pane, follows, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/panes/{pane}/discard")
    @ForManagers
    String discard(@PathVariable PaneId pane, @RequestParam int revision, @AuthenticationPrincipal Person me) {
        return at(publishPane.discard(pane, revision, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/panes/{pane}/unpublish")
    @ForManagers
    String unpublish(
            @PathVariable PaneId pane,
            @RequestParam int revision,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return at(takePaneAway.unpublish(pane, revision, sure, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/panes/{pane}/remove")
    @ForManagers
    String remove(@PathVariable PaneId pane, @RequestParam int revision, @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + takePaneAway.remove(pane, revision, me.actor()) + "/panes";
    }

    @PostMapping("/t/panes/{pane}/publish")
    @ForManagers
    String publish(
            @PathVariable PaneId pane,
            @RequestParam int revision,
            @RequestParam Optional<String> seen,
            @RequestParam(defaultValue = "false") boolean links,
            @AuthenticationPrincipal Person me) {
        ProjectId project = publishPane.publish(pane, revision, seen.map(Sha256::new), me.actor());
        if (links) {
            giveSeat.sendLinksToNewcomers(pane, me.actor());
        }
        return at(project, pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/panes/{pane}/seats")
    @ForManagers
    String giveSeat(
            @PathVariable PaneId pane,
            @RequestParam ContactId contact,
            @RequestParam SeatRole role,
            @RequestParam ProjectId project,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        giveSeat.askAndGive(pane, contact, role, sure, me.actor());
        return at(project, pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/seats/{seat}/role")
    @ForManagers
    String changeRole(
            @PathVariable SeatId seat,
            @RequestParam SeatRole role,
            @RequestParam int revision,
            @RequestParam PaneId pane,
            @AuthenticationPrincipal Person me) {
        return at(giveSeat.change(seat, role, revision, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/seats/{seat}/lead-voice")
    @ForManagers
    String nameLeadVoice(@PathVariable SeatId seat, @RequestParam PaneId pane, @AuthenticationPrincipal Person me) {
        return at(giveSeat.nameLeadVoice(seat, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/seats/{seat}/end")
    @ForManagers
    String end(
            @PathVariable SeatId seat,
            @RequestParam PaneId pane,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return at(giveSeat.end(seat, sure, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/seats/{seat}/link")
    @ForManagers
    String sendLink(@PathVariable SeatId seat, @RequestParam PaneId pane, @AuthenticationPrincipal Person me) {
        return at(giveSeat.sendLink(seat, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    private static String after(ProjectId project, ItemId item, PaneId pane, ContentKind kind, String from) {
        return from.equals("item") ? "redirect:/t/items/" + item : at(project, pane, kind);
    }

    private static String at(ProjectId project, PaneId pane, ContentKind kind) {
        return "redirect:/t/projects/" + project + "/panes?pane=" + pane + "&kind=" + kind;
    }
}
