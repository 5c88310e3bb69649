package app.clearpane.core.plan;

/** Who does an activity: the agency, or the client with the outside parties it engaged. */
public enum Side {
    OURS,
    CLIENTS;

    public boolean isClients() {
        return this == CLIENTS;
    }

    public boolean isOurs() {
        return this == OURS;
    }
}
