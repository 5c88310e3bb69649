package app.clearpane.web.exposure.client;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.WriteCounter;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is kept of a viewer never outlives what they were given. */
class KeptViewersTest {
    private static final Today TODAY = new Today(LocalDate.of(2027, 5, 13), WorkingCalendar.weekdays(ZoneOffset.UTC));
    private static final Instant NOW = Instant.parse("2027-05-13T12:00:00Z");
    private static final PaneId PANE = new PaneId(UUID.randomUUID());
    private static final ContactId PER = new ContactId(UUID.randomUUID());
    private final Viewers viewers = mock(Viewers.class);
    private final WriteCounter writes = mock(WriteCounter.class);
    private final Clock clock = mock(Clock.class);
    private final TheAgency agency = mock(TheAgency.class);
    private final KeptViewers kept = new KeptViewers(viewers, writes, agency, clock);

    @BeforeEach
    void noon() {
        when(clock.instant()).thenReturn(NOW);
        when(agency.today()).thenReturn(TODAY.day());
    }

    private static Optional<Viewer> viewer(@Nullable Instant until) {
        return Optional.of(new Viewer(
                PER,
                "Per Halloran",
                new SeatId(UUID.randomUUID()),
                SeatRole.READER,
                false,
                PANE,
                new ProjectId(UUID.randomUUID()),
                Map.of(),
                Map.of(),
                Viewer.Sight.NOW,
                false,
                Optional.empty(),
                false,
                until,
                1,
                Optional.empty(),
                TODAY));
    }

    private void isMadeTimes(int times) {
        verify(viewers, times(times)).viewerAt(any(), any(), any());
    }

    @Test
    void isMadeOnceWhileNothingIsWritten() {
        when(viewers.viewerAt(any(), any(), any())).thenReturn(viewer(null));
        assertThat(kept.viewerAt(PANE, PER)).isEqualTo(kept.viewerAt(PANE, PER)).isPresent();
        isMadeTimes(1);
    }

    @Test
    void anotherDayIsReadAnew() {
        when(viewers.viewerAt(any(), any(), any())).thenReturn(viewer(null));
        kept.viewerAt(PANE, PER);
        when(agency.today()).thenReturn(TODAY.day().plusDays(1));
        kept.viewerAt(PANE, PER);
        isMadeTimes(2);
    }

    @Test
    void aSeatThatEndedIsGoneWithTheNextRequest() {
        when(viewers.viewerAt(any(), any(), any())).thenReturn(viewer(null)).thenReturn(Optional.empty());
        assertThat(kept.viewerAt(PANE, PER)).isPresent();
        when(writes.count()).thenReturn(1L);
        assertThat(kept.viewerAt(PANE, PER)).isEmpty();
    }

    @Test
    void aPaneClosesByTheHourWithoutAWrite() {
        when(viewers.viewerAt(any(), any(), any())).thenReturn(viewer(NOW.plusSeconds(60)));
        assertThat(kept.viewerAt(PANE, PER)).isPresent();
        when(clock.instant()).thenReturn(NOW.plusSeconds(59));
        assertThat(kept.viewerAt(PANE, PER)).isPresent();
        when(clock.instant()).thenReturn(NOW.plusSeconds(60));
        assertThat(kept.viewerAt(PANE, PER)).isEmpty();
        isMadeTimes(1);
    }

    @Test
    void aPaneOpensByTheHourWithoutAWrite() {
        when(viewers.viewerAt(any(), any(), any())).thenReturn(Optional.empty());
        assertThat(kept.viewerAt(PANE, PER)).isEmpty();
        when(viewers.viewerAt(any(), any(), any())).thenReturn(viewer(null));
        assertThat(kept.viewerAt(PANE, PER)).isPresent();
    }

    @Test
    void nobodyIsTakenForSomebodyElse() {
        ContactId dov = new ContactId(UUID.randomUUID());
        when(viewers.viewerAt(PANE, PER, NOW)).thenReturn(viewer(null));
        when(viewers.viewerAt(PANE, dov, NOW)).thenReturn(Optional.empty());
        assertThat(kept.viewerAt(PANE, PER)).isPresent();
        assertThat(kept.viewerAt(PANE, dov)).isEmpty();
        assertThat(kept.viewerAt(new PaneId(UUID.randomUUID()), PER)).isEmpty();
    }
}
