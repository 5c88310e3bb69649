package app.clearpane.usecases.post;

import app.clearpane.core.agency.ContactId;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Writes a contact a mail whose button lets them in at the page it is about. */
@Component
public class WriteToContact {
    private final People people;
    private final LinkKeys keys;
    private final WriteMail mail;
    private final TheAgency agency;

    public WriteToContact(People people, LinkKeys keys, WriteMail mail, TheAgency agency) {
        this.people = people;
        this.keys = keys;
        this.mail = mail;
        this.agency = agency;
    }

    /**
     * What it says.
     *
     * @param button what is written on the button
     * @param page the path of the page it opens
     */
    public record Note(String subject, List<String> paragraphs, String button, String page) {}

    /** Sends it. @return the mail's identifier */
    public UUID write(ContactId to, Note note) {
        return mail.send(people.contact(to).orElseThrow(), letter(to, note));
    }

    /** The letter it is, for a mail that does not go out at once. */
    public Letter letter(ContactId to, Note note) {
        return new Letter(
                note.subject(),
                note.paragraphs(),
                note.button(),
                keys.forContact(to, note.page()),
                agency.get().name(),
                note.page());
    }
}
