package app.clearpane.core.project;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A risk or an issue.
 *
 * @param issue whether it has happened; else it may
 * @param likelihood from 1 to 3
 * @param effect from 1 to 3
 * @param about what it is
 * @param measure what is done about it
 * @param owner who of the team looks after it
 * @param ownerName empty where nobody does
 * @param closedAt null while it stands
 */
public record Concern(
        ItemId id,
        ProjectId project,
        String name,
        boolean issue,
        int likelihood,
        int effect,
        String about,
        String measure,
        @Nullable TeamMemberId owner,
        String ownerName,
        @Nullable Instant closedAt,
        int revision) {
    /** What it comes to. */
    public Gravity gravity() {
        return Gravity.of(issue, likelihood, effect);
    }

    /** What it weighs, from 1 to 9. */
    public int weight() {
        return Gravity.weight(issue, likelihood, effect);
    }

    /** Whether it still stands. */
    public boolean open() {
        return closedAt == null;
    }
}
