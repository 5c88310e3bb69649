package app.clearpane.core.turns;

/** Which side holds an item now. */
public enum Turn {
    OURS,
    CLIENTS,
    NOBODYS
}
