package app.clearpane.core.supply.question;

import java.math.BigDecimal;
import java.util.List;
import java.util.UUID;

/**
 * On what condition a question is asked.
 *
 * @param question the earlier question whose answer counts
 * @param value what its answer is held against
 */
public record AskIf(UUID question, Holds how, String value) {
    /** How an answer is held against the value. */
    public enum Holds {
        /** It is the value, or the value is among what was chosen. */
        IS("is"),
        IS_NOT("is not"),
        /** It is a number, and no smaller. */
        AT_LEAST("is at least"),
        /** It is a number, and no larger. */
        AT_MOST("is at most");

        private final String words;

        Holds(String words) {
            this.words = words;
        }

        /** As it is said and typed. */
        public String words() {
            return words;
        }
    }

    /** Whether it holds of an answer; of no answer nothing holds. */
    public boolean holds(List<String> said) {
        if (said.isEmpty()) {
            return false;
        }
        return switch (how) {
            case IS -> said.stream().anyMatch(value::equalsIgnoreCase);
            case IS_NOT -> said.stream().noneMatch(value::equalsIgnoreCase);
            case AT_LEAST -> compared(said.get(0)) >= 0;
            case AT_MOST -> compared(said.get(0)) <= 0;
        };
    }

    private int compared(String said) {
        return new BigDecimal(said).compareTo(new BigDecimal(value));
    }
}
