package app.clearpane.usecases.said;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupLabel;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.security.Person;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who somebody is to a mark: on which side, and whether it is their own. */
class SpeakerTest {
    private static final UUID ONE = new UUID(1, 1);
    private static final UUID TWO = new UUID(1, 2);

    private static Speaker speaker(String who) {
        return switch (who) {
            case "Ines" -> new Speaker.Team(new Person.OfTeam(ONE, "Ana", TeamRole.MANAGER));
            case "Teo" -> new Speaker.Team(new Person.OfTeam(TWO, "Ana", TeamRole.MAKER));
            case "Jasper" -> new Speaker.Client(viewer(ONE, Optional.empty()));
            case "Mirela" -> new Speaker.Client(viewer(TWO, Optional.empty()));
            case "guest" -> new Speaker.Client(viewer(ONE, Optional.of("Paint shop")));
            default -> new Speaker.Following(new Actor.House("Ana"));
        };
    }

    private static Viewer viewer(UUID contact, Optional<String> link) {
        return new Viewer(
                new ContactId(contact),
                "Ana",
                new SeatId(ONE),
                SeatRole.REVIEWER,
                false,
                new PaneId(ONE),
                new ProjectId(ONE),
                Map.of(),
                Map.of(),
                Viewer.Sight.NOW,
                false,
                link,
                false,
                null,
                1,
                Optional.empty(),
                new Today(LocalDate.of(2027, 3, 24), WorkingCalendar.weekdays(ZoneOffset.UTC)));
    }

    private static Actor author(String who) {
        return switch (who) {
            case "Ines" -> new Actor.OfTeam(new TeamMemberId(ONE), "Ana");
            case "Jasper" -> new Actor.OfClient(new ContactId(ONE), "Ana");
            default -> new Actor.Kept("", "Ana");
        };
    }

    private static Mark by(Actor author) {
        return Mark.placed(
                new MarkupId(ONE),
                new VersionId(ONE),
                new PaneId(ONE),
                new MarkupLabel.Numbered(1, 1),
                new Place.Point(1, 0.5, 0.5),
                new Mark.Wish(Intent.CHANGE, "Bluer", Optional.empty()),
                author,
                Instant.EPOCH,
                Mark.Beside.NOTHING);
    }

    /** Everybody here is called Ana: only who they are counts. */
    @ParameterizedTest(name = "{0} on a mark by {1}: {2}, own {3}")
    @CsvSource({
        "Ines, Ines, TEAM, true",
        "Ines, Jasper, TEAM, false",
        "Ines, guest, TEAM, false",
        "Teo, Ines, TEAM, false",
        "Jasper, Jasper, CLIENT, true",
        "Jasper, Ines, CLIENT, false",
        "Jasper, guest, CLIENT, false",
        "Mirela, Jasper, CLIENT, false",
        "guest, guest, GUEST, false",
        "guest, Jasper, GUEST, false",
        "house, Ines, TEAM, false",
        "house, guest, TEAM, false"
    })
    void isToAMark(String who, String by, MarkupProgress.Party party, boolean own) {
        MarkupProgress.Actor actor = speaker(who).actorOn(by(author(by)));
        assertThat(actor.party()).isEqualTo(party);
        assertThat(actor.author()).isEqualTo(own);
    }
}
