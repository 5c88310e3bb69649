package app.clearpane.core.exposure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ExposureCheck.Kind;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
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

class ExposureCheckTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private static final PaneId BOARD = new PaneId(UUID.randomUUID());
    private static final ContactId JASPER = new ContactId(UUID.randomUUID());
    private static final ContactId MIRELA = new ContactId(UUID.randomUUID());

    private static Item file(String name, ContactId... addressed) {
        return new Item(
                new ItemId(UUID.randomUUID()), ContentKind.FILES, name, List.of(), Item.State.THERE, Set.of(addressed));
    }

    private static PaneSettings files(Aperture aperture, Map<ItemId, Setting> settings) {
        return new PaneSettings(Map.of(ContentKind.FILES, aperture), settings, Map.of());
    }

    private static Setting setting(Showing showing) {
        return new Setting(showing, Actor.kept("Teo"), NOW);
    }

    private static Pane board(PaneSettings published, PaneSettings pending) {
        return new Pane(BOARD, "The board", Optional.of(NOW.minusSeconds(60)), Optional.empty(), published, pending);
    }

    private static Seat seat(ContactId contact, SeatState state) {
        return new Seat(new SeatId(UUID.randomUUID()), BOARD, contact, SeatRole.READER, state, false);
    }

    private static List<Kind> kinds(List<ExposureCheck.Change> changes) {
        return changes.stream().map(ExposureCheck.Change::kind).toList();
    }

    @Test
    void nothingPendingChangesNothing() {
        PaneSettings open = files(Aperture.OPEN, Map.of());
        Seat jasper = seat(JASPER, SeatState.ACCEPTED);
        ExposureCheck check = ExposureCheck.of(List.of(file("Map.pdf")), board(open, open), List.of(jasper), NOW);
        assertThat(check.forAnybody()).isEmpty();
        assertThat(check.of(jasper.id())).isEmpty();
    }

    @Test
    void openingAnApertureGainsWhatIsNotHeldBackAndChangesTheReasonOfWhatWasShown() {
        Item map = file("Map.pdf");
        Item shown = file("Survey.pdf");
        Item held = file("Costs.csv");
        Map<ItemId, Setting> settings =
                Map.of(shown.id(), setting(Showing.SHOWN), held.id(), setting(Showing.HELD_BACK));
        ExposureCheck check = ExposureCheck.of(
                List.of(map, shown, held),
                board(files(Aperture.PICKED, settings), files(Aperture.OPEN, settings)),
                List.of(),
                NOW);
        assertThat(check.items(Kind.GAINED)).containsExactly(map);
        assertThat(check.items(Kind.LOST)).isEmpty();
        ExposureCheck unset = ExposureCheck.of(
                List.of(shown),
                board(files(Aperture.PICKED, settings), files(Aperture.OPEN, Map.of())),
                List.of(),
                NOW);
        assertThat(unset.forAnybody()).singleElement().satisfies(change -> {
            assertThat(change.kind()).isEqualTo(Kind.REASON_CHANGED);
            assertThat(change.before().reason()).isEqualTo(Reason.SHOWN);
            assertThat(change.after().reason()).isEqualTo(Reason.APERTURE_OPEN);
        });
    }

    @Test
    void whatIsHeldBackIsLostThoughItIsHiddenAlready() {
        Item map = file("Map.pdf");
        Pane pane = board(
                files(Aperture.OPEN, Map.of()), files(Aperture.OPEN, Map.of(map.id(), setting(Showing.HELD_BACK))));
        Seat jasper = seat(JASPER, SeatState.ACCEPTED);
        assertThat(ExposureCheck.of(List.of(map), pane, List.of(jasper), NOW).items(Kind.LOST))
                .containsExactly(map);
        assertThat(Visibility.decide(map, pane, Optional.of(jasper), NOW).visible())
                .as("hiding works at once")
                .isFalse();
    }

    @Test
    void theFirstPublishingGainsEverythingThatPasses() {
        Item map = file("Map.pdf");
        Pane never = new Pane(
                BOARD,
                "The board",
                Optional.empty(),
                Optional.empty(),
                PaneSettings.NOTHING,
                files(Aperture.OPEN, Map.of()));
        assertThat(ExposureCheck.of(List.of(map), never, List.of(), NOW).items(Kind.GAINED))
                .containsExactly(map);
    }

    @Test
    void whatIsAddressedToSomebodyChangesForTheOthersOnly() {
        Item asked = file("Sign this.pdf", JASPER);
        Pane pane = board(files(Aperture.CLOSED, Map.of()), files(Aperture.OPEN, Map.of()));
        Seat jasper = seat(JASPER, SeatState.ACCEPTED);
        Seat mirela = seat(MIRELA, SeatState.INVITED);
        ExposureCheck check = ExposureCheck.of(List.of(asked), pane, List.of(jasper, mirela), NOW);
        assertThat(check.of(jasper.id())).isEmpty();
        assertThat(kinds(check.of(mirela.id())))
                .as("counted as if she had come in")
                .containsExactly(Kind.GAINED);
    }

    @Test
    void endedSeatsAreNoPartOfIt() {
        Seat ended = seat(JASPER, SeatState.ENDED);
        ExposureCheck check =
                ExposureCheck.of(List.of(), board(PaneSettings.NOTHING, PaneSettings.NOTHING), List.of(ended), NOW);
        assertThat(check.bySeat()).isEmpty();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> check.of(ended.id()))
                .withMessageContaining("was not part of this check");
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void whatWasSeenWithTheDifferenceAppliedIsWhatWillBeSeen(long seed) {
        Random random = new Random(seed);
        List<ContactId> contacts = List.of(JASPER, MIRELA, new ContactId(UUID.randomUUID()));
        List<Item> items = randomItems(random, contacts);
        Map<ItemId, Setting> everywhere = randomSettings(random, items, 20);
        Pane pane = new Pane(
                BOARD,
                "The board",
                random.nextInt(4) == 0 ? Optional.empty() : Optional.of(NOW),
                Optional.empty(),
                randomPane(random, items, everywhere),
                randomPane(random, items, everywhere),
                new Ceilings(apertures(random)));
        List<Seat> seats = contacts.stream()
                .map(contact -> seat(contact, SeatState.ACCEPTED))
                .toList();
        ExposureCheck check = ExposureCheck.of(items, pane, seats, NOW);
        for (Seat seat : seats) {
            theDifferenceLeadsThere(items, pane, check, seat);
        }
    }

    private void theDifferenceLeadsThere(List<Item> items, Pane pane, ExposureCheck check, Seat seat) {
        Set<ItemId> seen = new HashSet<>(seen(items, pane.asPublished(), seat));
        for (ExposureCheck.Change change : check.of(seat.id())) {
            assertThat(
                            switch (change.kind()) {
                                case GAINED -> seen.add(change.item().id());
                                case LOST -> seen.remove(change.item().id());
                                case REASON_CHANGED ->
                                    seen.contains(change.item().id());
                            })
                    .as("nothing is gained that was seen, nor lost that was not")
                    .isTrue();
        }
        assertThat(seen).isEqualTo(seen(items, pane.afterPublishing(NOW), seat));
    }

    private static Set<ItemId> seen(List<Item> items, Pane pane, Seat seat) {
        return items.stream()
                .filter(item ->
                        Visibility.decide(item, pane, Optional.of(seat), NOW).visible())
                .map(Item::id)
                .collect(Collectors.toSet());
    }

    private static List<Item> randomItems(Random random, List<ContactId> contacts) {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            List<Item.Ancestor> above = items.isEmpty() || random.nextBoolean()
                    ? List.of()
                    : List.of(new Item.Ancestor(
                            items.get(random.nextInt(items.size())).id(), "Folder"));
            Set<ContactId> addressed =
                    random.nextInt(6) == 0 ? Set.of(contacts.get(random.nextInt(contacts.size()))) : Set.of();
            items.add(new Item(
                    new ItemId(UUID.randomUUID()),
                    ContentKind.values()[random.nextInt(ContentKind.values().length)],
                    "Thing " + i,
                    above,
                    random.nextInt(9) == 0 ? Item.State.DELETED : Item.State.THERE,
                    addressed));
        }
        return items;
    }

    private static Map<ItemId, Setting> randomSettings(Random random, List<Item> items, int oneIn) {
        Map<ItemId, Setting> settings = new HashMap<>();
        items.stream()
                .filter(item -> random.nextInt(oneIn) == 0)
                .forEach(item ->
                        settings.put(item.id(), setting(random.nextBoolean() ? Showing.SHOWN : Showing.HELD_BACK)));
        return settings;
    }

    private static PaneSettings randomPane(Random random, List<Item> items, Map<ItemId, Setting> everywhere) {
        return new PaneSettings(apertures(random), randomSettings(random, items, 3), everywhere);
    }

    private static Map<ContentKind, Aperture> apertures(Random random) {
        Map<ContentKind, Aperture> apertures = new EnumMap<>(ContentKind.class);
        for (ContentKind kind : ContentKind.values()) {
            apertures.put(kind, Aperture.values()[random.nextInt(Aperture.values().length)]);
        }
        return apertures;
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "Costs and margins.csv, Costs",
        "map-DRAFT-2.pdf, DRAFT",
        "internal_notes.txt, internal",
        "Costume list.pdf, ''",
        "Internals of the dome.pdf, ''",
        "Draughts.pdf, ''",
        "Not for clients.pdf, Not for clients"
    })
    void aNameThatSaysSoIsWorthASecondLook(String name, String word) {
        Item item = file(name);
        Pane pane = board(files(Aperture.CLOSED, Map.of()), files(Aperture.OPEN, Map.of()));
        List<SecondLook> looks =
                SecondLook.at(ExposureCheck.of(List.of(item), pane, List.of(), NOW), pane, List.of(pane), List.of());
        if (word.isEmpty()) {
            assertThat(looks).isEmpty();
        } else {
            assertThat(looks).containsExactly(new SecondLook(item, SecondLook.Why.NAME, word));
        }
    }

    @Test
    void whatAnotherPaneHoldsBackIsWorthASecondLook() {
        ItemId folder = new ItemId(UUID.randomUUID());
        Item inside = new Item(
                new ItemId(UUID.randomUUID()),
                ContentKind.FILES,
                "Option B.svg",
                List.of(new Item.Ancestor(folder, "Alternatives")),
                Item.State.THERE,
                Set.of());
        Pane fabricators = board(files(Aperture.CLOSED, Map.of()), files(Aperture.OPEN, Map.of()));
        Pane trustees = new Pane(
                new PaneId(UUID.randomUUID()),
                "The trustees",
                Optional.of(NOW),
                Optional.empty(),
                PaneSettings.NOTHING,
                files(Aperture.OPEN, Map.of(folder, setting(Showing.HELD_BACK))));
        assertThat(SecondLook.at(
                        ExposureCheck.of(List.of(inside), fabricators, List.of(), NOW),
                        fabricators,
                        List.of(fabricators, trustees),
                        List.of()))
                .containsExactly(new SecondLook(inside, SecondLook.Why.HELD_BACK_AT_ANOTHER_PANE, "The trustees"));
    }

    @ParameterizedTest(name = "“{0}” names {1}: {2}")
    @CsvSource({
        "Offer of Garrow Signworks.pdf, Garrow Signworks, true",
        "garrow-signworks_offer.pdf, Garrow Signworks, true",
        "Garrow's yard.pdf, Garrow Signworks, false",
        "Signworks of Garrowby.pdf, Garrow Signworks, false",
        "Hob & Barley Mill prices.csv, Hob & Barley Mill, true",
        "All for one.pdf, All, false"
    })
    void anOrganisationThatDoesNotSitHereIsWorthASecondLook(String name, String organisation, boolean looks) {
        Item item =
                new Item(new ItemId(UUID.randomUUID()), ContentKind.FILES, name, List.of(), Item.State.THERE, Set.of());
        PaneSettings open = new PaneSettings(Map.of(ContentKind.FILES, Aperture.OPEN), Map.of(), Map.of());
        Pane pane = new Pane(
                new PaneId(UUID.randomUUID()),
                "The board",
                Optional.of(NOW),
                Optional.empty(),
                PaneSettings.NOTHING,
                open);
        List<SecondLook> found = SecondLook.at(
                ExposureCheck.of(List.of(item), pane, List.of(), NOW), pane, List.of(pane), List.of(organisation));
        assertThat(found.stream()
                        .anyMatch(look -> look.why() == SecondLook.Why.NAMES_ANOTHER
                                && look.what().equals(organisation)))
                .isEqualTo(looks);
    }
}
