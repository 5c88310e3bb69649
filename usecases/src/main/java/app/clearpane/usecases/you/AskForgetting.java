package app.clearpane.usecases.you;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** A contact asks to be forgotten, and may take that back until it was done. */
@Component
public class AskForgetting {
    private final OwnThings own;
    private final People people;
    private final WriteToTeam toTeam;
    private final TheAgency agency;
    private final AuditLog audit;

    AskForgetting(OwnThings own, People people, WriteToTeam toTeam, TheAgency agency, AuditLog audit) {
        this.own = own;
        this.people = people;
        this.toTeam = toTeam;
        this.agency = agency;
        this.audit = audit;
    }

    /** Asks; the owners are told. */
    @Transactional
    public void ask(ContactId id, Actor by) {
        if (own.asksForgettingSince(id).isPresent()) {
            return;
        }
        own.askForgetting(id, agency.now());
        tell(by, "asks");
        people.team().stream()
                .filter(member -> member.role() == TeamRole.OWNER)
                .forEach(owner -> toTeam.write(
                        owner,
                        by.name() + " asks to be forgotten",
                        List.of("What forgetting them takes away, and what stays because it was signed, is said before "
                                + "it is done."),
                        new WriteToTeam.Leads(
                                "Open the clients", "/t/clients?q=" + by.name().replace(' ', '+'))));
    }

    /** Takes it back. */
    @Transactional
    public void takeBack(ContactId id, Actor by) {
        if (own.asksForgettingSince(id).isPresent()) {
            own.askForgetting(id, null);
            tell(by, "no longer");
        }
    }

    private void tell(Actor by, String how) {
        audit.appendOfAgency(
                agency.get().id(), new PeopleActs.ClientChanged(Act.CONTACT_ASKS_FORGETTING, by, by.name(), how));
    }
}
