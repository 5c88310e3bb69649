package app.clearpane.core.turns;

/** What moves the turn of an item from one side to the other (T1). */
public enum TurnEvent {
  VERSION_SENT(Turn.CLIENTS),
  ROUND_CLOSED(Turn.OURS),
  RECALLED(Turn.OURS),
  RELEASED(Turn.NOBODYS),
  TASK_GIVEN_TO_CLIENT(Turn.CLIENTS),
  TASK_WITH_US(Turn.OURS),
  TASK_DONE(Turn.NOBODYS),
  TASK_DROPPED(Turn.NOBODYS);

  private final Turn holder;

  TurnEvent(Turn holder) {
    this.holder = holder;
  }

  /** Who holds the item after this. */
  public Turn holder() {
    return holder;
  }
}
