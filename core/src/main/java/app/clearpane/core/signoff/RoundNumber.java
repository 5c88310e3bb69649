package app.clearpane.core.signoff;

import app.clearpane.core.deliverable.RoundCount;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import java.util.ArrayList;
import java.util.List;

/** Which round of review is the next one. */
public final class RoundNumber {
    private RoundNumber() {}

    /**
     * The number of the round that sending a further version would open (R1).
     *
     * @param sent the versions sent until now, oldest first
     * @param rounds of the deliverable
     * @param marks on the deliverable
     */
    public static int next(List<Version> sent, List<Round> rounds, List<Mark> marks) {
        List<Boolean> asked = new ArrayList<>(sent.stream()
                .map(version -> askedForMore(version, rounds, marks))
                .toList());
        asked.add(false);
        return RoundCount.used(asked);
    }

    private static boolean askedForMore(Version version, List<Round> rounds, List<Mark> marks) {
        boolean change = marks.stream()
                .anyMatch(m -> m.version().equals(version.id())
                        && m.intent() == Intent.CHANGE
                        && m.party() == MarkupProgress.Party.CLIENT
                        && m.progress() != MarkupProgress.WITHDRAWN);
        return change
                || rounds.stream()
                        .anyMatch(r -> r.version().equals(version.id())
                                && r.decisions().containsValue(Decision.SEND_BACK));
    }
}
