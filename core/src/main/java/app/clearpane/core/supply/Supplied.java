package app.clearpane.core.supply;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * Something that was given for a part of a request.
 *
 * @param findings what the checks of its part said as it arrived
 * @param allTheSame why it was sent in spite of what failed; empty if it was not
 */
public record Supplied(
        UUID id,
        UUID part,
        Sha256 sha256,
        String name,
        FileFacts facts,
        Came came,
        List<Finding> findings,
        Optional<String> allTheSame,
        Standing standing) {
    /** By which door something came. */
    public enum Door {
        PAGE,
        MAIL
    }

    /** Who gave it, when, and by which door. */
    public record Came(Actor by, Instant at, Door door) {}

    /** What the team made of it. */
    public sealed interface Standing {}

    /** Nobody looked at it yet. */
    public record Arrived() implements Standing {}

    /** It is taken. @param reason why, where a check failed; empty otherwise */
    public record Accepted(Actor by, Instant at, String reason) implements Standing {}

    /** It will not do; another is wanted. */
    public record AskedAgain(Actor by, Instant at, String why) implements Standing {}

    /** It was taken back by its side before we used it. */
    public record TakenBack(Instant at) implements Standing {}

    /** Whether it fills a place: nobody asked for another, and it was not taken back. */
    public boolean fills() {
        return standing instanceof Arrived || isAccepted();
    }

    public boolean isAccepted() {
        return standing instanceof Accepted;
    }

    /** Whether a check failed, and its side did not say that it is to be looked at all the same. */
    public boolean holdsUp() {
        return standing instanceof Arrived
                && allTheSame.isEmpty()
                && findings.stream().anyMatch(Finding::fails);
    }
}
