package app.clearpane.usecases.clients;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.Relation;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.signoff.Leaving;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.agency.Sessions;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.exposure.EndSeat;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says how we stand to clients and what they are called, and lets their people leave. */
@Component
public class KeepClient {
    private final Directory directory;
    private final Deliverables deliverables;
    private final SignInLinks signInLinks;
    private final TheAgency agency;
    private final AuditLog audit;
    private final Sessions sessions;
    private final EndSeat endSeat;

    KeepClient(
            Directory directory,
            Deliverables deliverables,
            SignInLinks signInLinks,
            TheAgency agency,
            AuditLog audit,
            Sessions sessions,
            EndSeat endSeat) {
        this.endSeat = endSeat;
        this.directory = directory;
        this.deliverables = deliverables;
        this.signInLinks = signInLinks;
        this.agency = agency;
        this.audit = audit;
        this.sessions = sessions;
    }

    /** Says how we stand to a client. */
    @Transactional
    public void relate(ClientId id, Relation relation, Actor by) {
        Directory.Entry client = NotFound.unless(directory.find(id));
        if (client.relation() != relation) {
            directory.relate(id, relation);
            audit.appendOfAgency(
                    agency.get().id(),
                    new PeopleActs.ClientChanged(Act.CLIENT_RELATED, by, client.name(), relation.name()));
        }
    }

    /** Gives a client another name, in all projects. */
    @Transactional
    public void rename(ClientId id, String name, Actor by) {
        Directory.Entry client = NotFound.unless(directory.find(id));
        Input input = new Input();
        Optional<Name> named = input.name("The client", name);
        input.allGood();
        String wanted = named.orElseThrow().value();
        input.require(
                directory.all().stream()
                        .noneMatch(one ->
                                one.name().equalsIgnoreCase(wanted) && !one.id().equals(id)),
                "There is a client “" + wanted + "” already; two of one name could not be told apart.");
        input.allGood();
        if (!client.name().equals(wanted)) {
            directory.rename(id, wanted);
            audit.appendOfAgency(
                    agency.get().id(), new PeopleActs.ClientChanged(Act.CLIENT_RENAMED, by, wanted, client.name()));
        }
    }

    /**
     * Somebody is with their client no more: their seats end, and no link of theirs opens anything.
     *
     * @param sure whether what ends was read
     * @throws NeedsConfirmation if it was not
     * @throws app.clearpane.usecases.shell.Refused while they speak for others or are asked to sign
     */
    @Transactional
    public void leave(ContactId id, boolean sure, Actor by) {
        Directory.Entry client = NotFound.unless(directory.findClientOf(id));
        Directory.Someone who = someone(client, id);
        if (who.leftAt() != null) {
            return;
        }
        if (!sure) {
            List<String> seats = who.seats().stream()
                    .map(seat -> "“" + seat.paneName() + "” of " + seat.projectName())
                    .toList();
            throw new NeedsConfirmation(
                    List.of(
                            seats.isEmpty()
                                    ? who.name() + " has no seat at the moment."
                                    : who.name() + " loses " + (seats.size() == 1 ? "the seat at " : "the seats at ")
                                            + Words.listed(seats)
                                            + ", and what waits there with them is our turn again.",
                            "They are signed out everywhere and are not offered any more; what they said and "
                                    + "decided stays under their name."),
                    "Note that " + who.name() + " left");
        }
        who.seats().forEach(seat -> endSeat.end(seat.id(), true, by));
        noteLeft(id, new PeopleActs.ClientChanged(Act.CONTACT_LEFT, by, who.name(), client.name()));
    }

    /**
     * They are signed out everywhere, no link of theirs opens anything any more, and they are not offered. @param why
     * as the Record tells it
     */
    @Transactional
    public void noteLeft(ContactId id, PeopleActs.ClientChanged why) {
        signInLinks.revokeAll(id, agency.now());
        sessions.end("contact:" + id);
        directory.left(id, agency.now());
        audit.appendOfAgency(agency.get().id(), why);
    }

    /** They are back, without their seats. */
    @Transactional
    public void isBack(ContactId id, Actor by) {
        Directory.Entry client = NotFound.unless(directory.findClientOf(id));
        Directory.Someone who = someone(client, id);
        if (who.leftAt() != null) {
            directory.left(id, null);
            audit.appendOfAgency(
                    agency.get().id(), new PeopleActs.ClientChanged(Act.CONTACT_BACK, by, who.name(), client.name()));
        }
    }

    /** Whoever cannot leave yet: they speak for others at a pane, or are asked to sign something. */
    public Set<ContactId> needed(List<Directory.Entry> all) {
        List<Directory.Seated> seats = all.stream()
                .flatMap(entry -> entry.people().stream())
                .flatMap(one -> one.seats().stream())
                .toList();
        Map<PaneId, Long> atPane =
                seats.stream().collect(Collectors.groupingBy(Directory.Seated::pane, Collectors.counting()));
        List<Round> rounds = deliverables.roundsOfActiveProjects();
        Set<ContactId> needed = rounds.stream()
                .filter(Round::open)
                .flatMap(round -> round.signatories().stream())
                .map(Round.Signatory::contact)
                .collect(Collectors.toCollection(HashSet::new));
        all.stream()
                .flatMap(entry -> entry.people().stream())
                .filter(one -> one.seats().stream()
                        .anyMatch(seat -> !Leaving.mayLeave(
                                one.id(), seat.leadVoice(), (int) (atPane.getOrDefault(seat.pane(), 1L) - 1), rounds)))
                .forEach(one -> needed.add(one.id()));
        return needed;
    }

    private static Directory.Someone someone(Directory.Entry client, ContactId id) {
        return client.people().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
    }
}
