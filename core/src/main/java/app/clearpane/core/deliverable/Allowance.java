package app.clearpane.core.deliverable;

import java.math.BigDecimal;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * The rounds of review that are included in the fee, and what each further one costs (R1).
 *
 * @param rounds included, 1 or more
 * @param fee for each further round, 0 or more, in the project's currency
 */
public record Allowance(int rounds, BigDecimal fee) {
    public Allowance {
        if (rounds < 1 || fee.signum() < 0) {
            throw new IllegalArgumentException(
                    "at least one round is included and a fee is not negative, got %d and %s".formatted(rounds, fee));
        }
    }

    /** {@code max(0, used − rounds) × fee}, e.g. 4 used of 2 at 180.00: 360.00. @param used rounds, 0 or more */
    public BigDecimal extra(int used) {
        return fee.multiply(BigDecimal.valueOf(Math.max(0, used - rounds)));
    }

    /** Whether a round costs extra. @param number of the round, from 1 */
    public boolean costs(int number) {
        return number > rounds && fee.signum() > 0;
    }

    /**
     * The rounds that cost extra, up to one, and that nobody accepted yet.
     *
     * @param upTo the number of the round in question
     * @param accepted rounds that were accepted
     */
    public List<Integer> toAccept(int upTo, Set<Integer> accepted) {
        return IntStream.rangeClosed(1, upTo)
                .filter(number -> costs(number) && !accepted.contains(number))
                .boxed()
                .toList();
    }

    /** What these rounds cost, as a sentence: "It takes round 3 of 2: 180.00 more." @param extra not empty */
    public String inWords(List<Integer> extra) {
        String which = extra.size() == 1
                ? "round " + extra.get(0)
                : "rounds " + extra.get(0) + " to " + extra.get(extra.size() - 1);
        return "It takes " + which + " of " + rounds + ": "
                + fee.multiply(BigDecimal.valueOf(extra.size())).toPlainString() + " more.";
    }
}
