package app.clearpane.core.clearance;

/** A condition of release (R6). */
public enum Condition {
  /** (1) Signed, on the current version. */
  SIGNED,
  /** (2) No Change markup open, taken on or fixed. */
  NO_CHANGE_LEFT,
  /** (3) No clash without a ruling. */
  NO_CLASH_OPEN,
  /** (6) The stored bytes still hash to the signed SHA-256. */
  SAME_BYTES
}
