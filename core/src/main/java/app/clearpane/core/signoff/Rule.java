package app.clearpane.core.signoff;

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
}
