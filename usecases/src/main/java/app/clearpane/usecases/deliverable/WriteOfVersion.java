package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Writes to whoever sees a version that it is there. */
@Component
class WriteOfVersion {
    private final Markups markups;
    private final Seats seats;
    private final Lasting lasting;
    private final WriteToContact toContact;

    WriteOfVersion(Markups markups, Seats seats, Lasting lasting, WriteToContact toContact) {
        this.markups = markups;
        this.seats = seats;
        this.lasting = lasting;
        this.toContact = toContact;
    }

    void write(SeatRow seat, Deliverable deliverable, int number, Version version, Round round, Instant sentAt) {
        boolean signs = seat.role().maySign();
        String what = deliverable.name() + ", version " + number;
        List<String> paragraphs = new ArrayList<>();
        boolean now = round.askedNow().contains(seat.contact());
        paragraphs.add(
                now
                        ? what + " is ready for you to look at. You can leave notes on it, send it back or sign it off."
                        : signs
                                ? what
                                        + " is ready for you to look at, and you can leave notes on it. You sign "
                                        + "one after another, "
                                        + round.nameOf(round.askedNow().get(0))
                                        + " first; a mail comes when it is your turn."
                                : seat.role().mayMarkUp()
                                        ? what + " is ready for you to look at. You can leave notes on it."
                                        : what + " is ready for you to look at.");
        if (!version.whatChanged().isEmpty()) {
            paragraphs.add("What changed: " + version.whatChanged());
        }
        List<String> putRight = markups.withoutThreads(deliverable.id()).stream()
                .filter(mark -> mark.fix()
                                .filter(fix -> fix.version().equals(version.id()))
                                .isPresent()
                        && mark.isOf(seat.contact()))
                .map(mark -> mark.label().toString())
                .toList();
        if (!putRight.isEmpty()) {
            paragraphs.add("What you asked for in " + Words.listed(putRight)
                    + " is put right in it. Please look whether it is as you meant.");
        }
        paragraphs.add((now ? "Please decide by " : "The review ends ") + lasting.zoned(round.dueAt()) + ".");
        seats.invited(seat.id(), sentAt);
        toContact.write(
                seat.contact(),
                new WriteToContact.Note(
                        now ? "Sign off: " + what : "To look at: " + what,
                        paragraphs,
                        "Look at " + deliverable.name(),
                        "/c/panes/" + deliverable.pane() + "/versions/" + version.id()));
    }
}
