package app.clearpane.core.markup;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** A mark: what it is called, whose it is, and what is told of it. */
class MarkTest {
    private static final Instant NOW = Instant.parse("2027-03-24T10:00:00Z");
    private static final ContactId JASPER = new ContactId(new UUID(1, 1));
    private static final TeamMemberId TEO = new TeamMemberId(new UUID(1, 2));
    private static final VersionId VERSION = new VersionId(new UUID(2, 1));
    private static final Actor GUEST = new Actor.Guest(new SeatId(new UUID(1, 3)), "Paint shop", "Jasper");

    private static Mark by(Actor author, MarkupLabel label) {
        return Mark.placed(
                new MarkupId(new UUID(3, 1)),
                VERSION,
                new PaneId(new UUID(4, 1)),
                label,
                new Place.Point(1, 0.5, 0.5),
                new Mark.Wish(Intent.CHANGE, "Bluer", Optional.empty()),
                author,
                NOW,
                Mark.Beside.NOTHING);
    }

    private static Mark fixed(Optional<Mark.Fix> fix) {
        Mark placed = by(new Actor.OfClient(JASPER, "Jasper"), new MarkupLabel.Numbered(1, 1));
        return new Mark(
                placed.id(),
                placed.version(),
                placed.pane(),
                placed.label(),
                placed.place(),
                placed.intent(),
                MarkupProgress.FIXED,
                placed.note(),
                placed.replacement(),
                placed.author(),
                fix,
                2,
                NOW,
                List.of(),
                List.of(),
                placed.beside());
    }

    @ParameterizedTest(name = "on version {0}, for the team {1}, the {2}.: {3}")
    @CsvSource({
        "2, false, 3, 2·3",
        "2, true, 1, 2·a",
        "2, true, 26, 2·z",
        "2, true, 27, 2·aa",
        "2, true, 53, 2·ba",
        ", true, 2, b",
    })
    void isCalledByANumberForClientsAndByALetterForTheTeam(Integer version, boolean team, int number, String label) {
        Optional<Integer> sent = Optional.ofNullable(version);
        MarkupLabel called = team ? MarkupLabel.forTeam(sent, number) : MarkupLabel.forClients(sent, number);
        assertThat(called).hasToString(label);
        assertThat(called.number()).isEqualTo(number);
        assertThat(by(GUEST, called).teamOnly()).isEqualTo(team);
    }

    @Test
    void isOfWhoeverWroteItAndAGuestIsOfNeitherSide() {
        MarkupLabel label = new MarkupLabel.Numbered(1, 1);
        Mark ofJasper = by(new Actor.OfClient(JASPER, "Jasper"), label);
        assertThat(ofJasper.party()).isEqualTo(MarkupProgress.Party.CLIENT);
        assertThat(ofJasper.isOf(JASPER)).isTrue();
        assertThat(ofJasper.isOf(Set.of())).isFalse();
        assertThat(by(new Actor.OfTeam(TEO, "Teo"), label).party()).isEqualTo(MarkupProgress.Party.TEAM);
        Mark ofGuest = by(GUEST, label);
        assertThat(ofGuest.party()).isEqualTo(MarkupProgress.Party.GUEST);
        assertThat(ofGuest.isOf(JASPER)).as("a name is nobody").isFalse();
        assertThat(ofGuest.author())
                .as("as it is kept")
                .isEqualTo(Actor.kept(GUEST.name(), null, null))
                .isEqualTo(GUEST.asAuthor());
    }

    /** What is fixed in a draft is told only once clients can look at it. */
    @Test
    void whatIsFixedIsToldOnceTheVersionWasSent() {
        Mark inDraft = fixed(Optional.of(new Mark.Fix(VERSION, Optional.empty())));
        assertThat(inDraft.fixedInNumber()).isEmpty();
        assertThat(inDraft.told()).isNotEqualTo(MarkupProgress.FIXED);
        Mark sent = fixed(Optional.of(new Mark.Fix(VERSION, Optional.of(2))));
        assertThat(sent.fixedInNumber()).hasValue(2);
        assertThat(sent.told()).isEqualTo(MarkupProgress.FIXED);
    }

