package app.clearpane.usecases.seats;

import app.clearpane.store.exposure.SeatWish;
import app.clearpane.store.exposure.SeatWishes;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Instant;
import java.util.UUID;

/** A wish for a seat is answered once. */
final class SeatWishState {
    private SeatWishState() {}

    /** A wish that nobody has answered. @throws Refused if somebody has */
    static SeatWish unanswered(SeatWishes wishes, UUID id) {
        SeatWish wish = NotFound.unless(wishes.find(id));
        if (wish.settledAt() != null) {
            throw Refused.changedMeanwhile("This was answered already. Nothing was changed.");
        }
        return wish;
    }

    /** Answers it. @throws Refused if somebody did meanwhile */
    static void settle(SeatWishes wishes, SeatWish wish, boolean given, String answer, Instant now) {
        if (!wishes.settle(wish.id(), given, answer, now)) {
            throw Refused.changedMeanwhile("This was answered meanwhile. Nothing was changed.");
        }
    }
}
