package app.clearpane.store.deliverable;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Allowance;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Rule;
import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

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
        List<ExtraRounds.Accepted> extra,
        Instant createdAt,
        int revision) {
    public Deliverable {
        signers = List.copyOf(signers);
        extra = List.copyOf(extra);
    }

    /** Rounds up to one that cost extra and were not accepted yet. */
    public List<Integer> toAccept(int upTo) {
        return allowance.toAccept(
                upTo, extra.stream().map(ExtraRounds.Accepted::round).collect(Collectors.toSet()));
    }

    /** How many have to sign where the rule says at least so many; null for other rules. */
    static @Nullable Integer least(Rule rule) {
        return rule instanceof Rule.AtLeast atLeast ? atLeast.k() : null;
    }

    static Rule rule(String name, @Nullable Integer least) {
        return Rule.of(name, least == null ? 1 : least);
    }
}
