package app.clearpane.core.supply;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.Turn;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * Something we need from the client, in parts.
 *
 * @param why what it is for, in words; may be empty
 * @param asked who is to supply it, in order
 * @param term until when it is wanted
 * @param supplied all that was given for it, oldest first
 * @param goesTo where accepted files go: into a folder, beside a task, or to a deliverable as a draft; empty for the
 *     top of the files
 */
public record Request(
        RequestId id,
        ProjectId project,
        String title,
        String why,
        List<RequestPart> parts,
        List<Asked> asked,
        Term term,
        Actor madeBy,
        Standing standing,
        List<Supplied> supplied,
        Optional<ItemId> goesTo,
        int revision) {
    /** Somebody who is asked. */
    public record Asked(ContactId contact, String name) {}

    /** What was done with it. */
    public sealed interface Standing {}

    /**
     * It was not sent: those it is for do not know of it. @param leaves when it is to go out; empty when somebody sends
     * it
     */
    public record Draft(Optional<Leaving> leaves) implements Standing {}

    /** It was sent. @param due until when it is wanted @param heldSince since when whoever holds it has had it */
    public record Sent(Instant at, Instant due, Instant heldSince) implements Standing {}

    /** It is not wanted any more. */
    public record Withdrawn(Instant at, String reason) implements Standing {}

    public Request {
        parts = List.copyOf(parts);
        asked = List.copyOf(asked);
        supplied = List.copyOf(supplied);
    }

    /** How a part of it stands. */
    public PartState state(RequestPart part) {
        return PartState.of(part, supplied);
    }

    /** Rule Q4: whether all that it asks for was accepted. */
    public boolean isDone() {
        return parts.stream().allMatch(part -> state(part) instanceof PartState.Accepted);
    }

    /** Rules Q4 and T1: who holds it. What was not sent is ours. */
    public Turn turn() {
        if (standing instanceof Withdrawn) {
            return Turn.NOBODYS;
        }
        if (standing instanceof Draft) {
            return Turn.OURS;
        }
        if (isDone()) {
            return Turn.NOBODYS;
        }
        return parts.stream().anyMatch(part -> state(part).isTheClients()) ? Turn.CLIENTS : Turn.OURS;
    }

    /** How it stands as a whole at a moment. */
    public RequestState state(Instant now) {
        if (standing instanceof Draft) {
            return RequestState.DRAFT;
        }
        if (standing instanceof Withdrawn) {
            return RequestState.WITHDRAWN;
        }
        if (isDone()) {
            return RequestState.ALL_ACCEPTED;
        }
        if (turn() == Turn.OURS) {
            return RequestState.TO_LOOK_AT;
        }
        return sent().filter(sent -> sent.due().isBefore(now)).isPresent()
                ? RequestState.LATE
                : RequestState.WITH_CLIENT;
    }

    /** When it is to go out, of a draft. */
    public Optional<Leaving> leaves() {
        return standing instanceof Draft draft ? draft.leaves() : Optional.empty();
    }

    /** When it was sent and until when it is wanted, if it was. */
    public Optional<Sent> sent() {
        return standing instanceof Sent sent ? Optional.of(sent) : Optional.empty();
    }

    /** Whether all that it asks for are answers to questions. */
    public boolean asksQuestionsOnly() {
        return parts.stream().allMatch(part -> part.takes() == Takes.ANSWERS);
    }

    /** Whether it is for a contact to supply. */
    public boolean asks(ContactId contact) {
        return asked.stream().anyMatch(one -> one.contact().equals(contact));
    }

    /** What was given for a part, oldest first, whatever became of it. */
    public List<Supplied> given(RequestPart part) {
        return supplied.stream().filter(one -> one.part().equals(part.id())).toList();
    }

    /** One of its parts. */
    public Optional<RequestPart> part(UUID part) {
        return parts.stream().filter(one -> one.id().equals(part)).findFirst();
    }

    /** Something that was given for it. */
    public Optional<Supplied> given(UUID given) {
        return supplied.stream().filter(one -> one.id().equals(given)).findFirst();
    }

    /** Whether something may still be given for a part: until all of it was accepted. */
    public boolean isWanted(RequestPart part) {
        return !(state(part) instanceof PartState.Accepted);
    }

    /** Whether all that is wanted of a part is there and will do, as far as the checks know. */
    public boolean isThere(RequestPart part) {
        return missing(part) == 0 && given(part).stream().noneMatch(Supplied::holdsUp);
    }

    /** How many places of a part are still to be filled. */
    public int missing(RequestPart part) {
        return (int) Math.max(
                0,
                part.wanted()
                        - supplied.stream()
                                .filter(one -> one.part().equals(part.id()) && one.fills())
                                .count());
    }
}
