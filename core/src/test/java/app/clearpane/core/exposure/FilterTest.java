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

/** Filtered apertures, of panes and of ceilings, over a small tree of folders. */
class FilterTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private static final PaneId BOARD = new PaneId(UUID.randomUUID());
    private static final Optional<Seat> SEAT = Optional.of(new Seat(
            new SeatId(UUID.randomUUID()),
            BOARD,
            new ContactId(UUID.randomUUID()),
            SeatRole.READER,
            SeatState.ACCEPTED,
            false));

    private static final Item CLIENT = folder("For the client");
    private static final Item ARTWORK = folder("Artwork", CLIENT);
    private static final Item INTERNAL = folder("Internal");
    private static final Item INNER = folder("For the client", INTERNAL);
    private static final Map<String, Item> ITEMS = Map.of(
            "a top file",
            file("map.pdf"),
            "the client's folder",
            CLIENT,
            "a file in it",
            file("map.pdf", CLIENT),
            "a file deeper down",
            file("map.pdf", ARTWORK, CLIENT),
            "the folder deeper down",
            ARTWORK,
            "a file elsewhere",
            file("costs.csv", INTERNAL),
            "a folder of that name elsewhere",
            INNER,
            "a file named like the folder",
            file("For the client"));

    private static Item folder(String name, Item... above) {
        return item(name, true, above);
    }

    private static Item file(String name, Item... above) {
        return item(name, false, above);
    }

    private static Item item(String name, boolean folder, Item... above) {
        return new Item(
                new ItemId(UUID.randomUUID()),
                ContentKind.FILES,
                name,
                List.of(above).stream()
                        .map(one -> new Item.Ancestor(one.id(), one.name()))
                        .toList(),
                Item.State.THERE,
                Set.of(),
                folder,
                Item.Facts.NONE);
    }

    private static Set<Filter> folders(String names) {
        return names == null
                ? Set.of()
                : Set.of(names.split("\\+")).stream()
                        .map(Filter.Folder::new)
                        .collect(java.util.stream.Collectors.toSet());
    }

    private static Verdict decide(
            Item item,
            Aperture set,
            String ownFolders,
            Aperture ceiling,
            String ceilingFolders,
            Map<ItemId, Setting> settings) {
        PaneSettings both = new PaneSettings(
                Map.of(ContentKind.FILES, set), Map.of(ContentKind.FILES, folders(ownFolders)), settings, Map.of());
        Ceilings ceilings =
                new Ceilings(Map.of(ContentKind.FILES, ceiling), Map.of(ContentKind.FILES, folders(ceilingFolders)));
        return Visibility.decide(
                item,
                new Pane(BOARD, "The board", Optional.of(NOW), Optional.empty(), both, both, ceilings),
                SEAT,
                NOW);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "the client's folder, PASSES_FILTER",
        "a file in it, PASSES_FILTER",
        "a file deeper down, PASSES_FILTER",
        "the folder deeper down, PASSES_FILTER",
        "a top file, NO_FILTER_PASSES",
        "a file elsewhere, NO_FILTER_PASSES",
        "a file named like the folder, NO_FILTER_PASSES",
        "a folder of that name elsewhere, PARENT_NOT_SHOWN"
    })
    void aFolderAtTheTopLetsAllInItPass(String which, Reason expected) {
        assertThat(decide(ITEMS.get(which), Aperture.FILTERED, "For the client", Aperture.OPEN, null, Map.of())
                        .reason())
                .isEqualTo(expected);
    }

    @ParameterizedTest(name = "pane {0} of {1} under {2} of {3}: {4}")
    @CsvSource({
        "OPEN, , FILTERED, For the client, PASSES_FILTER",
        "OPEN, , FILTERED, Internal, CEILING_FILTERED",
        "FILTERED, For the client, FILTERED, For the client+Internal, PASSES_FILTER",
        "FILTERED, For the client, FILTERED, Internal, CEILING_FILTERED",
        "FILTERED, Internal, FILTERED, For the client, NO_FILTER_PASSES",
        "FILTERED, For the client, PICKED, , CEILING_PICKED",
        "FILTERED, For the client, CLOSED, , CEILING_CLOSED",
        "PICKED, , FILTERED, For the client, NOT_PICKED",
        "CLOSED, , FILTERED, For the client, APERTURE_CLOSED",
        "FILTERED, , OPEN, , NO_FILTER_PASSES"
    })
    void paneAndCeilingEachHaveTheirFilters(Aperture set, String own, Aperture ceiling, String above, Reason expected) {
        assertThat(decide(ITEMS.get("a file in it"), set, own, ceiling, above, Map.of())
                        .reason())
                .isEqualTo(expected);
    }

    @Test
    void shownPassesWhereNoFilterDoesAndHeldBackIsOutWhereOneWould() {
        Item elsewhere = ITEMS.get("a file elsewhere");
        Item in = ITEMS.get("a file in it");
        Map<ItemId, Setting> said = new HashMap<>();
        said.put(elsewhere.id(), new Setting(Showing.SHOWN, Actor.kept("Teo"), NOW));
        said.put(in.id(), new Setting(Showing.HELD_BACK, Actor.kept("Teo"), NOW));
        assertThat(decide(elsewhere, Aperture.FILTERED, "For the client", Aperture.FILTERED, "For the client", said)
                        .reason())
                .isEqualTo(Reason.SHOWN);
        assertThat(decide(in, Aperture.FILTERED, "For the client", Aperture.OPEN, null, said)
                        .reason())
                .isEqualTo(Reason.HELD_BACK);
    }

    @Test
    void aFilterThatPassesIsNamed() {
        assertThat(decide(ITEMS.get("a file in it"), Aperture.FILTERED, "For the client", Aperture.OPEN, null, Map.of())
                        .filter())
                .contains(new Filter.Folder("For the client"));
        assertThat(decide(ITEMS.get("a file in it"), Aperture.OPEN, null, Aperture.FILTERED, "For the client", Map.of())
                        .filter())
                .contains(new Filter.Folder("For the client"));
    }

    @Test
    void aKindWithoutFiltersActsAsPicked() {
        Item day = new Item(
                new ItemId(UUID.randomUUID()),
                ContentKind.DELIVERABLES,
                "Opening",
                List.of(),
                Item.State.THERE,
                Set.of());
        PaneSettings both = new PaneSettings(Map.of(ContentKind.DELIVERABLES, Aperture.OPEN), Map.of(), Map.of());
        Ceilings filtered = new Ceilings(Map.of(ContentKind.DELIVERABLES, Aperture.FILTERED));
        assertThat(Visibility.decide(
                                day,
                                new Pane(BOARD, "The board", Optional.of(NOW), Optional.empty(), both, both, filtered),
                                SEAT,
                                NOW)
                        .reason())
                .isEqualTo(Reason.CEILING_PICKED);
    }
}
