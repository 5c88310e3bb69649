package app.clearpane.core.markup;

import java.util.Collection;
import java.util.function.Predicate;

/**
 * What the marks of a deliverable come to: one way of counting them for every screen, letter and mail, and for the
 * rules of signing and release (R2, R6).
 *
 * @param open marks that ask for something and are open or taken on
 * @param toMake the changes among them
 * @param toConfirm changes that are fixed and that nobody confirmed
 * @param blocking changes that nobody can sign with (R2)
 * @param inTheWay changes that stand in the way of release: not settled, asked for where it is decided, and not by a
 *     guest (R6)
 * @param later what was asked for after the version was agreed: for the next one, and counted nowhere else
 */
public record AskedFor(int open, int toMake, int toConfirm, int blocking, int inTheWay, int later) {
    /** Nothing at all. */
    public static final AskedFor NOTHING = new AskedFor(0, 0, 0, 0, 0, 0);

    /**
     * A mark as far as it counts.
     *
     * @param progress as it is told to whoever counts
     * @param deciding whether it stands at the pane that decides
     * @param goesAlong whether it is worked on with another mark that is not settled: the two count as one
     * @param later whether it was placed after its version was agreed, and none was sent since
     */
    public record Counted(
            MarkupProgress progress,
            Intent intent,
            MarkupProgress.Party party,
            boolean teamOnly,
            boolean deciding,
            boolean goesAlong,
            boolean later) {
        private boolean isOpen() {
            return intent.asks() && progress.unsettled();
        }

        private boolean isChange() {
            return intent == Intent.CHANGE;
        }

        private boolean inTheWay() {
            return isChange() && deciding && !teamOnly && party != MarkupProgress.Party.GUEST && progress.carriesOver();
        }

        private boolean blocks() {
            return deciding && progress.blocksSigning(intent, party, teamOnly);
        }
    }

    /** What these come to. */
    public static AskedFor of(Collection<Counted> marks) {
        Predicate<Counted> now = mark -> !mark.later() && !mark.goesAlong();
        return new AskedFor(
                count(marks, now.and(Counted::isOpen)),
                count(marks, now.and(Counted::isOpen).and(Counted::isChange)),
                count(marks, now.and(Counted::isChange).and(mark -> mark.progress() == MarkupProgress.FIXED)),
                count(marks, mark -> !mark.later() && mark.blocks()),
                count(marks, mark -> !mark.later() && mark.inTheWay()),
                count(marks, mark -> mark.later() && !mark.goesAlong() && mark.isOpen()));
    }

    private static int count(Collection<Counted> marks, Predicate<Counted> which) {
        return (int) marks.stream().filter(which).count();
    }
}
