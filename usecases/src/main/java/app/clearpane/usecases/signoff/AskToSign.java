package app.clearpane.usecases.signoff;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.TakingBack;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.markup.SigningFor;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.WriteMail;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Asks those by mail whose decision a round waits for now, and who were not asked before. */
@Component
class AskToSign {
    private final People people;
    private final Seats seats;
    private final SigningFor signing;
    private final LinkKeys keys;
    private final WriteMail mail;
    private final TheAgency agency;
    private final Lasting lasting;

    AskToSign(
            People people,
            Seats seats,
            SigningFor signing,
            LinkKeys keys,
            WriteMail mail,
            TheAgency agency,
            Lasting lasting) {
        this.people = people;
        this.seats = seats;
        this.signing = signing;
        this.keys = keys;
        this.mail = mail;
        this.agency = agency;
        this.lasting = lasting;
    }

    /** What is to be signed. @param round as it stands now */
    record What(Deliverable deliverable, Version version, Round round) {}

    /**
     * Asks whoever is next in order, once the decision before theirs cannot be taken back. @param before the round as
     * it stood before that decision @param about the decision
     */
    void next(What what, Round before, UUID about, Instant at) {
        what.round().askedNow().stream()
                .filter(contact -> !before.askedNow().contains(contact))
                .forEach(contact -> doing(what, contact)
                        .ifPresent(person -> mail.onceCertain(
                                person,
                                letter(
                                        what,
                                        person,
                                        contact,
                                        List.of("It is your turn now: "
                                                + (before.askedNow().isEmpty()
                                                        ? "the one before you"
                                                        : what.round()
                                                                .nameOf(before.askedNow()
                                                                        .get(0)))
                                                + " has decided on " + called(what) + ".")),
                                about,
                                at.plus(TakingBack.WITHIN))));
    }

    /** Asks somebody at once. @param lines why they are asked */
    void now(What what, ContactId signatory, List<String> lines) {
        doing(what, signatory).ifPresent(person -> mail.send(person, letter(what, person, signatory, lines)));
    }

    /** Who decides for a signatory; empty if they have no way in any more. */
    private Optional<Contact> doing(What what, ContactId signatory) {
        ContactId doing = signing.deciding(what.deliverable().project(), signatory);
        return seats.seatOf(what.deliverable().pane(), doing)
                .filter(seat -> seat.state() != SeatState.ENDED)
                .flatMap(seat -> people.contact(doing));
    }

    private Letter letter(What what, Contact person, ContactId signatory, List<String> lines) {
        List<String> paragraphs = new ArrayList<>(lines);
        if (!person.id().equals(signatory)) {
            paragraphs.add("You stand in for " + what.round().nameOf(signatory) + ".");
        }
        paragraphs.add("You can leave notes on it, send it back or sign it off. Please decide by "
                + lasting.zoned(what.round().dueAt()) + ".");
        return new Letter(
                "Your turn to sign: " + called(what),
                paragraphs,
                "Look at " + what.deliverable().name(),
                keys.forContact(
                        person.id(),
                        "/c/panes/" + what.deliverable().pane() + "/versions/"
                                + what.version().id()),
                agency.get().name());
    }

    private static String called(What what) {
        return what.deliverable().name() + ", " + what.version().called();
    }
}
