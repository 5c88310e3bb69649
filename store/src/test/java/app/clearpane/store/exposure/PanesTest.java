package app.clearpane.store.exposure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Filter;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Section;
import app.clearpane.core.exposure.Setting;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.people.Actor;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.Stale;
import app.clearpane.store.files.ProjectFiles;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Publishing, discarding, following the starting point: what is published and what is pending after each. */
class PanesTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Panes panes = new Panes(house.db);
    private final AgencyApertures agency = new AgencyApertures(house.db);
    private final PaneId board = house.pane("The board");

    private List<Boolean> following() {
        Panes.Row row = panes.find(board).orElseThrow();
        return List.of(row.follows(), row.willFollow());
    }

    private List<Panes.Arrivals> arrivals() {
        return panes.all(house.project).arrivals();
    }

    private Pane now() {
        return panes.withSettings(house.project).stream()
                .filter(pane -> pane.id().equals(board))
                .findFirst()
                .orElseThrow();
    }

    private void publish() {
        panes.publish(panes.find(board).orElseThrow(), AHouse.NOW);
    }

    private void startingPoint(Aperture aperture) {
        agency.setStartingPoint(ContentKind.FILES, aperture, Actor.kept("Bastian"), AHouse.NOW);
    }

    @Test
    void aNewPaneFollowsTheStartingPointLive() {
        assertThat(now().pending().aperture(ContentKind.FILES)).isEqualTo(Aperture.CLOSED);
        startingPoint(Aperture.PICKED);
        assertThat(now().pending().aperture(ContentKind.FILES)).isEqualTo(Aperture.PICKED);
        publish();
        startingPoint(Aperture.OPEN);
        assertThat(now().published().aperture(ContentKind.FILES)).isEqualTo(Aperture.OPEN);
    }

    @Test
    void whatWasJustDoneIsSeenBeforeItIsCommitted() {
        ItemId file = house.deliverable("Leaflet", board);
        house.db.transaction(inside -> {
            Panes there = new Panes(inside.dsl());
            assertThat(there.isHeldBackEverywhere(file)).isFalse();
            there.holdBackEverywhere(file, Actor.kept("Bastian"), AHouse.NOW);
            assertThat(there.isHeldBackEverywhere(file)).isTrue();
            there.letGo(file);
            assertThat(there.isHeldBackEverywhere(file)).isFalse();
        });
    }

    @Test
    void givingItItsOwnCopiesTheValuesOfThatMoment() {
        startingPoint(Aperture.PICKED);
        panes.giveItsOwn(board);
        startingPoint(Aperture.OPEN);
        assertThat(now().pending().aperture(ContentKind.FILES)).isEqualTo(Aperture.PICKED);
        assertThat(following()).isEqualTo(List.of(true, false));
    }

    @Test
    void settingAnApertureGivesItItsOwnAndKeepsTheOthers() {
        startingPoint(Aperture.PICKED);
        panes.setAperture(board, ContentKind.DATES, Aperture.OPEN);
        assertThat(now().pending().aperture(ContentKind.DATES)).isEqualTo(Aperture.OPEN);
        assertThat(now().pending().aperture(ContentKind.FILES)).isEqualTo(Aperture.PICKED);
        startingPoint(Aperture.CLOSED);
        assertThat(now().pending().aperture(ContentKind.FILES))
                .as("no longer follows")
                .isEqualTo(Aperture.PICKED);
    }

    @Test
    void goingBackToTheStartingPointWaitsForPublishing() {
        panes.setAperture(board, ContentKind.FILES, Aperture.CLOSED);
        publish();
        startingPoint(Aperture.OPEN);
        panes.follow(board);
        assertThat(now().published().aperture(ContentKind.FILES)).isEqualTo(Aperture.CLOSED);
        assertThat(now().pending().aperture(ContentKind.FILES)).isEqualTo(Aperture.OPEN);
        publish();
        assertThat(now().published().aperture(ContentKind.FILES)).isEqualTo(Aperture.OPEN);
        assertThat(following()).isEqualTo(List.of(true, true));
    }

    @Test
    void discardingSetsEverythingAsItWasPublished() {
        ItemId file = new Items(house.db, AHouse::today)
                .add(house.project, ContentKind.FILES, "Map.pdf", java.util.Optional.empty(), AHouse.NOW);
        panes.setAperture(board, ContentKind.FILES, Aperture.PICKED);
        panes.setShowing(board, file, new Setting(Showing.SHOWN, Actor.kept("Teo"), AHouse.NOW));
        publish();
        panes.setAperture(board, ContentKind.FILES, Aperture.OPEN);
        panes.setShowing(board, file, new Setting(Showing.HELD_BACK, Actor.kept("Teo"), AHouse.NOW));
        panes.follow(board);
        panes.discard(panes.find(board).orElseThrow());
        assertThat(now().pending()).isEqualTo(now().published());
        assertThat(now().pending().aperture(ContentKind.FILES)).isEqualTo(Aperture.PICKED);
        assertThat(now().pending().settings().get(file).showing()).isEqualTo(Showing.SHOWN);
        assertThat(following()).isEqualTo(List.of(false, false));
    }

    @Test
    void whatSomebodyElseChangedMeanwhileIsNotPublishedOver() {
        Panes.Row seen = panes.find(board).orElseThrow();
        publish();
        assertThatExceptionOfType(Stale.class).isThrownBy(() -> panes.publish(seen, AHouse.NOW));
        assertThatExceptionOfType(Stale.class).isThrownBy(() -> panes.discard(seen));
        assertThatExceptionOfType(Stale.class).isThrownBy(() -> panes.change(seen));
    }

    @Test
    void publishingAgainKeepsTheDayOfTheFirst() {
        publish();
        panes.publish(panes.find(board).orElseThrow(), AHouse.NOW.plusSeconds(3600));
        assertThat(now().publishedAt()).contains(AHouse.NOW);
    }

    @Test
    void ceilingsAreReadWithThePanesAndCountWhoIsAboveThem() {
        panes.setAperture(board, ContentKind.FILES, Aperture.OPEN);
        publish();
        agency.setCeiling(ContentKind.FILES, Aperture.PICKED, Actor.kept("Bastian"), AHouse.NOW);
        agency.setCeiling(ContentKind.FILES, Aperture.CLOSED, Actor.kept("Bastian"), AHouse.NOW);
        assertThat(now().ceilings().of(ContentKind.FILES)).isEqualTo(Aperture.CLOSED);
        assertThat(now().ceilings().of(ContentKind.DATES)).isEqualTo(Aperture.OPEN);
        assertThat(agency.startingPoint().of(ContentKind.FILES))
                .as("a ceiling leaves the starting point alone")
                .isEqualTo(Aperture.CLOSED);
        assertThat(agency.inUse()).contains(new AgencyApertures.InUse(ContentKind.FILES, Aperture.OPEN, false, 1));
    }

    @Test
    void filtersWaitForPublishingAndAreDroppedByDiscarding() {
        panes.setAperture(board, ContentKind.FILES, Aperture.FILTERED);
        panes.setFilters(board, ContentKind.FILES, Set.of("Artwork", "For the client"));
        assertThat(now().published().filters(ContentKind.FILES)).isEmpty();
        publish();
        assertThat(now().published().filters(ContentKind.FILES))
                .containsExactlyInAnyOrder(new Filter.Folder("Artwork"), new Filter.Folder("For the client"));
        panes.setFilters(board, ContentKind.FILES, Set.of("Artwork"));
        assertThat(now().pending().filters(ContentKind.FILES)).containsExactly(new Filter.Folder("Artwork"));
        panes.discard(panes.find(board).orElseThrow());
        assertThat(now().pending().filters(ContentKind.FILES)).hasSize(2);
    }

    @Test
    void aPaneGivenItsOwnTakesTheFiltersOfTheStartingPointAlong() {
        startingPoint(Aperture.FILTERED);
        agency.setStartingFolders(ContentKind.FILES, Set.of("For the client"));
        assertThat(now().pending().filters(ContentKind.FILES)).containsExactly(new Filter.Folder("For the client"));
        panes.giveItsOwn(board);
        agency.setStartingFolders(ContentKind.FILES, Set.of());
        assertThat(now().pending().filters(ContentKind.FILES)).containsExactly(new Filter.Folder("For the client"));
    }

    @Test
    void whatArrivesShownIsSeenAtOnceAndOnlyWhereItWasSetSo() {
        panes.setArrivals(board, ContentKind.FILES, true, Actor.kept("Ines"), AHouse.NOW);
        panes.setArrivals(board, ContentKind.FILES, true, Actor.kept("Ines"), AHouse.NOW);
        assertThat(arrivals())
                .containsExactly(new Panes.Arrivals(board, ContentKind.FILES, Actor.kept("Ines"), AHouse.NOW));
        ItemId item = new Items(house.db, AHouse::today)
                .add(house.project, ContentKind.FILES, "Map.pdf", Optional.empty(), AHouse.NOW);
        panes.arriveShown(board, item, Actor.kept("Ines"), AHouse.NOW);
        assertThat(now().published().settings().get(item).showing()).isEqualTo(Showing.SHOWN);
        assertThat(now().pending().settings().get(item).showing()).isEqualTo(Showing.SHOWN);
        panes.setArrivals(board, ContentKind.FILES, false, Actor.kept("Ines"), AHouse.NOW);
        assertThat(arrivals()).isEmpty();
    }

    @Test
    void aCopyTakesOverWhatPassesAndTheWordsButIsSeenByNobodyYet() {
        ItemId item = new Items(house.db, AHouse::today)
                .add(house.project, ContentKind.FILES, "Map.pdf", Optional.empty(), AHouse.NOW);
        panes.setAperture(board, ContentKind.FILES, Aperture.FILTERED);
        panes.setFilters(board, ContentKind.FILES, Set.of("Artwork"));
        panes.setArrivals(board, ContentKind.DATES, true, Actor.kept("Ines"), AHouse.NOW);
        panes.setShowing(board, item, new Setting(Showing.HELD_BACK, Actor.kept("Teo"), AHouse.NOW));
        panes.setSections(board, List.of(new Section(ContentKind.FILES, 0, "Drawings", "To build from.", false)));
        publish();
        PaneId copy = panes.copy(board, house.project, "Fabricators", AHouse.NOW);
        Pane copied = panes.withSettings(house.project).stream()
                .filter(pane -> pane.id().equals(copy))
                .findFirst()
                .orElseThrow();
        assertThat(copied.publishedAt()).isEmpty();
        assertThat(copied.published().aperture(ContentKind.FILES)).isEqualTo(Aperture.CLOSED);
        assertThat(copied.pending().aperture(ContentKind.FILES)).isEqualTo(Aperture.FILTERED);
        assertThat(copied.pending().filters(ContentKind.FILES)).containsExactly(new Filter.Folder("Artwork"));
        assertThat(copied.pending().settings().get(item).showing()).isEqualTo(Showing.HELD_BACK);
        assertThat(panes.sections(copy)).extracting(Section::title).containsExactly("Drawings");
        assertThat(arrivals()).extracting(Panes.Arrivals::pane).containsExactlyInAnyOrder(board, copy);
    }

    @Test
    void whatAClientKeepsStaysOutOfPanesThatAreMadeLater() {
        ItemId own = new Items(house.db, AHouse::today)
                .add(house.project, ContentKind.FILES, "Ours", Optional.empty(), AHouse.NOW);
        new ProjectFiles(house.db).addFolderOf(board, own);
        panes.arriveShown(board, own, Actor.kept("Mirela"), AHouse.NOW);
        PaneId like = panes.copy(board, house.project, "Fabricators", AHouse.NOW);
        PaneId blank = house.pane("Guests");
        for (PaneId made : List.of(like, blank, board)) {
            panes.holdBackOwnOfOthers(made, house.project, Actor.kept("Ines"), AHouse.NOW);
            Showing here = panes.withSettings(house.project).stream()
                    .filter(pane -> pane.id().equals(made))
                    .findFirst()
                    .orElseThrow()
                    .pending()
                    .settings()
                    .get(own)
                    .showing();
            assertThat(here).isEqualTo(made.equals(board) ? Showing.SHOWN : Showing.HELD_BACK);
        }
    }

    @Test
    void manyThingsAreSetAtOnceAndUnsetAgain() {
        List<ItemId> many = java.util.stream.IntStream.range(0, 1_200)
                .mapToObj(i -> new Items(house.db, AHouse::today)
                        .add(house.project, ContentKind.FILES, "File " + i, Optional.empty(), AHouse.NOW))
                .toList();
        panes.setShowings(board, many.subList(0, 700), Showing.SHOWN, Actor.kept("Ines"), AHouse.NOW);
        panes.setShowings(board, many, Showing.HELD_BACK, Actor.kept("Ines"), AHouse.NOW);
        assertThat(now().pending().settings())
                .hasSize(1_200)
                .allSatisfy((item, setting) -> assertThat(setting.showing()).isEqualTo(Showing.HELD_BACK));
        panes.setShowings(board, many, Showing.UNSET, Actor.kept("Ines"), AHouse.NOW);
        assertThat(now().pending().settings()).isEmpty();
    }
}
