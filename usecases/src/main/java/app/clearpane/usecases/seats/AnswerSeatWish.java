package app.clearpane.usecases.seats;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatWish;
import app.clearpane.store.exposure.SeatWishes;
import app.clearpane.usecases.exposure.GiveSeat;
import app.clearpane.usecases.exposure.InviteToPane;
import app.clearpane.usecases.project.TakeInContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Gives the seat that a client wished for somebody, or says why not. */
@Component
public class AnswerSeatWish {
    private static final int LONGEST_ANSWER = 400;
    private final SeatWishes wishes;
    private final Panes panes;
    private final TakeInContact takeIn;
    private final GiveSeat giveSeat;
    private final InviteToPane inviteToPane;
    private final AuditLog audit;
    private final Clock clock;

    AnswerSeatWish(
            SeatWishes wishes,
            Panes panes,
            TakeInContact takeIn,
            GiveSeat giveSeat,
            InviteToPane inviteToPane,
            AuditLog audit,
            Clock clock) {
        this.wishes = wishes;
        this.panes = panes;
        this.takeIn = takeIn;
        this.giveSeat = giveSeat;
        this.inviteToPane = inviteToPane;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * Gives the seat: takes them in if need be, and sends them their link where the pane is published. @throws Refused
     * if it was answered meanwhile
     */
    @Transactional
    public ProjectId give(UUID id, Actor by) {
        SeatWish wish = unanswered(id);
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
        settle(wish, true, "");
        return pane.project();
    }

    /** Says no, and why. @throws Refused if it was answered meanwhile */
    @Transactional
    public ProjectId decline(UUID id, String why, Actor by) {
        SeatWish wish = unanswered(id);
        Input input = new Input();
        String answer = input.text("Why not", why, LONGEST_ANSWER).strip();
        input.require(!answer.isEmpty(), "Say why not; " + wish.byName() + " reads it.");
        input.allGood();
        settle(wish, false, answer);
        Panes.Row pane = panes.find(wish.pane()).orElseThrow();
        audit.append(
                pane.project(),
                pane.id().value(),
                new PeopleActs.SeatWished(Act.SEAT_WISH_DECLINED, by, pane.name(), wish.name(), answer, wish.role()));
        return pane.project();
    }

    private SeatWish unanswered(UUID id) {
        SeatWish wish = NotFound.unless(wishes.find(id));
        if (wish.settledAt() != null) {
            throw Refused.changedMeanwhile("This was answered already. Nothing was changed.");
        }
        return wish;
    }

    private void settle(SeatWish wish, boolean given, String answer) {
        if (!wishes.settle(wish.id(), given, answer, clock.instant())) {
            throw Refused.changedMeanwhile("This was answered meanwhile. Nothing was changed.");
        }
    }
}
