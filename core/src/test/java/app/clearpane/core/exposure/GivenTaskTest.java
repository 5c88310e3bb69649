package app.clearpane.core.exposure;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A task that is held back wherever somebody sits cannot be given to them. */
class GivenTaskTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private static final ContactId JASPER = new ContactId(new UUID(1, 1));
    private static final ContactId MIRELA = new ContactId(new UUID(1, 2));
    private static final PaneId BOARD = new PaneId(new UUID(2, 1));
    private static final PaneId VOLUNTEERS = new PaneId(new UUID(2, 2));
    private static final ItemId GATHERS = new ItemId(new UUID(3, 1));
    private static final Item TASK = new Item(
            new ItemId(new UUID(3, 2)),
            ContentKind.TASKS,
            "Walk the loop",
            List.of(new Item.Ancestor(GATHERS, "Before the print")),
            Item.State.THERE,
            Set.of());

    private static Pane pane(PaneId id, Showing task, Showing above) {
        Map<ItemId, Setting> set = new HashMap<>();
        if (task != Showing.UNSET) {
            set.put(TASK.id(), new Setting(task, Actor.kept("Teo"), NOW));
        }
        if (above != Showing.UNSET) {
            set.put(GATHERS, new Setting(above, Actor.kept("Ines"), NOW));
        }
        PaneSettings settings = new PaneSettings(Map.of(ContentKind.TASKS, Aperture.PICKED), set, Map.of());
        return new Pane(id, "A pane", Optional.of(NOW.minusSeconds(60)), Optional.empty(), settings, settings);
    }

    private static Seat seat(PaneId pane, ContactId contact, SeatState state) {
        return new Seat(new SeatId(UUID.randomUUID()), pane, contact, SeatRole.READER, state, false);
    }

    private static Optional<Verdict> heldBack(List<Pane> panes, Seat... seats) {
        return GivenTask.heldBackFrom(JASPER, TASK, panes, List.of(seats), NOW);
    }

    @ParameterizedTest(name = "at the board {0} below {1}, at the volunteers’ {2}: held back {3}")
    @CsvSource({
        "HELD_BACK, UNSET, HELD_BACK, true",
        "UNSET, HELD_BACK, HELD_BACK, true",
        "HELD_BACK, UNSET, UNSET, false",
        "UNSET, UNSET, HELD_BACK, false",
        "SHOWN, UNSET, HELD_BACK, false",
        "UNSET, UNSET, UNSET, false"
    })
    void isHeldBackOnlyIfItIsSoWhereverTheySit(Showing atBoard, Showing above, Showing atVolunteers, boolean held) {
        List<Pane> panes = List.of(pane(BOARD, atBoard, above), pane(VOLUNTEERS, atVolunteers, Showing.UNSET));
        assertThat(heldBack(panes, seat(BOARD, JASPER, SeatState.ACCEPTED), seat(VOLUNTEERS, JASPER, SeatState.INVITED))
                        .isPresent())
                .isEqualTo(held);
    }

    @Test
    void whatHoldsItBackIsNamedWithWhoSetIt() {
        Verdict verdict = heldBack(
                        List.of(pane(BOARD, Showing.UNSET, Showing.HELD_BACK)), seat(BOARD, JASPER, SeatState.ACCEPTED))
                .orElseThrow();
        assertThat(verdict.source()).contains("Before the print");
        assertThat(verdict.setting().orElseThrow().by().name()).isEqualTo("Ines");
    }

    @Test
    void whereTheySitNowhereOrNoMoreNothingHoldsItBack() {
        List<Pane> panes = List.of(pane(BOARD, Showing.HELD_BACK, Showing.UNSET));
        assertThat(heldBack(panes)).as("no seats").isEmpty();
        assertThat(heldBack(panes, seat(BOARD, MIRELA, SeatState.ACCEPTED)))
                .as("somebody else's seat")
                .isEmpty();
        assertThat(heldBack(panes, seat(BOARD, JASPER, SeatState.ENDED)))
                .as("a seat that ended")
                .isEmpty();
    }

    @Test
    void itMayBeGivenBeforeTheyCameIn() {
        assertThat(heldBack(List.of(pane(BOARD, Showing.UNSET, Showing.UNSET)), seat(BOARD, JASPER, SeatState.INVITED)))
                .isEmpty();
    }
}
