package app.clearpane.core.turns;

/** What moves the turn of a deliverable from one side to the other (T1). */
public enum TurnEvent {
  VERSION_SENT(Turn.CLIENTS),
  ROUND_CLOSED(Turn.OURS),
  RECALLED(Turn.OURS),
  RELEASED(Turn.NOBODYS);

  private final Turn holder;

  TurnEvent(Turn holder) {
    this.holder = holder;
  }

  /** Who holds the deliverable after this. */
  public Turn holder() {
    return holder;
  }
}
