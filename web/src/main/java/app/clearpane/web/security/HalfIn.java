package app.clearpane.web.security;

import app.clearpane.core.agency.TeamMemberId;
import java.io.Serializable;
import java.security.Principal;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;

/**
 * One of the team who gave the right password, or came by their own mailed link, and not yet the code that belongs to
 * it. They are nobody on any page.
 *
 * @param since when that was
 * @param leadsTo where they go once they are in
 */
public record HalfIn(UUID id, Instant since, String leadsTo) implements Principal, Serializable {
    private static final Duration LASTS = Duration.ofMinutes(10);

    /** Who they are once they are in. */
    public TeamMemberId memberId() {
        return new TeamMemberId(id);
    }

    /** Whether the code may still be given. */
    public boolean isGoodAt(Instant now) {
        return now.isBefore(since.plus(LASTS));
    }

    @Override
    public String getName() {
        return "half:" + id;
    }
}
