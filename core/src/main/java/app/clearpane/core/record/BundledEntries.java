package app.clearpane.core.record;

/**
 * Which entries of a Record are told in a bundle, which leaves the house: those that clients took part in or were told
 * of. Of all others only the hash goes out, so that the chain can be followed without anything being told that was said
 * among the team.
 */
public final class BundledEntries {
    /** Where a payload says that this one stays inside although others of its kind go out. */
    public static final String FOR_TEAM = "forTeam";

    private BundledEntries() {}

    /** Whether an entry is told. @param payload its canonical text */
    public static boolean told(String act, String payload) {
        return Act.of(act).filter(Act::toldOutside).isPresent() && !new CanonicalJson(payload).isTrue(FOR_TEAM);
    }
}
