package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import java.util.List;
import org.springframework.stereotype.Component;

/** Who can be asked to agree to the dates of a project. */
@Component
public class WhoAgrees {
    private final Panes panes;
    private final Seats seats;

    WhoAgrees(Panes panes, Seats seats) {
        this.panes = panes;
        this.seats = seats;
    }

    /** Panes whose signatories can be asked, with how many they are. */
    public record Askable(Panes.Row pane, List<SeatRow> signatories) {}

    /** Published panes of a project that have signatories. */
    public List<Askable> askable(ProjectId project) {
        List<SeatRow> all = seats.ofProject(project);
        return panes.ofProject(project).stream()
                .filter(pane -> pane.publishedAt() != null)
                .map(pane -> new Askable(pane, signatories(all, pane.id())))
                .filter(one -> !one.signatories().isEmpty())
                .toList();
    }

    private static List<SeatRow> signatories(List<SeatRow> all, PaneId pane) {
        return all.stream()
                .filter(seat -> seat.pane().equals(pane)
                        && seat.role() == SeatRole.SIGNATORY
                        && seat.state() != SeatState.ENDED)
                .toList();
    }
}
