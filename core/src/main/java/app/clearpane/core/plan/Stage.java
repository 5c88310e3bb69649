package app.clearpane.core.plan;

/** The five fixed steps behind whatever a team calls the state of a task. */
public enum Stage {
  TO_DO,
  UNDER_WAY,
  IN_CHECK,
  DONE,
  DROPPED;

  /** Whether something is still to be done. */
  public boolean open() {
    return this != DONE && this != DROPPED;
  }
}
