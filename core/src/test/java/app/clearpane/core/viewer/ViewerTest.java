package app.clearpane.core.viewer;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Passage;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Ending;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What somebody at a pane may do there, and what passes for them. */
class ViewerTest {
    private static final Instant SINCE = Instant.parse("2027-03-01T10:00:00Z");

    private static Viewer viewer(
            SeatRole role, boolean looking, Optional<String> link, Optional<Viewer.Rest> rest, String name) {
        return new Viewer(
                new ContactId(new UUID(1, 1)),
                name,
                new SeatId(new UUID(1, 2)),
                role,
                false,
                new PaneId(new UUID(1, 3)),
                new ProjectId(new UUID(1, 4)),
                Map.of(),
                Map.of(),
                Viewer.Sight.NOW,
                looking,
                link,
                false,
                null,
                1,
                rest,
                new Today(LocalDate.of(2027, 3, 24), WorkingCalendar.weekdays(ZoneOffset.UTC)));
    }

    private static Viewer through(Aperture published, Aperture pending, Viewer.Sight sight) {
        return new Viewer(
                new ContactId(new UUID(1, 1)),
                "Ottoline Vance",
                new SeatId(new UUID(1, 2)),
                SeatRole.READER,
                false,
                new PaneId(new UUID(1, 3)),
                new ProjectId(new UUID(1, 4)),
                Map.of(ContentKind.FILES, new Passage(published, List.of())),
                Map.of(ContentKind.FILES, new Passage(pending, List.of())),
                sight,
                false,
                Optional.empty(),
                false,
                null,
                1,
                Optional.empty(),
                new Today(LocalDate.of(2027, 3, 24), WorkingCalendar.weekdays(ZoneOffset.UTC)));
    }

    @ParameterizedTest(name = "{0}, looking {1}, by link {2}, resting {3}: acts {4}, adds to theirs {5}, to others {6}")
    @CsvSource({
        "READER,    false, false, false, true,  true,  false",
        "REVIEWER,  false, false, false, true,  true,  true",
        "SIGNATORY, false, false, false, true,  true,  true",
        "READER,    false, true,  false, true,  true,  false",
        "REVIEWER,  false, true,  false, true,  true,  false",
        "READER,    true,  false, false, false, false, false",
        "SIGNATORY, true,  false, false, false, false, false",
        "REVIEWER,  false, false, true,  false, false, false",
        "SIGNATORY, true,  true,  true,  false, false, false"
    })
    void mayDo(SeatRole role, boolean looking, boolean link, boolean rests, boolean acts, boolean own, boolean others) {
        Viewer viewer = viewer(
                role,
                looking,
                link ? Optional.of("Paint shop") : Optional.empty(),
                rests ? Optional.of(new Viewer.Rest(Optional.empty(), SINCE)) : Optional.empty(),
                "Per");
        assertThat(viewer.mayAct()).isEqualTo(acts);
        assertThat(viewer.mayAddTo(true)).isEqualTo(own);
        assertThat(viewer.mayAddTo(false)).isEqualTo(others);
    }

    /** What is published counts now, and never more than what is pending lets through: taking away is at once. */
    @ParameterizedTest
    @EnumSource(Aperture.class)
    void theLesserOfPublishedAndPendingPasses(Aperture published) {
        for (Aperture pending : Aperture.values()) {
            Aperture lesser = published.compareTo(pending) < 0 ? published : pending;
            assertThat(through(published, pending, Viewer.Sight.NOW).aperture(ContentKind.FILES))
                    .isEqualTo(lesser);
            assertThat(through(published, pending, Viewer.Sight.AFTER_PUBLISHING)
                            .aperture(ContentKind.FILES))
                    .isEqualTo(pending);
            assertThat(through(published, pending, Viewer.Sight.NOW).open(ContentKind.FILES))
                    .isEqualTo(lesser == Aperture.OPEN);
        }
    }

    @Test
    void ofWhatNobodySetNothingPasses() {
        assertThat(through(Aperture.OPEN, Aperture.OPEN, Viewer.Sight.NOW).aperture(ContentKind.TASKS))
                .isEqualTo(Aperture.CLOSED);
    }

    @Test
    void whoeverCameByALinkIsAGuestUnderTheNameTheyGave() {
        Viewer seated = viewer(SeatRole.REVIEWER, false, Optional.empty(), Optional.empty(), "Per");
        assertThat(seated.actor()).isEqualTo(new Actor.OfClient(seated.contact(), "Per"));
        Viewer named = viewer(SeatRole.REVIEWER, false, Optional.of("Paint shop"), Optional.empty(), "Per");
        assertThat(named.actor()).isEqualTo(new Actor.Guest(named.seat(), "Paint shop", "Per"));
        Viewer nameless =
                viewer(SeatRole.REVIEWER, false, Optional.of("Paint shop"), Optional.empty(), Viewer.NAMELESS);
        assertThat(nameless.actor().name()).isEqualTo("Guest (by the link “Paint shop”)");
    }

    @Test
    void aProjectThatWasPutAwayIsNotSaidToRest() {
        Instant later = SINCE.plusSeconds(60);
        assertThat(Viewer.Rest.of(null, null, null)).isEmpty();
        assertThat(Viewer.Rest.of(null, null, SINCE)).map(Viewer.Rest::words).hasValue("rests");
        assertThat(Viewer.Rest.of(later, Ending.FINISHED, SINCE)).hasValueSatisfying(rest -> {
            assertThat(rest.words()).isEqualTo("is finished and was put away");
            assertThat(rest.since()).isEqualTo(later);
            assertThat(rest.archived()).isTrue();
        });
        assertThat(Viewer.Rest.of(later, Ending.STOPPED, null))
                .map(Viewer.Rest::words)
                .hasValue("was stopped and put away");
    }
}
