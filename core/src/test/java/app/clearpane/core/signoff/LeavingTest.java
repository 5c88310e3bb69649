package app.clearpane.core.signoff;

import static app.clearpane.core.signoff.RoundTest.JASPER;
import static app.clearpane.core.signoff.RoundTest.MIRELA;
import static app.clearpane.core.signoff.RoundTest.OTTOLINE;
import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Rule;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who may give up a seat: the whole table. */
class LeavingTest {
    @ParameterizedTest(name = "lead voice {0}, {1} others, asked to sign {2}: {3}")
    @CsvSource({
        "false, 0, false, true",
        "false, 0, true, false",
        "false, 3, false, true",
        "false, 3, true, false",
        "true, 0, false, true",
        "true, 0, true, false",
        "true, 1, false, false",
        "true, 1, true, false"
    })
    void nobodyLeavesWhileOthersWaitForThem(boolean leadVoice, int others, boolean asked, boolean may) {
        List<Round> rounds = List.of(RoundTest.round(new Rule.All()));
        assertThat(Leaving.mayLeave(asked ? JASPER : MIRELA, leadVoice, others, rounds))
                .isEqualTo(may);
    }

    @Test
    void aRoundThatIsClosedHoldsNobody() {
        Round over = RoundTest.round(RoundTest.closed(5, Outcome.SIGNED), new Rule.All());
        assertThat(Leaving.mayLeave(OTTOLINE, false, 2, List.of(over))).isTrue();
        assertThat(Leaving.toSign(OTTOLINE, List.of(over))).isEmpty();
    }

    @Test
    void whoeverHasDecidedIsStillHeldWhileTheRoundIsOpen() {
        Round open = RoundTest.round(new Rule.All(), RoundTest.said(JASPER, Decision.SIGN_OFF, 1));
        assertThat(Leaving.toSign(JASPER, List.of(open)))
                .as("their signature counts in it")
                .containsExactly(open);
    }
}
