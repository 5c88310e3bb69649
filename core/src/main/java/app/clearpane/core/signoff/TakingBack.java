package app.clearpane.core.signoff;

import app.clearpane.core.agency.ContactId;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Until when what somebody said in a round can be taken back, as far as the round tells. */
public final class TakingBack {
    /** How long after it was said. */
    public static final Duration WITHIN = Duration.ofMinutes(10);

    private TakingBack() {}

    /**
     * A decision of a round.
     *
     * @param contact whose it is
     * @param by who made it; another than the contact if they stood in
     */
    public record Made(ContactId contact, ContactId by, Instant at) {}

    /**
     * Ten minutes after it, unless there is a later decision for the same signatory, the next in order went on from it,
     * or the round was closed by anything else.
     *
     * @param who made it
     * @param said every decision of the round in the order made
     * @param inOrder whether the signatories decide one after another
     * @param closedAt when the round was closed; empty while it is open
     * @return empty if it cannot be taken back any more, or nothing was said
     */
    public static Optional<Instant> until(
            ContactId who, List<Made> said, boolean inOrder, Optional<Instant> closedAt, Instant now) {
        return said.stream()
                .filter(one -> one.by().equals(who))
                .reduce(TakingBack::later)
                .filter(one -> said.stream()
                        .filter(other -> other.contact().equals(one.contact()))
                        .reduce(TakingBack::later)
                        .filter(one::equals)
                        .isPresent())
                .filter(one -> closedAt.isPresent()
                        ? one.at().equals(closedAt.get())
                        : !inOrder || one.equals(said.get(said.size() - 1)))
                .map(one -> one.at().plus(WITHIN))
                .filter(now::isBefore);
    }

    /**
     * Whether somebody went on from a decision, so that it cannot be taken back any more.
     *
     * @param said when it was made
     * @param open whether its round is open still
     * @param released whether its version was released
     * @param versions when each version of the deliverable was made
     */
    public static boolean isBuiltOn(Instant said, boolean open, boolean released, List<Instant> versions) {
        return released || !open && versions.stream().anyMatch(said::isBefore);
    }

    private static Made later(Made earlier, Made later) {
        return later;
    }
}
