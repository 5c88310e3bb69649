package app.clearpane.core.plan;

/** How much a task presses, as its team says. */
public enum Priority {
    HIGH,
    USUAL,
    LOW;

    public boolean isHigh() {
        return this == HIGH;
    }

    public boolean isLow() {
        return this == LOW;
    }

    public boolean isUsual() {
        return this == USUAL;
    }
}
