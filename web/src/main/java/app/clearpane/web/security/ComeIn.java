package app.clearpane.web.security;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.files.Sha256;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.usecases.seats.AcceptSeats;
import app.clearpane.usecases.security.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
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
    private final SignInLinks signInLinks;
    private final People people;
    private final AcceptSeats seats;
    private final SecurityContextRepository contexts;
    private final Door door;
    private final Clock clock;

    ComeIn(
            SignInLinks signInLinks,
            People people,
            AcceptSeats seats,
            SecurityContextRepository contexts,
            Door door,
            Clock clock) {
        this.signInLinks = signInLinks;
        this.people = people;
        this.seats = seats;
        this.contexts = contexts;
        this.door = door;
        this.clock = clock;
    }

    static boolean isFor(SignInLinks.WayIn way, Person person) {
        return person instanceof Person.OfClient client
                ? client.contactId().equals(way.contact())
                : person instanceof Person.OfTeam member && member.memberId().equals(way.member());
    }

    /** Uses the link up and signs its person in. @return the page it leads to; empty if it opens nothing */
    @Transactional
    public Optional<String> comeIn(Sha256 keyHash, HttpServletRequest request, HttpServletResponse response) {
        Optional<SignInLinks.WayIn> found = signInLinks
                .find(keyHash)
                .filter(way -> way.opensAt(clock.instant()))
                .filter(way -> signInLinks.use(way, clock.instant()));
        Optional<Authentication> someone = found.flatMap(this::opensFor);
        someone.ifPresent(authentication -> signIn(authentication, request, response));
        return someone.flatMap(in -> in.getPrincipal() instanceof HalfIn
                ? Optional.of(SecuritySetup.CODE_PAGE)
                : found.map(SignInLinks.WayIn::leadsTo));
    }

    private Optional<Authentication> opensFor(SignInLinks.WayIn way) {
        if (way.member() != null) {
            return people.member(way.member()).map(member -> door.opensFor(member, way.leadsTo()));
        }
        return Optional.ofNullable(way.contact()).flatMap(people::contact).map(contact -> {
            seats.accept(contact);
            return SignedIn.as(new Person.OfClient(contact.id().value(), contact.name()));
        });
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
}
