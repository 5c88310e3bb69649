package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.AskedFor;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.turns.Turn;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.Drawings;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A deliverable and how it stands.
 *
 * @param versions all of them, oldest first
 * @param rounds all of them, oldest first
 * @param current the version sent last
 * @param draft a newer version that was not sent
 * @param round of the current version
 * @param turn who holds it
 * @param daysHeld for how many working days
 * @param asked what its marks come to
 * @param marks all marks on all versions
 * @param release of the current version, if it stands
 * @param releases all of them, newest first
 * @param thumbnail the first sheet of the newest version, once drawn
 */
public record DeliverableState(
        Deliverable deliverable,
        List<Version> versions,
        List<Round> rounds,
        Optional<Version> current,
        Optional<Version> draft,
        Optional<Round> round,
        Turn turn,
        Instant heldSince,
        double daysHeld,
        AskedFor asked,
        List<Mark> marks,
        Optional<Releases.Release> release,
        List<Releases.Release> releases,
        Optional<Drawings.Sheet> thumbnail,
        Instant asOf) {

    /** Where it is in its life, for words and colours. */
    public enum Phase {
        IN_THE_MAKING,
        WITH_CLIENT,
        WILL_GO_BACK,
        CAME_BACK,
        NOBODY_LEFT,
        RECALLED,
        SIGNED,
        RELEASED
    }

    /** Where it is. */
    public Phase phase() {
        if (release.isPresent()) {
            return Phase.RELEASED;
        }
        if (round.isEmpty()) {
            return Phase.IN_THE_MAKING;
        }
        Outcome outcome = round.get().soFar();
        if (round.get().open()) {
            return outcome == Outcome.BACK ? Phase.WILL_GO_BACK : Phase.WITH_CLIENT;
        }
        return switch (outcome) {
            case SIGNED, SIGNED_WITH_NOTES -> Phase.SIGNED;
            case NOBODY_LEFT -> Phase.NOBODY_LEFT;
            case RECALLED -> Phase.RECALLED;
            case BACK, PENDING -> Phase.CAME_BACK;
        };
    }

    /** Whether the review is past its due time. */
    public boolean overdue() {
        return round.filter(r -> r.open() && r.dueAt().isBefore(asOf)).isPresent();
    }

    /** How many have signed. */
    public long signed() {
        return round.map(r ->
                        r.decisions().values().stream().filter(d -> d.signs()).count())
                .orElse(0L);
    }

    /** How many are asked to sign. */
    public int signatories() {
        return round.map(r -> r.signatories().size()).orElse(0);
    }

    /** The version that lists show: the draft if there is one, else the current one. */
    public Optional<Version> newest() {
        return draft.or(() -> current);
    }

    /** Whether this side is waited for. */
    public boolean ours() {
        return turn == Turn.OURS;
    }
}
