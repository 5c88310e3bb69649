package app.clearpane.core.followup;

import static app.clearpane.core.markup.MarkupProgress.Act.FIX;
import static app.clearpane.core.markup.MarkupProgress.Act.REOPEN;
import static app.clearpane.core.markup.MarkupProgress.Act.SET_ASIDE;
import static app.clearpane.core.markup.MarkupProgress.Act.TAKE_ON;
import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.plan.Stage;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A mark and its task say the same, whichever is moved, from every state of both. */
class TaskOfMarkTest {
    private static final MarkupProgress.Actor TEAM = new MarkupProgress.Actor(MarkupProgress.Party.TEAM, false);

    @Test
    void afterAMarkIsMovedItsTaskSaysTheSame() {
        for (MarkupProgress mark : MarkupProgress.values()) {
            for (Stage task : Stage.values()) {
                Stage now = TaskOfMark.stage(mark, task).orElse(task);
                assertThat(TaskOfMark.agree(mark, now))
                        .as("%s, %s became %s", mark, task, now)
                        .isTrue();
                assertThat(TaskOfMark.stage(mark, now)).as("it rests there").isEmpty();
                assertThat(TaskOfMark.acts(now, mark))
                        .as("and the mark is left alone: %s, %s", mark, now)
                        .isEmpty();
            }
        }
    }

    @Test
    void afterATaskIsMovedItsMarkSaysTheSame() {
        for (Stage task : Stage.values()) {
            for (MarkupProgress mark : MarkupProgress.values()) {
                MarkupProgress now = mark;
                for (MarkupProgress.Act act : TaskOfMark.acts(task, mark)) {
                    now = now.after(act, TEAM).orElseThrow(() -> new AssertionError(act + " is not possible"));
                }
                assertThat(TaskOfMark.agree(now, task))
                        .as("%s was %s and became %s", task, mark, now)
                        .isTrue();
                assertThat(TaskOfMark.acts(task, now)).as("it rests there").isEmpty();
            }
        }
    }

    @Test
    void worked() {
        assertThat(TaskOfMark.stage(MarkupProgress.TAKEN_ON, Stage.TO_DO)).hasValue(Stage.UNDER_WAY);
        assertThat(TaskOfMark.stage(MarkupProgress.TAKEN_ON, Stage.IN_CHECK))
                .as("further on than the mark can say")
                .isEmpty();
        assertThat(TaskOfMark.stage(MarkupProgress.OPEN, Stage.DONE))
                .as("reopened")
                .hasValue(Stage.TO_DO);
        assertThat(TaskOfMark.stage(MarkupProgress.WITHDRAWN, Stage.UNDER_WAY)).hasValue(Stage.DROPPED);
        assertThat(TaskOfMark.acts(Stage.UNDER_WAY, MarkupProgress.OPEN)).containsExactly(TAKE_ON);
        assertThat(TaskOfMark.acts(Stage.DONE, MarkupProgress.TAKEN_ON)).containsExactly(FIX);
        assertThat(TaskOfMark.acts(Stage.DROPPED, MarkupProgress.CONFIRMED)).containsExactly(REOPEN, SET_ASIDE);
        assertThat(TaskOfMark.acts(Stage.TO_DO, MarkupProgress.TAKEN_ON))
                .as("still asked for")
                .isEqualTo(List.of());
    }
}
