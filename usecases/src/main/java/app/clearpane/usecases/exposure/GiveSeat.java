package app.clearpane.usecases.exposure;

import app.clearpane.core.agency.Client;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Happening;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.signoff.Leaving;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Gives, changes and ends seats, names the lead voice, and sends people their link. */
@Component
public class GiveSeat {
    private final TurnBack turnBack;
    private final Seats seats;
    private final Panes panes;
    private final Projects projects;
    private final People people;
    private final Deliverables deliverables;
    private final SignInLinks waysIn;
    private final TheAgency agency;
    private final AuditLog audit;
    private final WriteToContact toContact;

    GiveSeat(
            TurnBack turnBack,
            Seats seats,
            Panes panes,
            Projects projects,
            People people,
            Deliverables deliverables,
            SignInLinks waysIn,
            TheAgency agency,
            AuditLog audit,
            WriteToContact toContact) {
        this.toContact = toContact;
        this.turnBack = turnBack;
        this.seats = seats;
        this.panes = panes;
        this.projects = projects;
        this.people = people;
        this.deliverables = deliverables;
        this.waysIn = waysIn;
        this.agency = agency;
        this.audit = audit;
    }

    /**
     * Who has no seat at a pane yet, by the name of their organisation: those one may expect first. @param seated who
     * has one there
     */
    public static Map<String, List<Contact>> candidates(PaneBoard.Board board, List<SeatRow> seated) {
        List<ContactId> there = seated.stream().map(SeatRow::contact).toList();
        return board.organisations()
                .grouped(
                        board.organisations().contacts().stream()
                                .filter(contact -> !there.contains(contact.id()))
                                .toList(),
                        board.audiences().stream()
                                .flatMap(audience -> audience.seats().stream())
                                .toList());
    }

    /** Gives a contact a seat at a pane. @throws Refused if they have one */
    @Transactional
    public SeatId give(PaneId paneId, ContactId contactId, SeatRole role, Actor by) {
        return askAndGive(paneId, contactId, role, true, by);
    }

    /**
     * The same, asking first where nobody of their organisation has a seat in the project yet. @param sure whether they
     * are meant
     */
    @Transactional
    public SeatId askAndGive(PaneId paneId, ContactId contactId, SeatRole role, boolean sure, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(paneId));
        Contact contact = NotFound.unless(people.contact(contactId));
        Optional<SeatRow> had = seats.seatOf(paneId, contactId).filter(seat -> seat.state() != SeatState.ENDED);
        if (had.isPresent()) {
            throw Refused.changedMeanwhile(contact.name() + " has a seat at “" + pane.name() + "” already, as "
                    + inWords(had.get().role()) + ". Nothing was changed.");
        }
        if (!sure
                && Organisations.of(people, projects, pane.project())
                        .isStranger(contact.client(), seats.ofProject(pane.project()))) {
            throw new NeedsConfirmation(
                    List.of(contact.name() + " belongs to "
                            + people.clients().stream()
                                    .filter(client -> client.id().equals(contact.client()))
                                    .map(Client::name)
                                    .findFirst()
                                    .orElse("somebody else")
                            + ", of which nobody has a seat in this project. They will see all that “" + pane.name()
                            + "” lets through."),
                    "Give " + contact.name() + " a seat all the same");
        }
        SeatId seat = seats.give(paneId, contactId, role, agency.now());
        tell(pane, new PeopleActs.SeatGiven(by, pane.name(), contact.name(), contact.email(), role));
        return seat;
    }

    /** Changes a seat's role. @throws Refused if it is the lead voice's, who always signs */
    @Transactional
    public ProjectId change(SeatId id, SeatRole role, int revision, Actor by) {
        SeatRow seat = NotFound.unless(seats.find(id));
        Panes.Row pane = panes.find(seat.pane()).orElseThrow();
        if (seat.leadVoice() && role != SeatRole.SIGNATORY) {
            throw Refused.because(seat.name() + " speaks for everybody at “" + pane.name()
                    + "” and so always signs. Name another lead voice first.");
        }
        seats.changeRole(
                new SeatRow(
                        seat.id(),
                        seat.pane(),
                        seat.contact(),
                        seat.name(),
                        seat.email(),
                        seat.role(),
                        seat.leadVoice(),
                        seat.state(),
                        seat.invitedAt(),
                        seat.acceptedAt(),
                        revision),
                role);
        tell(pane, new PeopleActs.SeatChanged(by, pane.name(), seat.name(), role));
        return pane.project();
    }

    /** Makes this seat the one that speaks for all. It becomes a signatory's. */
    @Transactional
    public ProjectId nameLeadVoice(SeatId id, Actor by) {
        SeatRow seat = NotFound.unless(seats.find(id).filter(found -> found.state() != SeatState.ENDED));
        Panes.Row pane = panes.find(seat.pane()).orElseThrow();
        seats.makeLeadVoice(seat);
        tell(pane, new PeopleActs.LeadVoiceNamed(by, pane.name(), seat.name()));
        return pane.project();
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
                            + "” any more, from now on, and is signed out everywhere. What they said and "
                            + "decided stays."),
                    "End the seat of " + seat.name());
        }
        seats.end(seat, agency.now());
        waysIn.revokeAll(seat.contact(), agency.now());
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

    /** Mails the holder a link to the pane. @throws Refused while the pane is not published */
    @Transactional
    public ProjectId sendLink(SeatId id, Actor by) {
        SeatRow seat = NotFound.unless(seats.find(id).filter(found -> found.state() != SeatState.ENDED));
        Panes.Row pane = panes.find(seat.pane()).orElseThrow();
        if (pane.publishedAt() == null) {
            throw Refused.because("The pane “" + pane.name()
                    + "” is not published yet, so a link would lead nowhere. Publish it first.");
        }
        invite(seat, pane);
        tell(pane, new PeopleActs.SeatInvited(by, pane.name(), seat.name(), seat.email()));
        return pane.project();
    }

    /** Mails a link to everybody at a pane who was never sent one. */
    @Transactional
    public void sendLinksToNewcomers(PaneId id, Actor by) {
        Panes.Row pane = panes.find(id).orElseThrow();
        seats.ofPane(id).stream().filter(seat -> seat.invitedAt() == null).forEach(seat -> {
            invite(seat, pane);
            tell(pane, new PeopleActs.SeatInvited(by, pane.name(), seat.name(), seat.email()));
        });
    }

    private void invite(SeatRow seat, Panes.Row pane) {
        Project project = projects.find(pane.project()).orElseThrow();
        seats.invited(seat.id(), agency.now());
        String welcome = pane.welcome().isEmpty()
                ? "Here is where you see how " + project.name() + " is getting on, and what we need from you."
                : pane.welcome();
        toContact.write(
                seat.contact(),
                new WriteToContact.Note(
                        project.name() + ": your page with " + agency.get().name(),
                        List.of(
                                welcome,
                                "There is no account and no password. This link knows it is you, so please do not "
                                        + "pass it on."),
                        "Open your page",
                        "/c/panes/" + pane.id()));
    }

    private void tell(Panes.Row pane, Happening happening) {
        audit.append(pane.project(), pane.id().value(), happening);
    }

    static String inWords(SeatRole role) {
        return role.name().toLowerCase(Locale.ROOT);
    }
}
