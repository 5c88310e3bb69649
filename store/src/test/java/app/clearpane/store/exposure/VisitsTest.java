package app.clearpane.store.exposure;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.SeatId;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.WriteCounter;
import app.clearpane.store.exposure.client.Visits;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Who saw what, and what is new to them. */
class VisitsTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Visits visits = new Visits(house.db, new WriteCounter(Runnable::run));
    private final ItemViews itemViews = new ItemViews(house.db);
    private final PaneId board = house.pane("The board");
    private final SeatId jasper =
            new Seats(house.db).give(board, house.contact("jasper").id(), SeatRole.READER, AHouse.NOW);
    private final ItemId map = house.deliverable("Map", board);

    private static Instant after(int minutes) {
        return AHouse.NOW.plus(Duration.ofMinutes(minutes));
    }

    private void looksAt(ItemId item, int minutes) {
        visits.visited(jasper, board, after(minutes));
        visits.keep(List.of(new Visits.Look(item, jasper, after(minutes), false, false)));
    }

    @Test
    void onTheFirstVisitNothingIsNew() {
        assertThat(visits.visit(jasper, AHouse.NOW).isNew(map, AHouse.NOW)).isFalse();
        looksAt(map, 0);
        assertThat(visits.visit(jasper, after(5)).number()).isEqualTo(1);
        assertThat(visits.visit(jasper, after(5)).isNew(map, AHouse.NOW)).isFalse();
    }

    @Test
    void whatCameSinceIsNewUntilTheVisitEnds() {
        looksAt(map, 0);
        ItemId panels = house.deliverable("Panels", board);
        Visits.Visit arriving = visits.visit(jasper, after(60));
        assertThat(arriving.number()).isEqualTo(2);
        assertThat(arriving.isNew(panels, after(50))).isTrue();
        assertThat(arriving.isNew(map, AHouse.NOW)).isFalse();
        looksAt(panels, 60);
        looksAt(map, 60);
        assertThat(visits.visit(jasper, after(70)).isNew(panels, after(50)))
                .as("still the same visit")
                .isTrue();
        assertThat(visits.visit(jasper, after(70)).isNew(map, AHouse.NOW)).isFalse();
        assertThat(visits.visit(jasper, after(120)).isNew(panels, after(50)))
                .as("the next visit")
                .isFalse();
    }

    @Test
    void whatChangedSinceTheVisitBeforeIsNewThoughItWasSeen() {
        looksAt(map, 0);
        looksAt(map, 60);
        Visits.Visit visit = visits.visit(jasper, after(61));
        assertThat(visit.isNew(map, after(30))).isTrue();
        assertThat(visit.isNew(map, after(-30))).isFalse();
    }

    @Test
    void looksAreKeptOncePerSeatWithTheFirstTheLastAndTheCopies() {
        looksAt(map, 0);
        visits.keep(List.of(
                new Visits.Look(map, jasper, after(3), true, false),
                new Visits.Look(map, jasper, after(4), false, true),
                new Visits.Look(map, jasper, after(9), false, true)));
        assertThat(itemViews.ofItem(map))
                .containsExactly(new ItemViews.Viewing(map, jasper, AHouse.NOW, after(9), after(3), 2, after(9)));
        assertThat(itemViews.ofProject(house.project)).hasSize(1);
    }
}
