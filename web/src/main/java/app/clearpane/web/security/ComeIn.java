package app.clearpane.web.security;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.Contact;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.TeamMember;
import app.clearpane.store.agency.WaysIn;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.WriteMail;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.security.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Lets a person in by a link that only their mailbox had; seats that waited for it are theirs from then on. */
@Component
public class ComeIn {
    private final WaysIn waysIn;
    private final People people;
    private final Seats seats;
    private final Panes panes;
    private final Records records;
    private final WriteMail mail;
    private final LinkKeys keys;
    private final SecurityContextRepository contexts;
    private final Door door;
    private final Clock clock;

    ComeIn(
            WaysIn waysIn,
            People people,
            Seats seats,
            Panes panes,
            Records records,
            WriteMail mail,
            LinkKeys keys,
            SecurityContextRepository contexts,
            Door door,
            Clock clock) {
        this.waysIn = waysIn;
        this.people = people;
        this.seats = seats;
        this.panes = panes;
        this.records = records;
        this.mail = mail;
        this.keys = keys;
        this.contexts = contexts;
        this.door = door;
        this.clock = clock;
    }

    static boolean isFor(WaysIn.WayIn way, Person person) {
        return person instanceof Person.OfClient client
                ? client.contactId().equals(way.contact())
                : person instanceof Person.OfTeam member && member.memberId().equals(way.member());
    }

    /** Uses the link up and signs its person in. @return the page it leads to; empty if it opens nothing */
    @Transactional
    public Optional<String> comeIn(Sha256 keyHash, HttpServletRequest request, HttpServletResponse response) {
        Optional<WaysIn.WayIn> found = waysIn.find(keyHash)
                .filter(way -> way.opensAt(clock.instant()))
                .filter(way -> waysIn.use(way, clock.instant()));
        Optional<Authentication> someone = found.flatMap(this::opensFor);
        someone.ifPresent(authentication -> signIn(authentication, request, response));
        return someone.flatMap(in -> in.getPrincipal() instanceof HalfIn
                ? Optional.of(SecuritySetup.CODE_PAGE)
                : found.map(WaysIn.WayIn::leadsTo));
    }

    private Optional<Authentication> opensFor(WaysIn.WayIn way) {
        if (way.member() != null) {
            return people.member(way.member()).map(member -> door.opensFor(member, way.leadsTo()));
        }
        return Optional.ofNullable(way.contact()).flatMap(people::contact).map(contact -> {
            accept(contact);
            return SignedIn.as(new Person.OfClient(contact.id().value(), contact.name()));
        });
    }

    /** Takes the seats that waited for this contact. */
    @Transactional
    public void accept(Contact contact) {
        for (SeatRow seat : seats.accept(contact.id(), clock.instant())) {
            Panes.Row pane = panes.find(seat.pane()).orElseThrow();
            records.append(
                    pane.project().value(),
                    pane.id().value(),
                    RecordEntry.What.done(new PeopleActs.SeatAccepted(
                            new Actor.OfClient(contact.id(), contact.name()),
                            pane.name(),
                            contact.email(),
                            seat.role())),
                    clock.instant());
        }
    }

    /**
     * In a new session. Giving the old one a new name would not do: a picture that still loads in it writes the old
     * name back, and the person is out again.
     */
    void signIn(Authentication authentication, HttpServletRequest request, HttpServletResponse response) {
        Optional.ofNullable(request.getSession(false)).ifPresent(HttpSession::invalidate);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(authentication);
        SecurityContextHolder.setContext(context);
        if (!(authentication.getPrincipal() instanceof HalfIn)) {
            new SessionLimits(door).begin(request, authentication);
        }
        contexts.saveContext(context, request, response);
    }

    /** Signs one of the team in who has just given all that is asked of them. */
    public void asMember(TeamMember member, HttpServletRequest request, HttpServletResponse response) {
        signIn(SignedIn.as(TeamSignIn.person(member)), request, response);
    }

    /** Mails a new link for the same page to the person an old link was for. */
    @Transactional
    public void sendAnother(Sha256 keyHash) {
        waysIn.find(keyHash)
                .filter(way -> way.revokedAt() == null && way.contact() != null)
                .ifPresent(way -> people.contact(Objects.requireNonNull(way.contact()))
                        .ifPresent(contact -> mailLink(contact, way.leadsTo())));
    }

    /** Mails a link to whoever has this address, if anybody has. */
    @Transactional
    public void sendTo(String address) {
        try {
            people.contactAt(new EmailAddress(address)).ifPresent(contact -> mailLink(contact, "/c"));
        } catch (IllegalArgumentException notAnAddress) {
            // The answer is the same whether an address is known or not.
        }
    }

    private void mailLink(Contact contact, String leadsTo) {
        String agency = people.agency().orElseThrow().name();
        mail.send(
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
