package app.clearpane.store.markup;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.markup.AskedFor;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.store.deliverable.Round;
import java.time.Instant;
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
    public static AskedFor forTeam(List<MarkupRow> marks, PaneId deciding, List<Round> rounds) {
        return count(marks, deciding, rounds, MarkupRow::progress);
    }

    /** As clients are told of them. @param marks those that are seen @param rounds those that are seen, oldest first */
    public static AskedFor forClients(List<MarkupRow> marks, PaneId deciding, List<Round> rounds) {
        return count(marks, deciding, rounds, MarkupRow::told);
    }

    private static AskedFor count(
            List<MarkupRow> marks, PaneId deciding, List<Round> rounds, Function<MarkupRow, MarkupProgress> progress) {
        Map<MarkupId, MarkupRow> byId = marks.stream().collect(Collectors.toMap(MarkupRow::id, Function.identity()));
        Optional<Round> last = rounds.isEmpty() ? Optional.empty() : Optional.of(rounds.get(rounds.size() - 1));
        return AskedFor.of(marks.stream()
                .map(mark -> new AskedFor.Counted(
                        progress.apply(mark),
                        mark.intent(),
                        mark.party(),
                        mark.teamOnly(),
                        mark.pane().equals(deciding),
                        Optional.ofNullable(mark.beside().joinedTo())
                                .map(byId::get)
                                .filter(ahead -> progress.apply(ahead).carriesOver())
                                .isPresent(),
                        last.filter(round -> isLater(mark, round)).isPresent()))
                .toList());
    }

    /** Whether what a mark says stays as it is, since the round it was placed in is closed. */
    public static boolean isKeptAsItIs(MarkupRow mark, Round round) {
        return round.closedAt() != null && !mark.createdAt().isAfter(round.closedAt());
    }

    /**
     * Whether a mark was placed after the round of its version had come to an agreement. @param last the latest round
     * of its deliverable
     */
    public static boolean isLater(MarkupRow mark, Round last) {
        Instant closed = last.closedAt();
        return closed != null
                && last.soFar().agreed()
                && last.version().equals(mark.version())
                && mark.createdAt().isAfter(closed);
    }
}
