package app.clearpane.core.plan;

/**
 * Working days between a finish that was agreed on and another one, split by cause (D5). Below 0 is days won.
 *
 * @param client what the client's side moved it by
 * @param team what ours did
 * @param planChange what changes of the plan did, and days while the project was paused
 */
public record Slip(int client, int team, int planChange) {
    /** Nothing moved. */
    public static final Slip NONE = new Slip(0, 0, 0);

    /** All of it. */
    public int total() {
        return client + team + planChange;
    }

    /** Both together. */
    public Slip plus(Slip other) {
        return new Slip(client + other.client, team + other.team, planChange + other.planChange);
    }
}
