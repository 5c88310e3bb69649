package app.clearpane.web.deliverable.team;

import app.clearpane.core.plan.Due;
import app.clearpane.core.project.Project;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.usecases.deliverable.CostOfRound;
import app.clearpane.usecases.deliverable.DecideBy;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.Readers;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What is to be known before a draft is sent: who gets it, by when, and what it costs. */
@Component
class AheadOfSending {
    private final Readers readers;
    private final CostOfRound costOfRound;
    private final DecideBy decideBy;

    AheadOfSending(Readers readers, CostOfRound costOfRound, DecideBy decideBy) {
        this.readers = readers;
        this.costOfRound = costOfRound;
        this.decideBy = decideBy;
    }

    /** Puts it on a page. */
    void show(Model model, DeliverableState state, Project project, List<SeatRow> seated) {
        model.addAttribute("audience", readers.audienceOf(state.deliverable(), state.rounds(), seated));
        model.addAttribute("costs", costOfRound.describe(state).orElse(null));
        model.addAttribute("begin", decideBy.begins(project));
        model.addAttribute("by", Due.NONE);
    }
}
