package app.clearpane.core.turns;

/**
 * How much each side holds.
 *
 * @param ours deliverables that are our turn
 * @param clients deliverables that are the client's turn
 * @param nobodys deliverables with which nothing is to be done
 * @param ourTasks leaves of the plan that we are on or could begin
 * @param clientTasks those that were given to the client and are not done
 * @param afterwards of those that nobody holds, how many something was asked for once they were agreed
 * @param byName what is addressed to people by name
 */
public record TurnTally(
        int ours, int clients, int nobodys, int ourTasks, int clientTasks, int afterwards, ByName byName) {
    /** Nothing at all. */
    public static final TurnTally NONE = new TurnTally(0, 0, 0, 0, 0, 0, ByName.NONE);

    /**
     * What is addressed to people by name.
     *
     * @param papers that wait for the client
     * @param declined papers that the client said no to
     * @param requests that are the client's to supply
     * @param supplied requests that are ours: to be sent, or to be looked at
     */
    public record ByName(int papers, int declined, int requests, int supplied) {
        /** Nothing at all. */
        public static final ByName NONE = new ByName(0, 0, 0, 0);

        private ByName plus(ByName more) {
            return new ByName(
                    papers + more.papers, declined + more.declined, requests + more.requests, supplied + more.supplied);
        }
    }

    /** These and those. */
    public TurnTally plus(TurnTally more) {
        return new TurnTally(
                ours + more.ours,
                clients + more.clients,
                nobodys + more.nobodys,
                ourTasks + more.ourTasks,
                clientTasks + more.clientTasks,
                afterwards + more.afterwards,
                byName.plus(more.byName));
    }

    /** All that is our turn. */
    public int allOurs() {
        return ours + ourTasks + afterwards + byName.declined + byName.supplied;
    }

    /** All that is the clients’ turn. */
    public int allClients() {
        return clients + clientTasks + byName.papers + byName.requests;
    }
}
