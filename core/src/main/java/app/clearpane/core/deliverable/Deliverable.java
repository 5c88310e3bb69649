package app.clearpane.core.deliverable;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A thing made for the client.
 *
 * @param pane the deciding pane
 * @param paneName its name
 * @param about a line for those who look at it
 * @param rule how many of the signatories have to sign
 * @param signers who signs it, in order; empty if every signatory of the pane does
 * @param reviewDays working days a review may take, 1 or more
 * @param allowance the rounds that are included
 * @param extra rounds beyond them that were accepted, by number
 */
public record Deliverable(
        ItemId id,
        ProjectId project,
        PaneId pane,
        String paneName,
        String name,
        String about,
        Rule rule,
        List<ContactId> signers,
        int reviewDays,
        Allowance allowance,
        List<ExtraRound> extra,
        Instant createdAt,
        int revision) {
    public Deliverable {
        signers = List.copyOf(signers);
        extra = List.copyOf(extra);
    }

    /** Rounds up to one that cost extra and were not accepted yet. */
    public List<Integer> toAccept(int upTo) {
        return allowance.toAccept(upTo, extra.stream().map(ExtraRound::round).collect(Collectors.toSet()));
    }
}
