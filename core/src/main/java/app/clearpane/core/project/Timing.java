package app.clearpane.core.project;

/** How a project stands against its agreed finish (P2). */
public enum Timing {
    FINISHED_ON_TIME,
    FINISHED_LATE,
    LATE,
    AT_RISK,
    ON_COURSE;

    /** What is behind its agreed dates puts the finish at risk with fewer working days to spare than this. */
    public static final int TOO_FEW_TO_SPARE = 2;

    /**
     * What it is read from.
     *
     * @param complete whether all is done
     * @param daysAfterAgreed working days by which the forecast or actual finish lies after the agreed one; below 0
     *     before it
     * @param agreedIsPast whether the agreed finish lies behind us
     * @param leastFloatBehind the least float of what is behind its agreed dates; {@code Integer.MAX_VALUE} if nothing
     *     is
     */
    public record Facts(boolean complete, int daysAfterAgreed, boolean agreedIsPast, int leastFloatBehind) {}

    /** The first that applies. */
    public static Timing of(Facts facts) {
        if (facts.complete()) {
            return facts.daysAfterAgreed() <= 0 ? FINISHED_ON_TIME : FINISHED_LATE;
        }
        if (facts.agreedIsPast()) {
            return LATE;
        }
        return facts.daysAfterAgreed() > 0 || facts.leastFloatBehind() < TOO_FEW_TO_SPARE ? AT_RISK : ON_COURSE;
    }
}
