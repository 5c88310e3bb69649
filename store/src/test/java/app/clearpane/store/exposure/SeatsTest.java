package app.clearpane.store.exposure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.Stale;
import app.clearpane.store.exposure.client.Viewers;
import org.junit.jupiter.api.Test;

/** A seat from giving to ending, and the door that opens by it. */
class SeatsTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Seats seats = new Seats(house.db);
    private final Panes panes = new Panes(house.db);
    private final Viewers viewers = new Viewers(house.db, AHouse::today);
    private final PaneId board = house.pane("The board");
    private final Contact jasper = house.contact("jasper");
    private final Contact ottoline = house.contact("ottoline");

    private SeatRow seat(SeatId id) {
        return seats.find(id).orElseThrow();
    }

    private SeatId comeIn(Contact contact) {
        SeatId id = seats.give(board, contact.id(), SeatRole.SIGNATORY, AHouse.NOW);
        seats.invited(id, AHouse.NOW);
        seats.accept(contact.id(), AHouse.NOW);
        return id;
    }

    @Test
    void beingAContactOpensNothing() {
        panes.publish(panes.find(board).orElseThrow(), AHouse.NOW);
        assertThat(viewers.viewerAt(board, jasper.id(), AHouse.NOW)).isEmpty();
    }

    @Test
    void aSeatIsTakenOnlyAfterALinkWasSent() {
        SeatId id = seats.give(board, jasper.id(), SeatRole.READER, AHouse.NOW);
        assertThat(seats.accept(jasper.id(), AHouse.NOW)).isEmpty();
        assertThat(seat(id).state()).isEqualTo(SeatState.INVITED);
        seats.invited(id, AHouse.NOW);
        assertThat(seats.accept(jasper.id(), AHouse.NOW))
                .extracting(SeatRow::id)
                .containsExactly(id);
        assertThat(seat(id).state()).isEqualTo(SeatState.ACCEPTED);
    }

    @Test
    void theDoorOpensOnceThePaneIsPublishedAndClosesOnItsLastInstant() {
        comeIn(jasper);
        assertThat(viewers.viewerAt(board, jasper.id(), AHouse.NOW)).isEmpty();
        panes.publish(panes.find(board).orElseThrow(), AHouse.NOW);
        assertThat(viewers.viewerAt(board, jasper.id(), AHouse.NOW))
                .get()
                .extracting(Viewer::role)
                .isEqualTo(SeatRole.SIGNATORY);
        Panes.Row row = panes.find(board).orElseThrow();
        panes.change(row.open(null, AHouse.NOW));
        assertThat(viewers.viewerAt(board, jasper.id(), AHouse.NOW)).isEmpty();
        assertThat(viewers.viewerAt(board, jasper.id(), AHouse.NOW.minusSeconds(1)))
                .isPresent();
    }

    @Test
    void anEndedSeatOpensNothingAndCanBeGivenBack() {
        SeatId id = comeIn(jasper);
        panes.publish(panes.find(board).orElseThrow(), AHouse.NOW);
        seats.end(seat(id), AHouse.NOW);
        assertThat(viewers.viewerAt(board, jasper.id(), AHouse.NOW)).isEmpty();
        assertThat(viewers.lookingThrough(id, Viewer.Sight.NOW, AHouse.NOW)).isEmpty();
        assertThat(seats.ofPane(board)).isEmpty();
        assertThat(seats.give(board, jasper.id(), SeatRole.READER, AHouse.NOW))
                .as("one seat for one contact")
                .isEqualTo(id);
        assertThat(seat(id).state()).isEqualTo(SeatState.INVITED);
    }

    @Test
    void thereIsOneLeadVoiceAndItSigns() {
        SeatId first = comeIn(jasper);
        SeatId second = seats.give(board, ottoline.id(), SeatRole.READER, AHouse.NOW);
        seats.makeLeadVoice(seat(first));
        seats.makeLeadVoice(seat(second));
        assertThat(seats.ofPane(board))
                .filteredOn(SeatRow::leadVoice)
                .extracting(SeatRow::id)
                .containsExactly(second);
        assertThat(seat(second).role()).isEqualTo(SeatRole.SIGNATORY);
    }

    @Test
    void aRoleThatChangedMeanwhileIsNotChangedOver() {
        SeatRow seen = seat(comeIn(jasper));
        seats.changeRole(seen, SeatRole.READER);
        assertThatExceptionOfType(Stale.class).isThrownBy(() -> seats.changeRole(seen, SeatRole.REVIEWER));
    }
}
