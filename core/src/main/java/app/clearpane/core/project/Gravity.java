package app.clearpane.core.project;

/**
 * How much a concern weighs: how likely it is times how much it would do, each from 1 to 3; what has happened already
 * is as likely as anything can be.
 */
public enum Gravity {
    SLIGHT,
    FELT,
    GRAVE;

    /** The least and the most that likelihood and effect may be. */
    public static final int LEAST = 1;

    public static final int MOST = 3;
    private static final int FELT_FROM = 3;
    private static final int GRAVE_FROM = 6;

    /**
     * The weight, from 1 to 9.
     *
     * @param issue whether it has happened
     * @throws IllegalArgumentException if likelihood or effect is out of range
     */
    public static int weight(boolean issue, int likelihood, int effect) {
        if (likelihood < LEAST || likelihood > MOST || effect < LEAST || effect > MOST) {
            throw new IllegalArgumentException("likelihood and effect go from " + LEAST + " to " + MOST);
        }
        return (issue ? MOST : likelihood) * effect;
    }

    /** What a weight comes to. */
    public static Gravity of(boolean issue, int likelihood, int effect) {
        int weight = weight(issue, likelihood, effect);
        return weight >= GRAVE_FROM ? GRAVE : weight >= FELT_FROM ? FELT : SLIGHT;
    }
}
