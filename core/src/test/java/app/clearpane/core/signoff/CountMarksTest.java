package app.clearpane.core.signoff;

import static app.clearpane.core.signoff.RoundTest.JASPER;
import static app.clearpane.core.signoff.RoundTest.OTTOLINE;
import static app.clearpane.core.signoff.RoundTest.SENT;
import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.markup.AskedFor;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupLabel;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import app.clearpane.core.people.Actor;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CountMarksTest {
    private static final PaneId BOARD = new PaneId(new UUID(5, 1));
    private static final VersionId VERSION = new VersionId(new UUID(2, 2));
    private static final Round.Said[] BOTH = {
        RoundTest.said(OTTOLINE, Decision.SIGN_OFF, 10), RoundTest.said(JASPER, Decision.SIGN_OFF, 20)
    };

    private static Mark mark(int number, int minute, MarkupProgress progress, VersionId version) {
        return new Mark(
                new MarkupId(new UUID(6, number)),
                version,
                BOARD,
                new MarkupLabel.Numbered(1, number),
                new Place.Point(1, 0.5, 0.5),
                Intent.CHANGE,
                progress,
                "Bluer",
                Optional.empty(),
                new Actor.OfClient(JASPER, "Jasper"),
                Optional.empty(),
                1,
                SENT.plusSeconds(60L * minute),
                List.of(),
                List.of(),
                Mark.Beside.NOTHING);
    }

    /** The round is closed in the thirtieth minute. */
    @ParameterizedTest(name = "placed in minute {0}, agreed {1}: later {2}, kept {3}")
    @CsvSource({"5, true, false, true", "30, true, false, true", "31, true, true, false", "31, false, false, false"})
    void whatComesAfterAnAgreementIsLater(int minute, boolean agreed, boolean later, boolean kept) {
        Round round =
                RoundTest.round(RoundTest.closed(30, agreed ? Outcome.SIGNED : Outcome.BACK), new Rule.All(), BOTH);
        Mark mark = mark(1, minute, MarkupProgress.OPEN, VERSION);
        assertThat(CountMarks.isLater(mark, round)).isEqualTo(later);
        assertThat(CountMarks.isKeptAsItIs(mark, round)).isEqualTo(kept);
    }

    @Test
    void nothingIsLaterOrKeptWhileTheRoundIsOpen() {
        Round open = RoundTest.round(new Rule.All());
        Mark mark = mark(1, 500, MarkupProgress.OPEN, VERSION);
        assertThat(CountMarks.isLater(mark, open)).isFalse();
        assertThat(CountMarks.isKeptAsItIs(mark, open)).isFalse();
    }

    @Test
    void aMarkOnAnotherVersionIsNotLater() {
        Round round = RoundTest.round(RoundTest.closed(30, Outcome.SIGNED), new Rule.All(), BOTH);
        assertThat(CountMarks.isLater(mark(1, 60, MarkupProgress.OPEN, new VersionId(new UUID(2, 3))), round))
                .isFalse();
    }

    @Test
    void bothSidesCountTheSameMarksAsTheyAreToldOfThem() {
        List<Mark> marks = List.of(
                mark(1, 5, MarkupProgress.OPEN, VERSION),
                mark(2, 6, MarkupProgress.CONFIRMED, VERSION),
                mark(3, 7, MarkupProgress.SET_ASIDE, VERSION));
        List<Round> rounds = List.of(RoundTest.round(new Rule.All()));
        AskedFor team = CountMarks.forTeam(marks, BOARD, rounds);
        assertThat(team).isEqualTo(CountMarks.forClients(marks, BOARD, rounds));
        assertThat(CountMarks.forTeam(marks, new PaneId(new UUID(5, 2)), rounds))
                .as("at a pane that does not decide they weigh otherwise")
                .isNotEqualTo(team);
    }
}
