package app.clearpane.core.record.event;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Happening;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Outcome;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** What a Record tells of sign-off. */
public final class DecisionActs {
    private DecisionActs() {}

    /** In words: somebody said what silence means in … */
    public record SilenceSet(Actor actor, String subject, String workingDays, String agreed) implements Happening {}

    /** In words: somebody closed the round of … */
    public record RoundClosed(
            Actor actor, String subject, int round, Optional<Integer> version, Outcome outcome, Optional<String> reason)
            implements Happening {}

    /** In words: somebody accepted a further round of … */
    public record ExtraAccepted(Actor actor, String subject, int round, int included, String fee)
            implements Happening {}

    /** In words: somebody took back a decision on … */
    public record SignoffTakenBack(
            Actor actor, String subject, Integer version, Decision decision, int round, Instant madeAt)
            implements Happening {}

    /** In words: somebody's ruling asks a signatory again about … */
    public record SignoffAskedAgain(
            Actor actor,
            String subject,
            Integer version,
            Decision decision,
            int round,
            String signatory,
            String by,
            Instant madeAt)
            implements Happening {}

    /** In words: somebody said how signing goes … */
    public record SigningUsual(
            Actor actor, String subject, String rule, int reviewDays, int rounds, String fee, List<String> checklist)
            implements Happening {}

    /** In words: somebody named a stand-in for … */
    public record StandInNamed(Actor actor, String subject, String by, String from, String until)
            implements Happening {}

    /** In words: somebody ended the standing in for … */
    public record StandInEnded(Actor actor, String subject, String by) implements Happening {}

    /** In words: somebody settled a clash on … */
    public record ClashRuled(Actor actor, String subject, String holds, String setAside, String reason, Sha256 sha256)
            implements Happening {}

    /** In words: somebody decided on … */
    public record SignoffMade(
            Actor actor,
            String subject,
            int version,
            Sha256 sha256,
            Decision decision,
            String sentence,
            String typedName,
            int round,
            Outcome outcome,
            String signatory,
            Optional<String> insteadOf,
            Optional<Sha256> drawnSignature,
            Optional<Boolean> bySilence,
            Optional<String> batch)
            implements Happening {}

    /** In words: somebody changed who signs … */
    public record SigningChanged(
            Actor actor,
            String subject,
            String who,
            String rule,
            int reviewDays,
            int rounds,
            String fee,
            Optional<List<String>> means)
            implements Happening {}
}
