package app.clearpane.web.exposure.clientside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.plan.Today;
import app.clearpane.core.plan.WorkingCalendar;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.Writes;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.exposure.clientside.Viewers;
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
    private final Writes writes = mock(Writes.class);
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
        verify(viewers, times(times)).at(any(), any(), any());
    }

    @Test
    void isMadeOnceWhileNothingIsWritten() {
        when(viewers.at(any(), any(), any())).thenReturn(viewer(null));
        assertThat(kept.at(PANE, PER)).isEqualTo(kept.at(PANE, PER)).isPresent();
        isMadeTimes(1);
    }

    @Test
    void anotherDayIsReadAnew() {
        when(viewers.at(any(), any(), any())).thenReturn(viewer(null));
        kept.at(PANE, PER);
        when(agency.today()).thenReturn(TODAY.day().plusDays(1));
        kept.at(PANE, PER);
        isMadeTimes(2);
    }

    @Test
    void aSeatThatEndedIsGoneWithTheNextRequest() {
        when(viewers.at(any(), any(), any())).thenReturn(viewer(null)).thenReturn(Optional.empty());
        assertThat(kept.at(PANE, PER)).isPresent();
        when(writes.count()).thenReturn(1L);
        assertThat(kept.at(PANE, PER)).isEmpty();
    }

    @Test
    void aPaneClosesByTheHourWithoutAWrite() {
        when(viewers.at(any(), any(), any())).thenReturn(viewer(NOW.plusSeconds(60)));
        assertThat(kept.at(PANE, PER)).isPresent();
        when(clock.instant()).thenReturn(NOW.plusSeconds(59));
        assertThat(kept.at(PANE, PER)).isPresent();
        when(clock.instant()).thenReturn(NOW.plusSeconds(60));
        assertThat(kept.at(PANE, PER)).isEmpty();
        isMadeTimes(1);
    }

    @Test
    void aPaneOpensByTheHourWithoutAWrite() {
        when(viewers.at(any(), any(), any())).thenReturn(Optional.empty());
        assertThat(kept.at(PANE, PER)).isEmpty();
        when(viewers.at(any(), any(), any())).thenReturn(viewer(null));
        assertThat(kept.at(PANE, PER)).isPresent();
    }

    @Test
    void nobodyIsTakenForSomebodyElse() {
        ContactId dov = new ContactId(UUID.randomUUID());
        when(viewers.at(PANE, PER, NOW)).thenReturn(viewer(null));
        when(viewers.at(PANE, dov, NOW)).thenReturn(Optional.empty());
        assertThat(kept.at(PANE, PER)).isPresent();
        assertThat(kept.at(PANE, dov)).isEmpty();
        assertThat(kept.at(new PaneId(UUID.randomUUID()), PER)).isEmpty();
    }
}
