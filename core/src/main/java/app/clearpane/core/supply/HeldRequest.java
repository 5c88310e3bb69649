package app.clearpane.core.supply;

import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.Turn;
import java.time.Instant;
import java.util.Optional;

/**
 * A request that one side holds, without what is in it: enough to say whose turn it is and since when.
 *
 * @param sent empty for a draft, which is ours
 */
public record HeldRequest(RequestId id, ProjectId project, String title, Turn turn, Optional<Request.Sent> sent) {
    /** Whether it is the client's, and its time is over. */
    public boolean isLate(Instant now) {
        return turn == Turn.CLIENTS
                && sent.filter(when -> when.due().isBefore(now)).isPresent();
    }
}
