package app.clearpane.web.security;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.TeamMember;
import java.util.Optional;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Signs the team in by address and password. An unknown address takes as long as a wrong password and is answered alike. */
@Component
class TeamSignIn implements AuthenticationProvider {
  private final People people;
  private final PasswordEncoder passwords;
  private final Limits limits;
  private final String nobodysHash;

  TeamSignIn(People people, PasswordEncoder passwords, Limits limits) {
    this.people = people;
    this.passwords = passwords;
    this.limits = limits;
    this.nobodysHash = passwords.encode("nobody");
  }

  @Override
  public Authentication authenticate(Authentication attempt) {
    if (!limits.signIn(attempt.getName().toLowerCase(java.util.Locale.ROOT))) {
      throw new LockedException("too many tries");
    }
    Optional<People.Credentials> found = credentials(attempt.getName());
    String hash = found.map(People.Credentials::passwordHash).orElse(nobodysHash);
    boolean matches = passwords.matches(String.valueOf(attempt.getCredentials()), hash);
    return found.filter(known -> matches).map(known -> SignedIn.as(person(known.member()))).orElseThrow(() -> new BadCredentialsException("no match"));
  }

  private Optional<People.Credentials> credentials(String email) {
    try {
      return people.credentials(new EmailAddress(email));
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
