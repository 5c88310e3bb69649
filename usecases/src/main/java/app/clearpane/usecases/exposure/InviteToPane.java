package app.clearpane.usecases.exposure;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Happening;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Mails those who have a seat their link to its pane. */
@Component
public class InviteToPane {
    private final Seats seats;
    private final Panes panes;
    private final Projects projects;
    private final TheAgency agency;
    private final AuditLog audit;
    private final WriteToContact toContact;

    InviteToPane(
            Seats seats, Panes panes, Projects projects, TheAgency agency, AuditLog audit, WriteToContact toContact) {
        this.seats = seats;
        this.panes = panes;
        this.projects = projects;
        this.agency = agency;
        this.audit = audit;
        this.toContact = toContact;
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
}
