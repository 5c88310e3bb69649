package app.clearpane.usecases.exposure;

import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Happening;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.signoff.Leaving;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes a seat away. */
@Component
public class EndSeat {
    private final TurnBack turnBack;
    private final Seats seats;
    private final Panes panes;
    private final Deliverables deliverables;
    private final SignInLinks signInLinks;
    private final TheAgency agency;
    private final AuditLog audit;

    EndSeat(
            TurnBack turnBack,
            Seats seats,
            Panes panes,
            Deliverables deliverables,
            SignInLinks signInLinks,
            TheAgency agency,
            AuditLog audit) {
        this.turnBack = turnBack;
        this.seats = seats;
        this.panes = panes;
        this.deliverables = deliverables;
        this.signInLinks = signInLinks;
        this.agency = agency;
        this.audit = audit;
    }

    /**
     * Takes a seat away, at once. @param sure whether what waits with its holder comes back to us @throws Refused for
     * the lead voice, or while the holder is asked to sign something
     */
    @Transactional
    public ProjectId end(SeatId id, boolean sure, Actor by) {
        SeatRow seat = NotFound.unless(seats.find(id));
        Panes.Row pane = panes.find(seat.pane()).orElseThrow();
        if (seat.leadVoice() && seats.ofPane(pane.id()).size() > 1) {
            throw Refused.because(seat.name() + " speaks for everybody at “" + pane.name()
                    + "”. Name another lead voice first, then end this seat.");
        }
        List<Round> waiting = Leaving.toSign(seat.contact(), deliverables.roundsOf(pane.project()));
        if (!waiting.isEmpty()) {
            throw Refused.because(seat.name() + " is asked to sign " + waiting.size()
                    + (waiting.size() == 1 ? " version" : " versions")
                    + " that nobody has settled yet. Close the round first, then end this seat.");
        }
        turnBack.bringBack(
                pane.project(),
                Optional.of(pane.id()),
                one -> one.at().filter(seat.contact()::equals).isPresent(),
                new TurnBack.Words(
                        "Without the seat " + seat.name()
                                + " sees it nowhere, and it is our turn again. What they did until now stays in "
                                + "the Record.",
                        "End the seat all the same",
                        "The seat of " + seat.name() + " was ended."),
                sure,
                by);
        if (!sure) {
            throw new NeedsConfirmation(
                    List.of(seat.name() + " sees nothing through “" + pane.name()
                            + "” any more, from now on, and no link that was sent to them until now opens anything. "
                            + "What they said and decided stays."),
                    "End the seat of " + seat.name());
        }
        seats.end(seat, agency.now());
        signInLinks.revokeAll(seat.contact(), agency.now());
        tell(pane, new PeopleActs.SeatEnded(by, pane.name(), seat.name()));
        return pane.project();
    }

    /**
     * The seats at a pane that can be ended: not that of whoever speaks for others, nor of whoever is asked to sign.
     */
    public Set<SeatId> endable(ProjectId project, List<SeatRow> all) {
        List<Round> rounds = deliverables.roundsOf(project);
        return all.stream()
                .filter(seat -> Leaving.mayLeave(seat.contact(), seat.leadVoice(), all.size() - 1, rounds))
                .map(SeatRow::id)
                .collect(Collectors.toSet());
    }

    private void tell(Panes.Row pane, Happening happening) {
        audit.append(pane.project(), pane.id().value(), happening);
    }
}
