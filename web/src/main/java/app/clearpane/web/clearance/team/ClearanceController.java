package app.clearpane.web.clearance.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.clearance.ClearanceOf;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The clearance sheet of a deliverable and the board of a project, and releasing. */
@TeamController
class ClearanceController {
    private final ProjectFrame frame;
    private final States states;
    private final ClearanceOf clearance;
    private final Windows windows;
    private final Releases releases;
    private final Seats seats;

    ClearanceController(
            ProjectFrame frame, States states, ClearanceOf clearance, Releases releases, Seats seats, Windows windows) {
        this.windows = windows;
        this.frame = frame;
        this.states = states;
        this.clearance = clearance;
        this.releases = releases;
        this.seats = seats;
    }

    @GetMapping("/t/deliverables/{deliverable}/clearance")
    String sheet(@PathVariable ItemId deliverable, Model model) {
        DeliverableState state = states.statesOf(deliverable);
        frame.above(model, state.deliverable().project(), "Deliverables");
        ClearanceOf.Sheet sheet = clearance.check(state);
        model.addAttribute("state", state);
        model.addAttribute("sheet", sheet);
        model.addAttribute("clearance", sheet.clearance());
        model.addAttribute("released", state.releases());
        model.addAttribute("recipients", releases.recipients(deliverable));
        model.addAttribute("known", seats.ofProjects(List.of(state.deliverable().project())));
        return "clearance/sheet";
    }

    @GetMapping("/t/projects/{project}/clearance")
    String board(@PathVariable ProjectId project, Model model) {
        frame.above(model, project, "Deliverables");
        List<ClearanceOf.Sheet> sheets = clearance.check(states.withoutThumbnails(project));
        model.addAttribute("sheets", sheets);
        model.addAttribute(
                "windows",
                windows.across(sheets.stream()
                        .map(sheet -> sheet.state().deliverable().id())
                        .toList()));
        if (!model.containsAttribute("left")) {
            model.addAttribute("left", List.of());
        }
        return "clearance/board";
    }

    static String back(ItemId deliverable) {
        return "redirect:/t/deliverables/" + deliverable + "/clearance";
    }
}
