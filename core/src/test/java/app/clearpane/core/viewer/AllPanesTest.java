package app.clearpane.core.viewer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class AllPanesTest {
    private static final ContactId MIRELA = new ContactId(new UUID(1, 1));
    private static final ProjectId CENTRE = new ProjectId(new UUID(2, 1));
    private static final ProjectId LEAFLET = new ProjectId(new UUID(2, 2));

    private static Viewer viewer(ContactId contact, int pane, ProjectId project, Viewer.Sight sight, boolean link) {
        return new Viewer(
                contact,
                "Mirela",
                new SeatId(new UUID(3, pane)),
                SeatRole.READER,
                false,
                new PaneId(new UUID(4, pane)),
                project,
                Map.of(),
                Map.of(),
                sight,
                false,
                link ? Optional.of("Paint shop") : Optional.empty(),
                false,
                null,
                1,
                Optional.empty(),
                new Today(LocalDate.of(2027, 5, 13), WorkingCalendar.weekdays(ZoneOffset.UTC)));
    }

    @Test
    void eachPaneAndEachProjectIsToldOnce() {
        AllPanes all = new AllPanes(
                MIRELA,
                List.of(
                        viewer(MIRELA, 1, CENTRE, Viewer.Sight.NOW, false),
                        viewer(MIRELA, 2, CENTRE, Viewer.Sight.NOW, false),
                        viewer(MIRELA, 3, LEAFLET, Viewer.Sight.NOW, false)));
        assertThat(all.none()).isFalse();
        assertThat(all.panes()).hasSize(3);
        assertThat(all.projects()).containsExactly(CENTRE, LEAFLET);
        assertThat(new AllPanes(MIRELA, List.of()).none()).isTrue();
    }

    @Test
    void nobodyElseIsAmongThem() {
        ContactId other = new ContactId(new UUID(1, 2));
        for (Viewer wrong : List.of(
                viewer(other, 2, CENTRE, Viewer.Sight.NOW, false),
                viewer(MIRELA, 2, CENTRE, Viewer.Sight.AFTER_PUBLISHING, false),
                viewer(MIRELA, 2, CENTRE, Viewer.Sight.NOW, true))) {
            assertThatIllegalArgumentException()
                    .isThrownBy(() ->
                            new AllPanes(MIRELA, List.of(viewer(MIRELA, 1, CENTRE, Viewer.Sight.NOW, false), wrong)));
        }
    }
}
