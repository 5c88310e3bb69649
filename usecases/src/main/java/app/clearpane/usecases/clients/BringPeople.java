package app.clearpane.usecases.clients;

import app.clearpane.core.agency.Card;
import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.formats.agency.CardFile;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.io.IOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes in people from a file of addresses, once somebody looked at what that would do. */
@Component
public class BringPeople {
    private final People people;
    private final TheAgency agency;
    private final AuditLog audit;
    private final Clock clock;

    BringPeople(People people, TheAgency agency, AuditLog audit, Clock clock) {
        this.people = people;
        this.agency = agency;
        this.audit = audit;
        this.clock = clock;
    }

    /** What would become of somebody. */
    enum Fate {
        ADDED,
        CHANGED,
        KNOWN,
        LEFT_OUT
    }

    /** Somebody of the file. @param why what would change, or why they are left out; empty for others */
    record Line(Card card, Fate fate, String why) {}

    /** What a file would do. @param rows those that would be taken in, as a table */
    record Look(List<Line> lines, String rows) {
        /** Those of a fate. */
        public List<Line> linesOf(String fate) {
            return lines.stream().filter(line -> line.fate.name().equals(fate)).toList();
        }
    }

    /**
     * Looks at a file. @param elsewhere the client of those for whom the file names none; may be empty @throws Refused
     * if it cannot be read
     */
    public Look look(String text, String elsewhere) {
        List<Card> cards;
        try {
            cards = CardFile.read(text);
        } catch (IOException | RuntimeException unreadable) {
            throw Refused.because((unreadable instanceof IOException said ? said.getMessage() : "It could not be read.")
                    + " Nothing was taken in.");
        }
        Map<String, Contact> known = new HashMap<>();
        people.contacts().forEach(contact -> known.put(contact.email(), contact));
        Map<String, Card> seen = new HashMap<>();
        List<Line> lines = cards.stream()
                .map(card -> card.client().isEmpty()
                        ? new Card(elsewhere.strip(), card.name(), card.email(), card.occupation())
                        : card)
                .map(card -> line(card, known, seen))
                .toList();
        return new Look(
                lines,
                CardFile.csv(lines.stream()
                        .filter(line -> line.fate == Fate.ADDED || line.fate == Fate.CHANGED)
                        .map(Line::card)
                        .toList()));
    }

    private Line line(Card card, Map<String, Contact> known, Map<String, Card> seen) {
        List<String> wrong = new ArrayList<>();
        Optional<Name> name = read(() -> new Name(card.name()), "no usable name", wrong);
        Optional<EmailAddress> email = read(() -> new EmailAddress(card.email()), "no usable mail address", wrong);
        if (card.occupation().length() > Name.LONGEST) {
            wrong.add("what they do is longer than " + Name.LONGEST + " characters");
        }
        if (email.isPresent() && seen.putIfAbsent(email.get().value(), card) != null) {
            wrong.add("the address stands in the file twice");
        }
        Optional<Contact> there = email.flatMap(
                address -> Optional.ofNullable(known.get(address.value())).or(() -> people.contactAt(address)));
        if (email.isPresent() && people.isTeams(email.get())) {
            wrong.add("it is one of us");
        }
        if (there.isEmpty()) {
            read(() -> new Name(card.client()), "no client is named for them", wrong);
        }
        if (!wrong.isEmpty()) {
            return new Line(card, Fate.LEFT_OUT, String.join(", ", wrong));
        }
        Card clean = new Card(
                there.isPresent() ? "" : new Name(card.client()).value(),
                name.orElseThrow().value(),
                email.orElseThrow().value(),
                card.occupation().strip());
        return there.map(contact -> contact.name().equals(clean.name())
                                && contact.occupation().equals(clean.occupation())
                        ? new Line(clean, Fate.KNOWN, "")
                        : new Line(
                                clean,
                                Fate.CHANGED,
                                "now “" + contact.name()
                                        + (contact.occupation().isEmpty() ? "" : ", " + contact.occupation()) + "”"))
                .orElseGet(() -> new Line(clean, Fate.ADDED, ""));
    }

    private static <T> Optional<T> read(java.util.function.Supplier<T> reader, String otherwise, List<String> wrong) {
        try {
            return Optional.of(reader.get());
        } catch (IllegalArgumentException unusable) {
            wrong.add(otherwise);
            return Optional.empty();
        }
    }

    /**
     * Takes in what was looked at. @return how many were added or changed @throws Refused if it cannot be read any more
     */
    @Transactional
    public int take(String rows, Actor by) {
        List<Line> lines = look(rows, "").lines().stream()
                .filter(line -> line.fate == Fate.ADDED || line.fate == Fate.CHANGED)
                .toList();
        for (Line line : lines) {
            Name name = new Name(line.card.name());
            EmailAddress email = new EmailAddress(line.card.email());
            if (line.fate == Fate.ADDED) {
                ClientId client = people.clientNamed(new Name(line.card.client()), clock.instant());
                people.addContact(client, name, email, line.card.occupation(), clock.instant());
                audit.appendOfAgency(agency.get().id(), new PeopleActs.ContactAdded(by, name.value(), email.value()));
            } else {
                Contact was = people.contactAt(email).orElseThrow();
                people.changeContact(
                        new Contact(was.id(), was.client(), name.value(), email.value(), line.card.occupation()));
                audit.appendOfAgency(
                        agency.get().id(),
                        new PeopleActs.ContactChanged(
                                by, name.value(), email.value(), was.name() + ", " + was.email()));
            }
        }
        return lines.size();
    }
}