    @ParameterizedTest
    @EnumSource(MarkupProgress.Act.class)
    void whatOnlyMovedItIsNotReadTwice(MarkupProgress.Act act) {
        Actor teo = new Actor.OfTeam(TEO, "Teo");
        assertThat(Mark.Answer.done(act, "", false, teo, NOW).tells()).isEqualTo(act == MarkupProgress.Act.REOPEN);
        assertThat(Mark.Answer.done(act, "As you wish.", false, teo, NOW).tells())
                .isTrue();
        assertThat(Mark.Answer.said("", false, teo, NOW).tells()).isTrue();
        Mark.Attachment file = new Mark.Attachment(new UUID(5, 1), Sha256.ofText("x"), "x.png", "image/png", 1);
        assertThat(new Mark.Answer(Optional.of(act), "", false, teo, NOW, new Mark.With(List.of(file), List.of()))
                        .tells())
                .isTrue();
    }

    @ParameterizedTest(name = "{0} by {1} at {2}, then something else {3}: {4}")
    @CsvSource({
        "CONFIRMED, Jasper, 10, false, true",
        "CONFIRMED, Jasper, 11, false, false",
        "CONFIRMED, Mirela, 10, false, false",
        "CONFIRMED, Jasper, 10, true,  false",
        "FIXED,     Jasper, 10, false, false",
    })
    void aConfirmationIsItsMakersUntilSomethingIsSaid(
            MarkupProgress progress, String by, int second, boolean then, boolean theirs) {
        Actor jasper = new Actor.OfClient(JASPER, "Jasper");
        Actor confirmed = by.equals("Jasper") ? jasper : new Actor.OfClient(new ContactId(new UUID(1, 9)), by);
        List<Mark.Answer> answers = new ArrayList<>(
                List.of(Mark.Answer.done(MarkupProgress.Act.CONFIRM, "", false, confirmed, NOW.plusSeconds(10))));
        if (then) {
            answers.add(Mark.Answer.said("Thanks.", false, jasper, NOW.plusSeconds(20)));
        }
        Mark mark = answeredWith(progress, jasper, answers);
        assertThat(mark.isConfirmedBy(JASPER, NOW.plusSeconds(second))).isEqualTo(theirs);
    }

    private Mark answeredWith(MarkupProgress progress, Actor jasper, List<Mark.Answer> answers) {
        Mark placed = by(jasper, new MarkupLabel.Numbered(1, 1));
        Mark mark = new Mark(
                placed.id(),
                VERSION,
                placed.pane(),
                placed.label(),
                placed.place(),
                placed.intent(),
                progress,
                placed.note(),
                placed.replacement(),
                jasper,
                Optional.empty(),
                2,
                NOW,
                answers,
                List.of(),
                placed.beside());
        return mark;
    }

    @Test
    void itGoesAheadUnlessItWasJoined() {
        Mark alone = by(GUEST, new MarkupLabel.Numbered(1, 1));
        assertThat(alone.ahead()).isEqualTo(alone.id());
        MarkupId other = new MarkupId(new UUID(3, 2));
        Mark.Beside joined = new Mark.Beside(Mark.With.NOTHING, Optional.empty(), Optional.empty(), Optional.of(other));
        Mark along = Mark.placed(
                alone.id(),
                VERSION,
                alone.pane(),
                alone.label(),
                alone.place(),
                new Mark.Wish(Intent.CHANGE, "Bluer", Optional.empty()),
                GUEST,
                NOW,
                joined);
        assertThat(along.ahead()).isEqualTo(other);
        assertThat(along.at(new Place.Point(2, 0.1, 0.1)))
                .as("the same elsewhere")
                .usingRecursiveComparison()
                .ignoringFields("place")
                .isEqualTo(along);
    }

    @Test
    void whomAnActorCanBeCalledAs() {
        assertThat(Mark.Called.person(new Actor.OfClient(JASPER, "Jasper"))).hasValue(new Mark.Called.Contact(JASPER));
        assertThat(Mark.Called.person(new Actor.OfTeam(TEO, "Teo"))).hasValue(new Mark.Called.Member(TEO));
        assertThat(Mark.Called.person(GUEST)).isEmpty();
        assertThat(Mark.Called.person(new Actor.House("Marram & Finch"))).isEmpty();
    }
}
