package app.clearpane.web.security;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.files.Sha256;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.security.Person;
import java.time.Clock;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/**
 * Signs the team, and contacts who chose a password, in by address and password. An unknown address takes as long as a
 * wrong password and is answered alike.
 */
@Component
class TeamSignIn implements AuthenticationProvider {
    private final People people;
    private final OwnThings own;
    private final Door door;
    private final PasswordEncoder passwords;
    private final Limits limits;
    private final Clock clock;
    private final String nobodysHash;

    TeamSignIn(People people, OwnThings own, Door door, PasswordEncoder passwords, Limits limits, Clock clock) {
        this.own = own;
        this.people = people;
        this.door = door;
        this.passwords = passwords;
        this.limits = limits;
        this.clock = clock;
        this.nobodysHash = String.valueOf(passwords.encode("nobody"));
    }

    @Override
    public Authentication authenticate(Authentication attempt) {
        String account = attempt.getName().toLowerCase(Locale.ROOT);
        String from =
                attempt.getDetails() instanceof WebAuthenticationDetails details ? details.getRemoteAddress() : "";
        Optional<People.Credentials> found = ofTeam(account);
        Optional<Sha256> place = found.map(known -> place(known.member().id(), from));
        if (!limits.signIn(account, from, place.filter(door.signIns()::isKnown).isPresent())) {
            throw new LockedException("too many tries");
        }
        Optional<OwnThings.Credentials> contact = found.isPresent() ? Optional.empty() : ofContact(account);
        String hash = found.map(People.Credentials::passwordHash)
                .or(() -> contact.map(OwnThings.Credentials::passwordHash))
                .orElse(nobodysHash);
        boolean matches = passwords.matches(String.valueOf(attempt.getCredentials()), hash);
        if (matches && contact.isPresent()) {
            return SignedIn.as(new Person.OfClient(
                    contact.get().contact().id().value(),
                    contact.get().contact().name()));
        }
        TeamMember member = found.filter(known -> matches)
                .map(People.Credentials::member)
                .orElseThrow(() -> new BadCredentialsException("no match"));
        door.signIns().cameFrom(place.orElseThrow(), member.id(), clock.instant());
        return door.opensFor(member, "/t");
    }

    private static Sha256 place(TeamMemberId member, String from) {
        return Sha256.ofText(member + "\n" + from);
    }

    private Optional<People.Credentials> ofTeam(String email) {
        return address(email).flatMap(people::credentials);
    }

    private Optional<OwnThings.Credentials> ofContact(String email) {
        return address(email).flatMap(own::credentials);
    }

    private static Optional<EmailAddress> address(String typed) {
        try {
            return Optional.of(new EmailAddress(typed));
        } catch (IllegalArgumentException notAnAddress) {
            return Optional.empty();
        }
    }

    static Person person(TeamMember member) {
        return new Person.OfTeam(member.id().value(), member.name(), member.role());
    }

    @Override
    public boolean supports(Class<?> authentication) {
        return UsernamePasswordAuthenticationToken.class.isAssignableFrom(authentication);
    }
}
