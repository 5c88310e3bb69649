package app.clearpane.usecases.you;

import app.clearpane.core.agency.ContactId;
import app.clearpane.store.post.Mails;
import java.util.List;
import org.springframework.stereotype.Component;

/** Every mail that went to a contact, to be read again. */
@Component
public class ReadMails {
    private final Mails mails;

    ReadMails(Mails mails) {
        this.mails = mails;
    }

    /** Them, the newest first. */
    public List<Mails.Said> all(ContactId contact) {
        return mails.saidTo(contact);
    }
}
