package app.clearpane.core.followup;

import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.plan.Stage;
import java.util.List;
import java.util.Optional;

/**
 * A mark and the task that was made of it stay one in state: the task is open while the mark asks for something, done
 * once it is fixed or confirmed, dropped once it is set aside or withdrawn.
 */
public final class TaskOfMark {
    private TaskOfMark() {}

    /** The stage a task is to be moved to after its mark was moved; empty if it may stay where it is. */
    public static Optional<Stage> stage(MarkupProgress mark, Stage task) {
        Stage wanted =
                switch (mark) {
                    case OPEN -> Stage.TO_DO;
                    case TAKEN_ON -> task == Stage.IN_CHECK ? task : Stage.UNDER_WAY;
                    case FIXED, CONFIRMED -> Stage.DONE;
                    case SET_ASIDE, WITHDRAWN -> Stage.DROPPED;
                };
        return Optional.of(wanted).filter(stage -> stage != task);
    }

    /** What is to be done to a mark after its task was moved, in this order; nothing if it may stay as it is. */
    public static List<MarkupProgress.Act> acts(Stage task, MarkupProgress mark) {
        boolean settled = !mark.unsettled();
        return switch (task) {
            case TO_DO -> settled ? List.of(MarkupProgress.Act.REOPEN) : List.of();
            case UNDER_WAY, IN_CHECK ->
                settled
                        ? List.of(MarkupProgress.Act.REOPEN, MarkupProgress.Act.TAKE_ON)
                        : mark == MarkupProgress.OPEN ? List.of(MarkupProgress.Act.TAKE_ON) : List.of();
            case DONE ->
                mark == MarkupProgress.FIXED || mark == MarkupProgress.CONFIRMED
                        ? List.of()
                        : reopenedFor(MarkupProgress.Act.FIX, settled);
            case DROPPED ->
                mark == MarkupProgress.SET_ASIDE || mark == MarkupProgress.WITHDRAWN
                        ? List.of()
                        : reopenedFor(MarkupProgress.Act.SET_ASIDE, settled);
        };
    }

    private static List<MarkupProgress.Act> reopenedFor(MarkupProgress.Act act, boolean settled) {
        return settled ? List.of(MarkupProgress.Act.REOPEN, act) : List.of(act);
    }

    /** Whether the two say the same. */
    public static boolean agree(MarkupProgress mark, Stage task) {
        return switch (task) {
            case TO_DO, UNDER_WAY, IN_CHECK -> mark.unsettled();
            case DONE -> mark == MarkupProgress.FIXED || mark == MarkupProgress.CONFIRMED;
            case DROPPED -> mark == MarkupProgress.SET_ASIDE || mark == MarkupProgress.WITHDRAWN;
        };
    }
}
