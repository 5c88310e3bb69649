package app.clearpane.web.deliverable.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.Project;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.Readers;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The deliverables of a project, and one with its versions. */
@TeamController
@ForOutsideMakers
class DeliverableController {
    private final Reminders reminders;
    private final ProjectFrame frame;
    private final States states;
    private final Drawings drawings;
    private final Seats seats;
    private final AheadOfSending aheadOfSending;

    DeliverableController(
            ProjectFrame frame,
            States states,
            Drawings drawings,
            Seats seats,
            Reminders reminders,
            AheadOfSending aheadOfSending) {
        this.aheadOfSending = aheadOfSending;
        this.reminders = reminders;
        this.frame = frame;
        this.states = states;
        this.drawings = drawings;
        this.seats = seats;
    }

    @GetMapping("/t/deliverables/{deliverable}")
    String one(@PathVariable ItemId deliverable, Model model) {
        DeliverableState state = states.inBrief(deliverable);
        Project project = frame.above(model, state.deliverable().project(), "Deliverables");
        model.addAttribute("state", state);
        List<SeatRow> seated = seats.ofPane(state.deliverable().pane());
        model.addAttribute("signing", Readers.signing(state.deliverable(), seated));
        model.addAttribute("reminded", reminders.latest(deliverable.value()));
        state.draft().ifPresent(draft -> {
            aheadOfSending.show(model, state, project, seated);
        });
        state.newest().ifPresent(version -> {
            model.addAttribute("drawing", drawings.find(version.sha256()).orElseThrow());
            model.addAttribute("sheets", drawings.sheets(version.sha256(), WatchDrawing.SHOWN));
            model.addAttribute("version", version);
        });
        return "deliverable/one";
    }
}
