package app.clearpane.usecases.seats;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatWish;
import app.clearpane.store.exposure.SeatWishes;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says why somebody does not get the seat that a client wished for them. */
@Component
public class DeclineSeatWish {
    private static final int LONGEST_ANSWER = 400;
    private final SeatWishes wishes;
    private final Panes panes;
    private final AuditLog audit;
    private final Clock clock;

    DeclineSeatWish(SeatWishes wishes, Panes panes, AuditLog audit, Clock clock) {
        this.wishes = wishes;
        this.panes = panes;
        this.audit = audit;
        this.clock = clock;
    }

    /** Says no, and why. @throws Refused if it was answered meanwhile */
    @Transactional
    public ProjectId decline(UUID id, String why, Actor by) {
        SeatWish wish = SeatWishState.unanswered(wishes, id);
        Input input = new Input();
        String answer = input.text("Why not", why, LONGEST_ANSWER).strip();
        input.require(!answer.isEmpty(), "Say why not; " + wish.byName() + " reads it.");
        input.allGood();
        SeatWishState.settle(wishes, wish, false, answer, clock.instant());
        Panes.Row pane = panes.find(wish.pane()).orElseThrow();
        audit.append(
                pane.project(),
                pane.id().value(),
                new PeopleActs.SeatWished(Act.SEAT_WISH_DECLINED, by, pane.name(), wish.name(), answer, wish.role()));
        return pane.project();
    }
}
