package app.clearpane.core.project;

/** The state of a project, computed from its deliverables and phases. */
public enum Standing {
  ARCHIVED,
  TO_BE_PLANNED,
  COMPLETE,
  NOT_STARTED,
  WAITING_ON_THE_CLIENT,
  UNDER_WAY;

  /**
   * What a project's state is read from.
   *
   * @param archived whether it was put away
   * @param begun whether its start has come
   * @param ours deliverables that are our turn
   * @param clients deliverables that are the client's turn
   * @param nobodys deliverables that were released
   * @param phases how many phases it has
   */
  public record Facts(boolean archived, boolean begun, int ours, int clients, int nobodys, int phases) {}

  /** The first that applies. */
  public static Standing of(Facts facts) {
    int deliverables = facts.ours() + facts.clients() + facts.nobodys();
    if (facts.archived()) {
      return ARCHIVED;
    }
    if (deliverables == 0 && facts.phases() == 0) {
      return TO_BE_PLANNED;
    }
    if (deliverables > 0 && facts.nobodys() == deliverables) {
      return COMPLETE;
    }
    if (!facts.begun()) {
      return NOT_STARTED;
    }
    return facts.clients() > 0 && facts.ours() == 0 ? WAITING_ON_THE_CLIENT : UNDER_WAY;
  }
}
