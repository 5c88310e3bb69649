package app.clearpane.core.signoff;

import app.clearpane.core.deliverable.Allowance;
import app.clearpane.core.deliverable.Rule;
import java.math.BigDecimal;

/**
 * How signing goes unless something else is agreed.
 *
 * @param rule how many have to sign
 * @param reviewDays working days a review may take, 1 or more
 * @param allowance the rounds that are included
 */
public record SigningTerms(Rule rule, int reviewDays, Allowance allowance) {
    /** What a project begins with: all sign, within three working days, two rounds, no fee for more. */
    public static final SigningTerms USUAL =
            new SigningTerms(new Rule.All(), 3, new Allowance(2, BigDecimal.ZERO.setScale(2)));
}
