package app.clearpane.usecases.exposure;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.ShowingActs;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Shuts a pane for everybody, or takes away one that nobody ever came to. */
@Component
public class TakePaneAway {
    private final Panes panes;
    private final Seats seats;
    private final List<WaitsAtClient> rooms;
    private final TurnBack turnBack;
    private final AuditLog audit;

    TakePaneAway(Panes panes, Seats seats, List<WaitsAtClient> rooms, TurnBack turnBack, AuditLog audit) {
        this.panes = panes;
        this.seats = seats;
        this.rooms = rooms;
        this.turnBack = turnBack;
        this.audit = audit;
    }

    /**
     * Nobody sees anything through it any more, until it is published again. Seats and settings stay as they are.
     *
     * @param revision of the pane, as it was seen
     * @param sure whether what follows from it was read
     * @throws NeedsConfirmation if it was not
     * @throws app.clearpane.store.Stale if it was changed since
     */
    @Transactional
    public ProjectId unpublish(PaneId id, int revision, boolean sure, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(id));
        if (pane.publishedAt() == null) {
            throw Refused.changedMeanwhile(
                    "“" + pane.name() + "” is not published, so nobody sees anything through it. Nothing was changed.");
        }
        if (!sure) {
            throw new NeedsConfirmation(follows(pane), "Shut " + pane.name());
        }
        turnBack.bringBack(
                pane.project(),
                Optional.of(id),
                one -> true,
                new TurnBack.Words("", "", "The pane was shut."),
                true,
                by);
        panes.unpublish(pane.seenAt(revision));
        audit.append(pane.project(), id.value(), new ShowingActs.PaneTurned(Act.PANE_UNPUBLISHED, by, pane.name()));
        return pane.project();
    }

    private List<String> follows(Panes.Row pane) {
        List<String> sentences = new ArrayList<>();
        List<String> people = seats.ofPane(pane.id()).stream()
                .filter(seat -> seat.state() == SeatState.ACCEPTED)
                .map(SeatRow::name)
                .toList();
        sentences.add((people.isEmpty()
                        ? "Nobody came in yet."
                        : Words.listed(people) + (people.size() == 1 ? " sees" : " see")
                                + " nothing through it any more.")
                + " Links to it open nothing until it is published again.");
        List<WaitsAtClient.Waiting> waiting = rooms.stream()
                .flatMap(room -> room.in(pane.project(), Optional.of(pane.id())).stream())
                .toList();
        if (!waiting.isEmpty()) {
            sentences.add("These wait with them and come back to us: "
                    + Words.listed(waiting.stream()
                            .map(one -> "“" + one.name() + "” (" + one.who() + ")")
                            .toList()) + ".");
        }
        sentences.add("Seats, apertures and what was shown stay as they are, and so does all they said and signed.");
        return sentences;
    }

    /** Whether a pane may be taken away: nobody ever came to it, and nothing is decided there. */
    public boolean mayRemove(Panes.Row pane) {
        return pane.publishedAt() == null && !panes.isUsed(pane.id());
    }

    /** Takes a pane away with its settings, links and seats. @throws Refused if anything ever happened at it */
    @Transactional
    public ProjectId remove(PaneId id, int revision, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(id));
        if (!mayRemove(pane)) {
            throw Refused.because("“" + pane.name() + "” "
                    + (pane.publishedAt() != null
                            ? "is published"
                            : "was used: somebody came in, or a deliverable is decided there")
                    + ", so what was shown through it stays on record. Shut it instead; nothing was changed.");
        }
        panes.remove(pane.seenAt(revision));
        audit.append(pane.project(), id.value(), new ShowingActs.PaneTurned(Act.PANE_REMOVED, by, pane.name()));
        return pane.project();
    }
}
