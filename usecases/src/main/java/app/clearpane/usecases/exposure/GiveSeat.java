package app.clearpane.usecases.exposure;

import app.clearpane.core.agency.Client;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Happening;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Gives, changes and ends seats, names the lead voice, and sends people their link. */
@Component
public class GiveSeat {
    private final Seats seats;
    private final Panes panes;
    private final Projects projects;
    private final People people;
    private final TheAgency agency;
    private final AuditLog audit;

    GiveSeat(Seats seats, Panes panes, Projects projects, People people, TheAgency agency, AuditLog audit) {
        this.seats = seats;
        this.panes = panes;
        this.projects = projects;
        this.people = people;
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

    private void tell(Panes.Row pane, Happening happening) {
        audit.append(pane.project(), pane.id().value(), happening);
    }

    static String inWords(SeatRole role) {
        return role.name().toLowerCase(Locale.ROOT);
    }
}
