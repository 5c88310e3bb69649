package app.clearpane.web.shell.frame;

import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Looking;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Whoever is signed in. */
@Component
class SignedInLooking implements Looking {
    @Override
    public Optional<Person.OfTeam> member() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who != null && who.getPrincipal() instanceof Person.OfTeam member
                ? Optional.of(member)
                : Optional.empty();
    }
}
