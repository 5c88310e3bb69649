package app.clearpane.core.signoff;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.markup.AskedFor;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupProgress;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Counts the marks of one deliverable as the core counts them. */
public final class CountMarks {
    private CountMarks() {}

    /**
     * As the team sees them.
     *
     * @param deciding the pane that decides
     * @param rounds of the deliverable, oldest first
     */
    public static AskedFor forTeam(List<Mark> marks, PaneId deciding, List<Round> rounds) {
        return count(marks, deciding, rounds, Mark::progress);
    }

    /** As clients are told of them. @param marks those that are seen @param rounds those that are seen, oldest first */
    public static AskedFor forClients(List<Mark> marks, PaneId deciding, List<Round> rounds) {
        return count(marks, deciding, rounds, Mark::told);
    }

    private static AskedFor count(
            List<Mark> marks, PaneId deciding, List<Round> rounds, Function<Mark, MarkupProgress> progress) {
        Map<MarkupId, Mark> byId = marks.stream().collect(Collectors.toMap(Mark::id, Function.identity()));
        Optional<Round> last = rounds.isEmpty() ? Optional.empty() : Optional.of(rounds.get(rounds.size() - 1));
        return AskedFor.of(marks.stream()
                .map(mark -> new AskedFor.Counted(
                        progress.apply(mark),
                        mark.intent(),
                        mark.party(),
                        mark.teamOnly(),
                        mark.pane().equals(deciding),
                        mark.beside()
                                .joinedTo()
                                .map(byId::get)
                                .filter(ahead -> progress.apply(ahead).carriesOver())
                                .isPresent(),
                        last.filter(round -> isLater(mark, round)).isPresent()))
                .toList());
    }

    /** Whether what a mark says stays as it is, since the round it was placed in is closed. */
    public static boolean isKeptAsItIs(Mark mark, Round round) {
        return round.closed()
                .filter(closed -> !mark.createdAt().isAfter(closed.at()))
                .isPresent();
    }

    /**
     * Whether a mark was placed after the round of its version had come to an agreement. @param last the latest round
     * of its deliverable
     */
    public static boolean isLater(Mark mark, Round last) {
        return last.closed()
                .filter(closed -> last.soFar().agreed()
                        && last.version().equals(mark.version())
                        && mark.createdAt().isAfter(closed.at()))
                .isPresent();
    }
}
