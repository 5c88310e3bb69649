package app.clearpane.core.agency;

/** What a member of the team may do. Each role may do what the ones after it may. */
public enum TeamRole {
    /** Sets what may ever be shown; may do everything. */
    OWNER,
    /** Opens projects, publishes, sends, releases. */
    MANAGER,
    /** Makes and fixes; publishes nothing. */
    MAKER,
    /** Makes and fixes in the projects that they are named for, and sees no others, no prices and no papers. */
    OUTSIDE;

    /** Whether this role may open projects, change what a pane shows, send versions and release. */
    public boolean mayPublish() {
        return this == OWNER || this == MANAGER;
    }

    /** Whether whoever has it is from outside. */
    public boolean isOutside() {
        return this == OUTSIDE;
    }

    /**
     * Whether whoever has it sees a project at all.
     *
     * @param closed whether it is closed to the rest of the team
     * @param named whether they are named for it
     * @param manages whether they manage it
     */
    public boolean sees(boolean closed, boolean named, boolean manages) {
        return switch (this) {
            case OWNER -> true;
            case MANAGER, MAKER -> !closed || named || manages;
            case OUTSIDE -> named;
        };
    }

    public boolean isOwner() {
        return this == OWNER;
    }
}
