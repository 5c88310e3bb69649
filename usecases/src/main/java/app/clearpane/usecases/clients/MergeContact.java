package app.clearpane.usecases.clients;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.exposure.EndSeat;
import app.clearpane.usecases.exposure.GiveSeat;
import app.clearpane.usecases.exposure.InviteToPane;
import app.clearpane.usecases.plan.task.HandOverTasks;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Makes one of two entries for the same person: seats and open tasks of the one that goes are the other's, and its
 * address leads to them. What was said, decided and signed stays as it was, under the name that stood there.
 */
@Component
public class MergeContact {
    private final Directory directory;
    private final KeepClient keepClient;
    private final Seats seats;
    private final GiveSeat giveSeat;
    private final InviteToPane inviteToPane;
    private final EndSeat endSeat;
    private final HandOverTasks handOverTasks;

    MergeContact(
            Directory directory,
            KeepClient keepClient,
            Seats seats,
            GiveSeat giveSeat,
            InviteToPane inviteToPane,
            EndSeat endSeat,
            HandOverTasks handOverTasks) {
        this.handOverTasks = handOverTasks;
        this.endSeat = endSeat;
        this.inviteToPane = inviteToPane;
        this.directory = directory;
        this.keepClient = keepClient;
        this.seats = seats;
        this.giveSeat = giveSeat;
    }

    /**
     * Makes one of two.
     *
     * @param goes the entry that is used no more
     * @param stays the one that is
     * @param sure whether what follows was read
     * @throws NeedsConfirmation if it was not
     * @throws Refused while the one that goes speaks for others, or is asked to sign
     */
    @Transactional
    public void merge(ContactId goes, ContactId stays, boolean sure, Actor by) {
        Directory.Entry client = NotFound.unless(directory.findClientOf(goes));
        Directory.Someone one = find(client, goes);
        Directory.Someone other = find(
                NotFound.unless(
                        directory.findClientOf(stays).filter(of -> of.id().equals(client.id()))),
                stays);
        if (goes.equals(stays) || one.leftAt() != null || other.leftAt() != null) {
            throw Refused.because("Choose another entry of the same client that is still there. Nothing was changed.");
        }
        if (keepClient.needed(directory.all()).contains(goes)) {
            throw Refused.because(one.name() + ", " + one.email()
                    + ", speaks for others or is asked to sign something. Name another lead voice, or "
                    + "close the round, first; nothing was changed.");
        }
        if (!sure) {
            throw new NeedsConfirmation(sentences(one, other), "They are the same person");
        }
        for (Directory.Seated seat : one.seats()) {
            Optional<SeatRow> has = seats.seatOf(seat.pane(), stays).filter(had -> had.state() != SeatState.ENDED);
            if (has.isEmpty()) {
                SeatId given = giveSeat.give(seat.pane(), stays, seat.role(), by);
                if (seat.state() == SeatState.ACCEPTED) {
                    inviteToPane.sendLink(given, by);
                }
            } else if (has.get().role().compareTo(seat.role()) < 0) {
                giveSeat.change(has.get().id(), seat.role(), has.get().revision(), by);
            }
        }
        handOverTasks.handOver(goes, stays);
        one.seats().forEach(seat -> endSeat.end(seat.id(), true, by));
        directory.isSameAs(goes, stays);
        keepClient.noteLeft(
                goes,
                new PeopleActs.ClientChanged(
                        Act.CONTACT_MERGED, by, one.name() + ", " + one.email(), other.name() + ", " + other.email()));
    }

    private static Directory.Someone find(Directory.Entry client, ContactId id) {
        return NotFound.unless(
                client.people().stream().filter(one -> one.id().equals(id)).findFirst());
    }

    private static List<String> sentences(Directory.Someone one, Directory.Someone other) {
        List<String> sentences = new ArrayList<>();
        sentences.add("From then on there is one entry: " + other.name() + ", " + other.email()
                + ". Links asked for with " + one.email() + " are sent to " + other.email() + ".");
        List<String> places = one.seats().stream()
                .map(seat -> "“" + seat.paneName() + "” of " + seat.projectName())
                .toList();
        if (!places.isEmpty()) {
            sentences.add(
                    other.name() + " gets the " + (places.size() == 1 ? "seat at " : "seats at ") + Words.listed(places)
                            + ", with a link by mail where the other had come in already, and what waits there "
                            + "with the other.");
        }
        sentences.add("What " + one.name() + " said, decided and signed stays as it was.");
        return sentences;
    }
}
