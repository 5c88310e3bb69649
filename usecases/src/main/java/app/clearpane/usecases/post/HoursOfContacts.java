package app.clearpane.usecases.post;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.ContactWishes;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** When contacts may be written to, as they wish it, where they are. */
@Component
public class HoursOfContacts {
    private final OwnThings own;
    private final TheAgency agency;

    HoursOfContacts(OwnThings own, TheAgency agency) {
        this.own = own;
        this.agency = agency;
    }

    /** The first instant at or after another at which a contact may be written to. */
    public Instant next(ContactId contact, Instant at) {
        ContactWishes wishes = own.wishes(contact);
        return wishes.hours()
                .map(hours -> hours.next(
                        at, wishes.zone().orElseGet(() -> agency.get().zone())))
                .orElse(at);
    }
}
