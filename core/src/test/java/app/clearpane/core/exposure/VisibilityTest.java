package app.clearpane.core.exposure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class VisibilityTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private static final PaneId PANE = new PaneId(UUID.randomUUID());
    private static final ContactId JASPER = new ContactId(UUID.randomUUID());
    private static final ItemId FOLDER = new ItemId(UUID.randomUUID());
    private static final Setting SHOWN = new Setting(Showing.SHOWN, Actor.kept("Teo"), NOW);
    private static final Setting HELD = new Setting(Showing.HELD_BACK, Actor.kept("Teo"), NOW);

    private static Item item(Item.State state, Set<ContactId> addressed) {
        return new Item(
                new ItemId(UUID.randomUUID()),
                ContentKind.FILES,
                "Map.pdf",
                List.of(new Item.Ancestor(FOLDER, "Alternatives")),
                state,
                addressed);
    }

    private static PaneSettings settings(Aperture aperture, Map<ItemId, Setting> settings) {
        return new PaneSettings(Map.of(ContentKind.FILES, aperture), settings, Map.of());
    }

    private static Pane pane(PaneSettings published, PaneSettings pending) {
        return new Pane(PANE, "The board", Optional.of(NOW.minusSeconds(60)), Optional.empty(), published, pending);
    }

    private static Optional<Seat> seat(SeatState state) {
        return Optional.of(new Seat(new SeatId(UUID.randomUUID()), PANE, JASPER, SeatRole.READER, state, false));
    }

    private static Verdict decide(Item item, PaneSettings both) {
        return Visibility.decide(item, pane(both, both), seat(SeatState.ACCEPTED), NOW);
    }

    @ParameterizedTest(name = "{0}, item {1}, folder {2}: {3}")
    @CsvSource({
        "CLOSED, UNSET, UNSET, APERTURE_CLOSED",
        "CLOSED, SHOWN, UNSET, APERTURE_CLOSED",
        "CLOSED, HELD_BACK, UNSET, HELD_BACK",
        "PICKED, UNSET, UNSET, NOT_PICKED",
        "PICKED, SHOWN, UNSET, SHOWN",
        "PICKED, UNSET, SHOWN, SHOWN_ABOVE",
        "PICKED, SHOWN, HELD_BACK, HELD_BACK_ABOVE",
        "PICKED, HELD_BACK, SHOWN, HELD_BACK",
        "OPEN, UNSET, UNSET, APERTURE_OPEN",
        "OPEN, SHOWN, UNSET, SHOWN",
        "OPEN, HELD_BACK, UNSET, HELD_BACK",
        "OPEN, UNSET, HELD_BACK, HELD_BACK_ABOVE"
    })
    void passesWhatTheApertureAndTheItemLetPass(Aperture aperture, Showing onItem, Showing onFolder, Reason expected) {
        Item item = item(Item.State.THERE, Set.of());
        Map<ItemId, Setting> settings = new HashMap<>();
        if (onItem != Showing.UNSET) {
            settings.put(item.id(), new Setting(onItem, Actor.kept("Teo"), NOW));
        }
        if (onFolder != Showing.UNSET) {
            settings.put(FOLDER, new Setting(onFolder, Actor.kept("Teo"), NOW));
        }
        Verdict verdict = decide(item, settings(aperture, settings));
        assertThat(verdict.reason()).isEqualTo(expected);
        assertThat(verdict.visible()).isEqualTo(expected.visible());
    }

    @Test
    void namesTheFolderAndWhoHeldItBack() {
        Verdict verdict = decide(item(Item.State.THERE, Set.of()), settings(Aperture.OPEN, Map.of(FOLDER, HELD)));
        assertThat(verdict.source()).contains("Alternatives");
        assertThat(verdict.setting()).contains(HELD);
    }

    @Test
    void holdsBackForAllPanesAtOnce() {
        Item item = item(Item.State.THERE, Set.of(JASPER));
        assertThat(decide(
                                item,
                                new PaneSettings(
                                        Map.of(ContentKind.FILES, Aperture.OPEN),
                                        Map.of(item.id(), SHOWN),
                                        Map.of(FOLDER, HELD)))
                        .visible())
                .isFalse();
    }

    @Test
    void givesWhatIsAddressedToSomebodyThroughAnyAperture() {
        assertThat(decide(item(Item.State.THERE, Set.of(JASPER)), settings(Aperture.CLOSED, Map.of()))
                        .reason())
                .isEqualTo(Reason.BY_NAME);
        assertThat(decide(
                                item(Item.State.THERE, Set.of(new ContactId(UUID.randomUUID()))),
                                settings(Aperture.CLOSED, Map.of()))
                        .visible())
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource({"INVITED, SEAT_NOT_ACCEPTED", "ENDED, SEAT_ENDED"})
    void stopsAtTheDoorWithoutAnAcceptedSeat(SeatState state, Reason expected) {
        Pane open = pane(settings(Aperture.OPEN, Map.of()), settings(Aperture.OPEN, Map.of()));
        assertThat(Visibility.decide(item(Item.State.THERE, Set.of(JASPER)), open, seat(state), NOW)
                        .reason())
                .isEqualTo(expected);
        assertThat(Visibility.decide(item(Item.State.THERE, Set.of(JASPER)), open, Optional.empty(), NOW)
                        .reason())
                .isEqualTo(Reason.NO_SEAT);
    }

    @Test
    void stopsAtAPaneThatIsNotPublishedOrPast() {
        PaneSettings open = settings(Aperture.OPEN, Map.of());
        Pane unpublished = new Pane(PANE, "The board", Optional.empty(), Optional.empty(), open, open);
        Pane past = new Pane(PANE, "The board", Optional.of(NOW), Optional.of(NOW), open, open);
        assertThat(Visibility.decide(item(Item.State.THERE, Set.of()), unpublished, seat(SeatState.ACCEPTED), NOW)
                        .reason())
                .isEqualTo(Reason.PANE_NOT_PUBLISHED);
        assertThat(Visibility.decide(item(Item.State.THERE, Set.of()), past, seat(SeatState.ACCEPTED), NOW)
                        .reason())
                .isEqualTo(Reason.PANE_EXPIRED);
        assertThat(Visibility.decide(
                                item(Item.State.THERE, Set.of()), past, seat(SeatState.ACCEPTED), NOW.minusMillis(1))
                        .visible())
                .isTrue();
    }

    @Test
    void refusesASeatAtAnotherPane() {
        Seat elsewhere = new Seat(
                new SeatId(UUID.randomUUID()),
                new PaneId(UUID.randomUUID()),
                JASPER,
                SeatRole.READER,
                SeatState.ACCEPTED,
                false);
        Pane open = pane(PaneSettings.NOTHING, PaneSettings.NOTHING);
        assertThatIllegalArgumentException()
                .isThrownBy(
                        () -> Visibility.decide(item(Item.State.THERE, Set.of()), open, Optional.of(elsewhere), NOW));
    }

    @Test
    void hidesAtOnceAndShowsAfterPublishing() {
        Item item = item(Item.State.THERE, Set.of());
        Pane hiding = pane(settings(Aperture.OPEN, Map.of()), settings(Aperture.OPEN, Map.of(item.id(), HELD)));
        assertThat(Visibility.decide(item, hiding, seat(SeatState.ACCEPTED), NOW)
                        .visible())
                .isFalse();
        Pane showing = pane(settings(Aperture.CLOSED, Map.of()), settings(Aperture.OPEN, Map.of()));
        Verdict waits = Visibility.decide(item, showing, seat(SeatState.ACCEPTED), NOW);
        assertThat(waits.visible()).isFalse();
        assertThat(waits.waits()).isTrue();
        assertThat(Visibility.decide(item, showing.afterPublishing(NOW), seat(SeatState.ACCEPTED), NOW)
                        .visible())
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource({"DELETED, DELETED", "NOT_SENT, NOT_SENT", "TEAM_ONLY, TEAM_ONLY"})
    void neverShowsWhatIsNotThereForClients(Item.State state, Reason expected) {
        assertThat(decide(item(state, Set.of(JASPER)), settings(Aperture.OPEN, Map.of()))
                        .reason())
                .isEqualTo(expected);
        Verdict whole = decide(item(Item.State.THERE, Set.of()), settings(Aperture.OPEN, Map.of()));
        assertThat(Visibility.part(whole, state).reason()).isEqualTo(expected);
        assertThat(Visibility.part(whole, Item.State.THERE)).isEqualTo(whole);
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void holdingBackOrNarrowingNeverShowsMore(long seed) {
        Random random = new Random(seed);
        List<Item> items = new ArrayList<>();
        Map<ItemId, Setting> settings = new HashMap<>();
        for (int i = 0; i < 40; i++) {
            Item item = item(Item.State.values()[random.nextInt(4)], random.nextBoolean() ? Set.of(JASPER) : Set.of());
            items.add(item);
            if (random.nextInt(3) == 0) {
                settings.put(item.id(), random.nextBoolean() ? SHOWN : HELD);
            }
        }
        for (Aperture aperture : Aperture.values()) {
            for (Item item : items) {
                boolean before = decide(item, settings(aperture, settings)).visible();
                Map<ItemId, Setting> held = new HashMap<>(settings);
                held.put(item.id(), HELD);
                assertThat(decide(item, settings(aperture, held)).visible()).isFalse();
                for (Aperture narrower : Aperture.values()) {
                    if (narrower.compareTo(aperture) <= 0
                            && decide(item, settings(narrower, settings)).visible()) {
                        assertThat(before).isTrue();
                    }
                }
            }
        }
    }
}
