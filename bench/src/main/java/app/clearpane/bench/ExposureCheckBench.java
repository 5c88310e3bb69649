package app.clearpane.bench;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ExposureCheck;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.PaneSettings;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Setting;
import app.clearpane.core.exposure.Showing;
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
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The exposure check of a pane with 10,000 items, one in 20 addressed to somebody, and 50 seats. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 3, time = 2)
public class ExposureCheckBench {
    private static final int ITEMS = 10_000;
    private static final int SEATS = 50;
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private final Random random = new Random(7);
    private final PaneId board = new PaneId(new UUID(random.nextLong(), random.nextLong()));
    private final List<Seat> seats = IntStream.range(0, SEATS)
            .mapToObj(i -> new Seat(
                    new SeatId(uuid()), board, new ContactId(uuid()), SeatRole.REVIEWER, SeatState.ACCEPTED, false))
            .toList();
    private final List<Item> items = items();
    private final Pane pane = new Pane(
            board, "The board", Optional.of(NOW), Optional.empty(), settings(Aperture.PICKED), settings(Aperture.OPEN));

    private UUID uuid() {
        return new UUID(random.nextLong(), random.nextLong());
    }

    private List<Item> items() {
        List<Item> made = new ArrayList<>();
        for (int i = 0; i < ITEMS; i++) {
            List<Item.Ancestor> above = made.isEmpty() || i % 10 == 0
                    ? List.of()
                    : List.of(new Item.Ancestor(made.get(i - i % 10).id(), "Folder"));
            Set<ContactId> addressed =
                    i % 20 == 0 ? Set.of(seats.get(random.nextInt(SEATS)).contact()) : Set.of();
            made.add(new Item(
                    new ItemId(uuid()),
                    ContentKind.values()[1 + i % 3],
                    "Item " + i,
                    above,
                    Item.State.THERE,
                    addressed));
        }
        return made;
    }

    private PaneSettings settings(Aperture aperture) {
        Map<ItemId, Setting> settings = new HashMap<>();
        items.forEach(item -> {
            if (random.nextInt(4) == 0) {
                settings.put(
                        item.id(),
                        new Setting(random.nextBoolean() ? Showing.SHOWN : Showing.HELD_BACK, Actor.kept("Teo"), NOW));
            }
        });
        return new PaneSettings(
                Map.of(ContentKind.DATES, aperture, ContentKind.FILES, aperture, ContentKind.DELIVERABLES, aperture),
                settings,
                Map.of());
    }

    /** Compares for everybody. */
    @Benchmark
    public ExposureCheck check() {
        return ExposureCheck.of(items, pane, seats, NOW);
    }
}
