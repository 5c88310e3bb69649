package app.clearpane.core.project;

/** The state of a project (P2), computed from its tasks and deliverables. */
public enum ProjectState {
    ARCHIVED,
    PAUSED,
    TO_BE_PLANNED,
    COMPLETE,
    NOT_STARTED,
    WAITING_ON_THE_CLIENT,
    IN_REVIEW,
    UNDER_WAY;

    /**
     * What a project's state is read from. An open item is a leaf of the plan or a deliverable with which something is
     * still to be done.
     *
     * @param archived whether it was put away
     * @param paused whether it rests
     * @param items leaves that were not dropped, and deliverables
     * @param open those of them that are open
     * @param inCheck those of the open ones that somebody looks over
     * @param touched those with which anything was done yet, or that were sent
     * @param critical the open ones that can lose no day
     * @param criticalAtClient those of the critical ones that are the client's turn
     */
    public record Facts(
            boolean archived,
            boolean paused,
            int items,
            int open,
            int inCheck,
            int touched,
            int critical,
            int criticalAtClient) {}

    /** The first that applies. */
    public static ProjectState of(Facts facts) {
        if (facts.archived()) {
            return ARCHIVED;
        }
        if (facts.paused()) {
            return PAUSED;
        }
        if (facts.items() == 0) {
            return TO_BE_PLANNED;
        }
        if (facts.open() == 0) {
            return COMPLETE;
        }
        if (facts.touched() == 0) {
            return NOT_STARTED;
        }
        if (facts.critical() > 0 && facts.criticalAtClient() == facts.critical()) {
            return WAITING_ON_THE_CLIENT;
        }
        return facts.inCheck() == facts.open() ? IN_REVIEW : UNDER_WAY;
    }
}
