package app.clearpane.core.exposure;

import static org.assertj.core.api.Assertions.assertThat;

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
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CeilingsTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private static final PaneId BOARD = new PaneId(UUID.randomUUID());
    private static final ContactId JASPER = new ContactId(UUID.randomUUID());
    private static final Optional<Seat> SEAT = Optional.of(
            new Seat(new SeatId(UUID.randomUUID()), BOARD, JASPER, SeatRole.READER, SeatState.ACCEPTED, false));

    private static Item file(ContactId... addressed) {
        return new Item(
                new ItemId(UUID.randomUUID()),
                ContentKind.FILES,
                "Map.pdf",
                List.of(),
                Item.State.THERE,
                Set.of(addressed));
    }

    private static Pane under(Aperture ceiling, Aperture set, Map<ItemId, Setting> settings) {
        PaneSettings both = new PaneSettings(Map.of(ContentKind.FILES, set), settings, Map.of());
        return new Pane(
                BOARD,
                "The board",
                Optional.of(NOW),
                Optional.empty(),
                both,
                both,
                new Ceilings(Map.of(ContentKind.FILES, ceiling)));
    }

    @ParameterizedTest(name = "ceiling {0}, pane {1}, item {2}: {3}")
    @CsvSource({
        "CLOSED, CLOSED, UNSET, CEILING_CLOSED",
        "CLOSED, PICKED, SHOWN, CEILING_CLOSED",
        "CLOSED, OPEN, SHOWN, CEILING_CLOSED",
        "CLOSED, OPEN, HELD_BACK, HELD_BACK",
        "PICKED, CLOSED, SHOWN, APERTURE_CLOSED",
        "PICKED, PICKED, UNSET, NOT_PICKED",
        "PICKED, PICKED, SHOWN, SHOWN",
        "PICKED, OPEN, UNSET, CEILING_PICKED",
        "PICKED, OPEN, SHOWN, SHOWN",
        "PICKED, OPEN, HELD_BACK, HELD_BACK",
        "OPEN, CLOSED, UNSET, APERTURE_CLOSED",
        "OPEN, PICKED, UNSET, NOT_PICKED",
        "OPEN, OPEN, UNSET, APERTURE_OPEN",
        "OPEN, OPEN, HELD_BACK, HELD_BACK"
    })
    void theLesserOfCeilingAndPaneCounts(Aperture ceiling, Aperture set, Showing showing, Reason expected) {
        Item item = file();
        Map<ItemId, Setting> settings =
                showing == Showing.UNSET ? Map.of() : Map.of(item.id(), new Setting(showing, Actor.kept("Teo"), NOW));
        assertThat(Visibility.decide(item, under(ceiling, set, settings), SEAT, NOW)
                        .reason())
                .isEqualTo(expected);
    }

    @Test
    void whatIsSentByNamePassesAnyCeiling() {
        assertThat(Visibility.decide(file(JASPER), under(Aperture.CLOSED, Aperture.CLOSED, Map.of()), SEAT, NOW)
                        .reason())
                .isEqualTo(Reason.BY_NAME);
    }

    @Test
    void aKindWithoutACeilingHasNone() {
        assertThat(Ceilings.NONE.of(ContentKind.FILES)).isEqualTo(Aperture.OPEN);
        assertThat(Ceilings.NONE.over(ContentKind.FILES, Aperture.PICKED)).isEqualTo(Aperture.PICKED);
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void loweringTheCeilingNeverAddsAnythingAndRaisingItAgainRestoresWhatWasThere(long seed) {
        Random random = new Random(seed);
        List<Item> items = new ArrayList<>();
        Map<ItemId, Setting> settings = new HashMap<>();
        for (int i = 0; i < 50; i++) {
            Item item = random.nextInt(8) == 0 ? file(JASPER) : file();
            items.add(item);
            if (random.nextInt(3) == 0) {
                settings.put(
                        item.id(),
                        new Setting(random.nextBoolean() ? Showing.SHOWN : Showing.HELD_BACK, Actor.kept("Teo"), NOW));
            }
        }
        for (Aperture set : Aperture.values()) {
            Set<ItemId> open = seen(items, under(Aperture.OPEN, set, settings));
            Set<ItemId> picked = seen(items, under(Aperture.PICKED, set, settings));
            Set<ItemId> closed = seen(items, under(Aperture.CLOSED, set, settings));
            assertThat(open).containsAll(picked);
            assertThat(picked).containsAll(closed);
            assertThat(seen(items, under(Aperture.OPEN, set, settings))).isEqualTo(open);
        }
    }

    private static Set<ItemId> seen(List<Item> items, Pane pane) {
        return items.stream()
                .filter(item -> Visibility.decide(item, pane, SEAT, NOW).visible())
                .map(Item::id)
                .collect(Collectors.toSet());
    }
}
