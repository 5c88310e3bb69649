package app.clearpane.web.you.client;

import app.clearpane.core.agency.ContactId;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;

/** Pages that only a contact has: whoever came by a link has nothing of their own. */
final class OwnPages {
    private OwnPages() {}

    static ContactId contact(Person person) {
        if (person instanceof Person.OfClient me) {
            return me.contactId();
        }
        throw new NotFound();
    }
}
