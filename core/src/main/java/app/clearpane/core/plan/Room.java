package app.clearpane.core.plan;

import java.util.OptionalInt;

/**
 * How much room something has in its plan, told alike wherever it is told: how far it lies behind its own agreed days,
 * and how long it can wait before the agreed finish moves (D4).
 *
 * @param spare working days of float; empty where there is none to speak of
 * @param behind working days behind what was agreed of it; 0 or less where it is not
 * @param critical whether every working day of it moves the finish
 */
public record Room(OptionalInt spare, int behind, boolean critical) {
    /**
     * In a few words: "3 days behind", "no day to spare", "20 days behind, 7 to spare". Empty where there is nothing to
     * say.
     */
    public String inWords() {
        String late = behind > 0 ? days(behind) + " behind" : "";
        String left = critical
                ? "no day to spare"
                : spare.isPresent()
                        ? (late.isEmpty() ? days(spare.getAsInt()) : String.valueOf(spare.getAsInt())) + " to spare"
                        : "";
        return late.isEmpty() || left.isEmpty() ? late + left : late + ", " + left;
    }

    private static String days(int count) {
        return count == 1 ? "1 day" : count + " days";
    }
}
