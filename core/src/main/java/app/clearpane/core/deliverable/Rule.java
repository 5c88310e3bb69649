package app.clearpane.core.deliverable;

import java.util.Optional;

/** How many of the signatories have to sign (R3). */
public sealed interface Rule {
    /** Everyone who does not stand aside. */
    record All() implements Rule {}

    /** One is enough. */
    record Any() implements Rule {}

    /**
     * This many.
     *
     * @param k 1 or more
     */
    record AtLeast(int k) implements Rule {
        public AtLeast {
            if (k < 1) {
                throw new IllegalArgumentException("at least one has to sign, got " + k);
            }
        }
    }

    /** Everyone, one after another as listed. */
    record InOrder() implements Rule {}

    /** Whether everyone signs, in whatever order. */
    default boolean isAll() {
        return this instanceof All;
    }

    /** Whether one is enough. */
    default boolean isAny() {
        return this instanceof Any;
    }

    /** Whether it is one after another. */
    default boolean isInOrder() {
        return this instanceof InOrder;
    }

    /** How many have to sign, where that is said. */
    default Optional<Integer> least() {
        return this instanceof AtLeast some ? Optional.of(some.k()) : Optional.empty();
    }

    /** Its name where it is kept: "ALL", "ANY", "AT_LEAST" or "IN_ORDER". */
    default String keptAs() {
        return this instanceof All
                ? "ALL"
                : this instanceof Any ? "ANY" : this instanceof AtLeast ? "AT_LEAST" : "IN_ORDER";
    }

    /**
     * The rule of a name.
     *
     * @param least how many have to sign; counts for "AT_LEAST" only
     * @throws IllegalArgumentException if there is no such rule
     */
    static Rule of(String name, int least) {
        return switch (name) {
            case "ALL" -> new All();
            case "ANY" -> new Any();
            case "AT_LEAST" -> new AtLeast(least);
            case "IN_ORDER" -> new InOrder();
            default -> throw new IllegalArgumentException("no rule is called " + name);
        };
    }
}
