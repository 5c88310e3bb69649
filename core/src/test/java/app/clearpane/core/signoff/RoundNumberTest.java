package app.clearpane.core.signoff;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupLabel;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** R1: a version that nobody asked to change costs no further round. */
class RoundNumberTest {
    private static final Instant SENT = Instant.parse("2027-03-15T09:00:00Z");
    private static final ContactId JASPER = new ContactId(new UUID(1, 1));
    private static final TeamMemberId TEO = new TeamMemberId(new UUID(1, 2));

    private static Version version(int number) {
        return new Version(
                new VersionId(new UUID(2, number)),
                new ItemId(new UUID(3, 1)),
                number,
                Sha256.ofText("version " + number),
                "map-" + number + ".pdf",
                "application/pdf",
                1,
                "",
                Actor.kept("Teo"),
                SENT,
                SENT);
    }

    private static Mark mark(int onVersion, Intent intent, boolean byClient, MarkupProgress progress) {
        return new Mark(
                new MarkupId(UUID.randomUUID()),
                new VersionId(new UUID(2, onVersion)),
                new PaneId(new UUID(4, 1)),
                new MarkupLabel.Numbered(onVersion, 1),
                new Place.Point(1, 0.5, 0.5),
                intent,
                progress,
                "Bluer",
                Optional.empty(),
                byClient ? new Actor.OfClient(JASPER, "Jasper") : new Actor.OfTeam(TEO, "Teo"),
                Optional.empty(),
                1,
                SENT,
                List.of(),
                List.of(),
                Mark.Beside.NOTHING);
    }

    @Test
    void theFirstVersionSentOpensTheFirstRound() {
        assertThat(RoundNumber.next(List.of(), List.of(), List.of())).isEqualTo(1);
    }

    @ParameterizedTest(name = "a {0} by a client {1}, {2}, on version 1: version 2 is round {3}")
    @CsvSource({
        "CHANGE, true, OPEN, 2",
        "CHANGE, true, FIXED, 2",
        "CHANGE, true, SET_ASIDE, 2",
        "CHANGE, true, WITHDRAWN, 1",
        "CHANGE, false, OPEN, 1",
        "QUESTION, true, OPEN, 1",
        "IDEA, true, OPEN, 1",
        "KEEP, true, OPEN, 1"
    })
    void onlyAChangeThatAClientStillAskedForCounts(
            Intent intent, boolean byClient, MarkupProgress progress, int expected) {
        assertThat(RoundNumber.next(List.of(version(1)), List.of(), List.of(mark(1, intent, byClient, progress))))
                .isEqualTo(expected);
    }

    @Test
    void whatWasAskedForOnALaterVersionIsNotCountedForAnEarlierOne() {
        List<Version> sent = List.of(version(1), version(2), version(3));
        assertThat(RoundNumber.next(
                        sent,
                        List.of(),
                        List.of(
                                mark(1, Intent.CHANGE, true, MarkupProgress.CONFIRMED),
                                mark(1, Intent.CHANGE, true, MarkupProgress.OPEN),
                                mark(3, Intent.CHANGE, true, MarkupProgress.OPEN))))
                .as("rounds for the versions 1 and 2, 3, and now 4")
                .isEqualTo(3);
    }

    private static Round.Said said(Decision decision) {
        return new Round.Said(
                JASPER,
                "Jasper",
                decision,
                "Not yet.",
                "",
                Sha256.ofText("version 1"),
                SENT,
                null,
                null,
                null,
                false,
                null);
    }

    @Test
    void sendingBackCountsWithoutAnyMark() {
        Round back = new Round(
                new RoundId(new UUID(5, 1)),
                new VersionId(new UUID(2, 1)),
                1,
                SENT,
                SENT.plusSeconds(3600),
                new Rule.Any(),
                new Round.Open(),
                List.of(new Round.Signatory(JASPER, "Jasper", true)),
                List.of(said(Decision.SEND_BACK)),
                List.of());
        assertThat(RoundNumber.next(List.of(version(1)), List.of(back), List.of()))
                .isEqualTo(2);
    }
}
