package app.clearpane.core.clearance;

import app.clearpane.core.signoff.Outcome;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The computed answer to "may this be released?", condition by condition (R6). */
public record Clearance(List<Finding> findings) {

    private static final List<Condition> NEXT = List.of(
            Condition.NO_CLASH_OPEN,
            Condition.NO_CHANGE_LEFT,
            Condition.SIGNED,
            Condition.ROUNDS_AGREED,
            Condition.CHECKLIST_DONE,
            Condition.SAME_BYTES);

    /** How a condition stands. */
    public enum Standing {
        MET,
        NOT_MET,
        /** Not met, and an owner gave a reason to release in spite of it. */
        WAIVED
    }

    /** How one condition stands. */
    public record Finding(Condition condition, Standing standing) {
        /** Whether it is met. */
        public boolean met() {
            return standing == Standing.MET;
        }

        /** Whether it stands in the way of a release. */
        public boolean open() {
            return standing == Standing.NOT_MET;
        }
    }

    public Clearance {
        findings = List.copyOf(findings);
    }

    /**
     * What is known of a deliverable when the question is asked.
     *
     * @param outcome of the current version's closed round; empty while no round of it is closed
     * @param changesLeft Change marks open, taken on or fixed
     * @param clashesOpen clashes on the current version that nobody ruled on
     * @param roundsNotAgreed rounds beyond the allowance that cost extra and were not accepted
     * @param linesOpen lines of the release checklist that are not ticked for the current version
     * @param sameBytes whether the stored bytes of the current version still hash to what was signed
     * @param waived conditions an owner waived for the current version; those that cannot be waived do not count
     */
    public record Facts(
            Optional<Outcome> outcome,
            int changesLeft,
            int clashesOpen,
            int roundsNotAgreed,
            int linesOpen,
            boolean sameBytes,
            Set<Condition> waived) {
        public Facts {
            waived = Set.copyOf(waived);
        }

        private boolean meet(Condition condition) {
            boolean signed = outcome.map(Outcome::agreed).orElse(false);
            return switch (condition) {
                case SIGNED -> signed;
                case NO_CHANGE_LEFT -> changesLeft == 0;
                case NO_CLASH_OPEN -> clashesOpen == 0;
                case ROUNDS_AGREED -> roundsNotAgreed == 0;
                case CHECKLIST_DONE -> linesOpen == 0;
                case SAME_BYTES -> signed && sameBytes;
            };
        }
    }

    /** Weighs the facts; conditions come in their own order. */
    public static Clearance of(Facts facts) {
        Set<Condition> waived = EnumSet.noneOf(Condition.class);
        facts.waived().stream().filter(Condition::mayBeWaived).forEach(waived::add);
        return new Clearance(Arrays.stream(Condition.values())
                .map(condition -> new Finding(
                        condition,
                        facts.meet(condition)
                                ? Standing.MET
                                : waived.contains(condition) ? Standing.WAIVED : Standing.NOT_MET))
                .toList());
    }

    /**
     * The one of the open conditions that is to be seen to first; the others follow from it or wait for it. What people
     * ask for on the work comes before its signature, and its signature before all that hangs on it. Empty once nothing
     * is open.
     */
    public Optional<Condition> next() {
        return NEXT.stream()
                .filter(condition ->
                        findings.stream().anyMatch(finding -> finding.condition() == condition && finding.open()))
                .findFirst();
    }

    /** Whether it may be released: all conditions are met or waived. */
    public boolean cleared() {
        return open() == 0;
    }

    /** How many conditions are neither met nor waived. */
    public int open() {
        return (int) findings.stream().filter(Finding::open).count();
    }
}
