package app.clearpane.usecases.post;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.files.Sha256;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.usecases.security.LinkKeys;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Mails a contact a link that lets them in. */
@Component
public class SendLink {
    private final SignInLinks signInLinks;
    private final People people;
    private final WriteMail mail;
    private final LinkKeys keys;

    SendLink(SignInLinks signInLinks, People people, WriteMail mail, LinkKeys keys) {
        this.signInLinks = signInLinks;
        this.people = people;
        this.mail = mail;
        this.keys = keys;
    }

    /** Mails a new link for the same page to the person an old link was for. */
    @Transactional
    public void sendAnother(Sha256 keyHash) {
        signInLinks
                .find(keyHash)
                .filter(way -> way.revokedAt() == null && way.contact() != null)
                .ifPresent(way -> people.contact(Objects.requireNonNull(way.contact()))
                        .ifPresent(contact -> send(contact, way.leadsTo())));
    }

    /**
     * Mails a link to a page to the person an old link was for. @param page the path of the page
     *
     * @return to whom, so that they may be told where to look; empty if that link is known to nobody
     */
    @Transactional
    public Optional<Contact> sendFor(Sha256 keyHash, String page) {
        Optional<Contact> to = signInLinks
                .find(keyHash)
                .filter(way -> way.revokedAt() == null)
                .flatMap(way -> Optional.ofNullable(way.contact()))
                .flatMap(people::contact);
        to.ifPresent(contact -> send(contact, page));
        return to;
    }

    /** Mails a link to whoever has this address, if anybody has. @param page the path of the page it opens */
    @Transactional
    public void sendTo(String address, String page) {
        try {
            people.contactAt(new EmailAddress(address)).ifPresent(contact -> send(contact, page));
        } catch (IllegalArgumentException notAnAddress) {
            // The answer is the same whether an address is known or not.
        }
    }

    /** Whoever left gets none, whichever way it is asked for. */
    private void send(Contact contact, String leadsTo) {
        if (people.hasLeft(contact.id())) {
            return;
        }
        String agency = people.agency().orElseThrow().name();
        mail.sendNow(
                contact,
                new Letter(
                        "Your link to " + agency,
                        List.of("You asked for a new link. It opens your page once, within two weeks; after that "
                                + "you can ask for another."),
                        "Open my page",
                        keys.forContact(contact.id(), leadsTo),
                        agency));
    }
}
