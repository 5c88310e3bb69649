package app.clearpane.usecases.clients;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.agency.Forgetting;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Forgets who somebody was, as they asked. */
@Component
public class ForgetContact {
    private final Directory directory;
    private final KeepClient keepClient;
    private final Forgetting forgetting;
    private final OwnThings own;
    private final TheAgency agency;
    private final AuditLog audit;

    ForgetContact(
            Directory directory,
            KeepClient keepClient,
            Forgetting forgetting,
            OwnThings own,
            TheAgency agency,
            AuditLog audit) {
        this.directory = directory;
        this.keepClient = keepClient;
        this.forgetting = forgetting;
        this.own = own;
        this.agency = agency;
        this.audit = audit;
    }

    /**
     * Forgets them.
     *
     * @param sure whether what stays was read
     * @throws NotFound unless they asked for it
     * @throws NeedsConfirmation if what stays was not read
     * @throws app.clearpane.usecases.shell.Refused while they speak for others or are asked to sign
     */
    @Transactional
    public void forget(ContactId id, boolean sure, Actor by) {
        NotFound.unless(own.asksForgettingSince(id));
        Directory.Entry client = NotFound.unless(directory.findClientOf(id));
        if (!sure) {
            throw new NeedsConfirmation(
                    List.of(
                            "Their name, mail address, telephone, photograph, wishes, password, the mails to them and "
                                    + "their seats are taken away. What they said stays where it was said, as said by "
                                    + "“" + Forgetting.NAME + "”.",
                            "What they signed stays as they signed it, under the name they typed, and so do releases "
                                    + "and the Record: they prove what was agreed, and cannot be changed.",
                            "It cannot be undone."),
                    "Forget them");
        }
        keepClient.leave(id, true, by);
        forgetting.forget(id, agency.now());
        audit.appendOfAgency(
                agency.get().id(),
                new PeopleActs.ClientChanged(Act.CONTACT_FORGOTTEN, by, client.name(), id.toString()));
    }
}
