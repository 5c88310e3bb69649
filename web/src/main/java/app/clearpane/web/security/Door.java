package app.clearpane.web.security;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.store.agency.SecondFactors;
import app.clearpane.store.agency.Sessions;
import app.clearpane.store.agency.SignIns;
import java.time.Clock;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;

/** How people are let in: for how long, noted where, and by how many steps. */
@Component
record Door(SignIns signIns, Sessions sessions, SecondFactors secondFactors, Clock clock) {
    /** Lets in one of the team: wholly, or as far as the question for a code. */
    Authentication opensFor(TeamMember member, String leadsTo) {
        return secondFactors.holds(member.id())
                ? SignedIn.half(new HalfIn(member.id().value(), clock.instant(), leadsTo))
                : SignedIn.as(TeamSignIn.person(member));
    }
}
