package app.clearpane.web.exposure.client;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyCollection;
import static org.mockito.Mockito.atLeastOnce;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Visits;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

/** Who saw what is gathered, and kept once. */
class LooksTest {
    private static final Today TODAY = new Today(LocalDate.of(2027, 5, 13), WorkingCalendar.weekdays(ZoneOffset.UTC));
    private static final Instant NOW = Instant.parse("2027-05-13T12:00:00Z");
    private static final ItemId MAP = new ItemId(UUID.randomUUID());
    private static final ItemId MARK = new ItemId(UUID.randomUUID());
    private final Visits visits = mock(Visits.class);
    private final TransactionTemplate transactions = mock(TransactionTemplate.class);
    private final Clock clock = mock(Clock.class);
    private final List<Visits.Look> kept = new CopyOnWriteArrayList<>();
    private Looks looks;

    @BeforeEach
    void gather() {
        when(clock.instant()).thenReturn(NOW);
        doAnswer(call -> {
                    Consumer<TransactionStatus> work = call.getArgument(0);
                    work.accept(mock(TransactionStatus.class));
                    return null;
                })
                .when(transactions)
                .executeWithoutResult(any());
        doAnswer(call -> kept.addAll(call.getArgument(0))).when(visits).keep(anyCollection());
        looks = new Looks(visits, transactions, clock);
    }

    @AfterEach
    void close() {
        looks.close();
    }

    private static Viewer viewer(boolean looking) {
        return new Viewer(
                new ContactId(UUID.randomUUID()),
                "Per",
                new SeatId(UUID.randomUUID()),
                SeatRole.READER,
                false,
                new PaneId(UUID.randomUUID()),
                new ProjectId(UUID.randomUUID()),
                Map.of(),
                Map.of(),
                Viewer.Sight.NOW,
                looking,
                java.util.Optional.empty(),
                false,
                null,
                1,
                java.util.Optional.empty(),
                TODAY);
    }

    @Test
    void theSameLookIsKeptOnceAMinuteAndEachCopyThatIsTaken() {
        Viewer per = viewer(false);
        for (int i = 0; i < 5; i++) {
            looks.listed(per, List.of(MAP, MARK));
            looks.opened(per, MAP);
            looks.downloaded(per, MAP);
        }
        looks.keep();
        assertThat(kept.stream().filter(look -> !look.opened() && !look.downloaded()))
                .extracting(Visits.Look::item)
                .containsExactlyInAnyOrder(MAP, MARK);
        assertThat(kept.stream().filter(Visits.Look::opened)).singleElement().satisfies(look -> assertThat(look.item())
                .isEqualTo(MAP));
        assertThat(kept.stream().filter(Visits.Look::downloaded))
                .hasSize(5)
                .allMatch(look -> look.at().equals(NOW) && look.seat().equals(per.seat()));
    }

    @Test
    void twoPeopleAreTwo() {
        looks.listed(viewer(false), List.of(MAP));
        looks.listed(viewer(false), List.of(MAP));
        looks.keep();
        assertThat(kept).hasSize(2);
    }

    @Test
    void ofOneOfTheTeamWhoLooksThroughASeatNothingIsKept() {
        Viewer ines = viewer(true);
        looks.listed(ines, List.of(MAP));
        looks.opened(ines, MAP);
        looks.downloaded(ines, MAP);
        looks.keep();
        assertThat(kept).isEmpty();
        verify(visits, never()).visited(any(), any(), any());
    }

    @Test
    void theVisitIsNotedOnceWithItsLatestTime() {
        Viewer per = viewer(false);
        looks.listed(per, List.of(MAP));
        when(clock.instant()).thenReturn(NOW.plusSeconds(30));
        looks.opened(per, MAP);
        looks.keep();
        looks.keep();
        verify(visits, atLeastOnce()).visited(per.seat(), per.pane(), NOW.plusSeconds(30));
    }

    @Test
    void aDatabaseThatIsAwayBreaksNoPage() {
        doThrow(new IllegalStateException("the disk is full"))
                .when(transactions)
                .executeWithoutResult(any());
        looks.listed(viewer(false), List.of(MAP));
        looks.keep();
        assertThat(kept).isEmpty();
    }
}
