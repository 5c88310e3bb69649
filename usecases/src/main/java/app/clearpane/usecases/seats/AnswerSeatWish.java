package app.clearpane.usecases.seats;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatWish;
import app.clearpane.store.exposure.SeatWishes;
import app.clearpane.usecases.exposure.GiveSeat;
import app.clearpane.usecases.exposure.InviteToPane;
import app.clearpane.usecases.project.TakeInContact;
import java.time.Clock;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Gives the seat that a client wished for somebody. */
@Component
public class AnswerSeatWish {
    private final SeatWishes wishes;
    private final Panes panes;
    private final TakeInContact takeIn;
    private final GiveSeat giveSeat;
    private final InviteToPane inviteToPane;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    AnswerSeatWish(
            SeatWishes wishes,
            Panes panes,
            TakeInContact takeIn,
            GiveSeat giveSeat,
            InviteToPane inviteToPane,
            ApplicationEventPublisher events,
            Clock clock) {
        this.events = events;
        this.wishes = wishes;
        this.panes = panes;
        this.takeIn = takeIn;
        this.giveSeat = giveSeat;
        this.inviteToPane = inviteToPane;
        this.clock = clock;
    }

    /**
     * Gives the seat: takes them in if need be, and sends them their link where the pane is published. @throws Refused
     * if it was answered meanwhile
     */
    @Transactional
    public ProjectId give(UUID id, Actor by) {
        SeatWish wish = SeatWishState.unanswered(wishes, id);
        Panes.Row pane = panes.find(wish.pane()).orElseThrow();
        Contact contact = takeIn.takeInBeside(
                pane.project(),
                wish.by(),
                new TakeInContact.Typed("", wish.name(), wish.email(), wish.occupation()),
                by);
        SeatId seat = giveSeat.give(pane.id(), contact.id(), wish.role(), by);
        if (pane.publishedAt() != null) {
            inviteToPane.sendLink(seat, by);
        }
        SeatWishState.settle(wishes, wish, true, "", clock.instant());
        events.publishEvent(new SeatGiven(wish, contact.id()));
        return pane.project();
    }
}
