package app.clearpane.core.plan;

/** How much a task presses, as its team says. */
public enum Priority {
    HIGH,
    USUAL,
    LOW
}
