package app.clearpane.usecases.you;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.store.agency.Sessions;
import app.clearpane.usecases.agency.SetUp;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** A password for a contact who wants one; links in mails open their page as before. */
@Component
public class OwnPassword {
    private final OwnThings own;
    private final Sessions sessions;
    private final PasswordEncoder passwords;
    private final WriteToContact write;
    private final TheAgency agency;
    private final AuditLog audit;

    OwnPassword(
            OwnThings own,
            Sessions sessions,
            PasswordEncoder passwords,
            WriteToContact write,
            TheAgency agency,
            AuditLog audit) {
        this.own = own;
        this.sessions = sessions;
        this.passwords = passwords;
        this.write = write;
        this.agency = agency;
        this.audit = audit;
    }

    /**
     * Keeps one, signs its owner out everywhere else, and mails them that it happened.
     *
     * @param here the session that stays
     * @throws app.clearpane.usecases.shell.Refused if it will not do
     */
    @Transactional
    public void choose(ContactId id, String password, String here, Actor by) {
        Input input = new Input();
        SetUp.checkPassword(input, password);
        input.allGood();
        own.setPassword(id, passwords.encode(password));
        sessions.endOthers("contact:" + id, here);
        tell(by, "chosen");
        mail(
                id,
                "You chose a password",
                "You come in by your mail address and this password now, or by any link in "
                        + "our mails as before. You were signed out everywhere else.");
    }

    /** Does without one again. */
    @Transactional
    public void drop(ContactId id, Actor by) {
        own.setPassword(id, null);
        tell(by, "none");
        mail(id, "Your password opens nothing any more", "You come in by any link in our mails, as before.");
    }

    private void tell(Actor by, String how) {
        audit.appendOfAgency(agency.get().id(), new PeopleActs.ClientChanged(Act.CONTACT_PASSWORD, by, by.name(), how));
    }

    private void mail(ContactId id, String subject, String what) {
        write.write(
                id,
                new WriteToContact.Note(
                        subject,
                        List.of(what, "If it was not you, open this link and end what you do not know, then tell us."),
                        "Where you are signed in",
                        "/signed-in"));
    }
}
