package app.clearpane.usecases.shell;

import app.clearpane.usecases.security.Person;
import java.util.Optional;

/** Who looks just now; jobs and clients are nobody of the team. */
public interface Looking {
    /** The member of the team for whom something is answered; empty for anybody else. */
    Optional<Person.OfTeam> member();
}
