package app.clearpane.store.exposure;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.exposure.client.Viewers;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What whoever has a link is let through, and for how long. */
class LinkSeatsTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final LinkSeats links = new LinkSeats(house.db);
    private final Viewers viewers = new Viewers(house.db, AHouse::today);
    private final Panes panes = new Panes(house.db);
    private final PaneId board = house.pane("The board");

    private SeatId link(boolean mayMark, @Nullable Instant expires) {
        SeatId id = new SeatId(UUID.randomUUID());
        return links.add(
                new LinkSeats.Link(
                        id, board, "Printers", mayMark, false, expires, null, Actor.kept("Ines"), AHouse.NOW, 0, null),
                Sha256.ofText(id.toString()),
                null);
    }

    private Optional<Viewer> comes(SeatId link, Optional<String> name, Instant when) {
        return viewers.byLink(board, Sha256.ofText(link.toString()), name, when);
    }

    private void publish() {
        panes.setAperture(board, ContentKind.FILES, Aperture.OPEN);
        panes.publish(panes.find(board).orElseThrow(), AHouse.NOW);
    }

    @Test
    void opensNothingBeforeThePaneIsPublishedNorAnotherPane() {
        SeatId link = link(false, null);
        assertThat(comes(link, Optional.empty(), AHouse.NOW)).isEmpty();
        publish();
        assertThat(comes(link, Optional.empty(), AHouse.NOW)).isPresent();
        assertThat(viewers.byLink(
                        house.pane("Fabricators"), Sha256.ofText(link.toString()), Optional.empty(), AHouse.NOW))
                .isEmpty();
        assertThat(comes(new SeatId(UUID.randomUUID()), Optional.empty(), AHouse.NOW))
                .isEmpty();
    }

    @Test
    void onlyWhoSaidWhoTheyAreMarksUpAndOnlyWhereTheLinkAllowsIt() {
        publish();
        assertThat(comes(link(true, null), Optional.of("Ana"), AHouse.NOW)
                        .orElseThrow()
                        .role())
                .isEqualTo(SeatRole.REVIEWER);
        assertThat(comes(link(true, null), Optional.empty(), AHouse.NOW)
                        .orElseThrow()
                        .role())
                .isEqualTo(SeatRole.READER);
        assertThat(comes(link(false, null), Optional.of("Ana"), AHouse.NOW)
                        .orElseThrow()
                        .role())
                .isEqualTo(SeatRole.READER);
        assertThat(comes(link(false, null), Optional.empty(), AHouse.NOW).orElseThrow())
                .matches(Viewer::byLink)
                .matches(viewer -> viewer.open(ContentKind.FILES))
                .matches(viewer -> !viewer.open(ContentKind.DATES));
    }

    @Test
    void endsOnItsLastDayAndWithBeingTakenBackUntilItGetsAnotherKey() {
        publish();
        SeatId brief = link(false, AHouse.NOW.plusSeconds(60));
        assertThat(comes(brief, Optional.empty(), AHouse.NOW.plusSeconds(59))).isPresent();
        assertThat(comes(brief, Optional.empty(), AHouse.NOW.plusSeconds(60))).isEmpty();
        SeatId taken = link(false, null);
        links.revoke(taken, AHouse.NOW);
        assertThat(comes(taken, Optional.empty(), AHouse.NOW)).isEmpty();
        assertThat(links.find(taken).orElseThrow().opensAt(AHouse.NOW)).isFalse();
        links.renew(taken, Sha256.ofText("another"));
        assertThat(comes(taken, Optional.empty(), AHouse.NOW))
                .as("whoever came by the key before")
                .isEmpty();
        assertThat(viewers.byLink(board, Sha256.ofText("another"), Optional.empty(), AHouse.NOW))
                .isPresent();
        assertThat(links.findByKey(Sha256.ofText(taken.toString())))
                .as("the key before")
                .isEmpty();
        assertThat(links.findByKey(Sha256.ofText("another"))).isPresent();
    }

    @Test
    void openingsAreCountedAndListedNewestFirst() {
        SeatId link = link(true, null);
        links.opened(link, new LinkSeats.Opening(AHouse.NOW, null, null));
        links.opened(link, new LinkSeats.Opening(AHouse.NOW.plusSeconds(9), "Ana", "ana@printers.example"));
        assertThat(links.find(link).orElseThrow())
                .matches(found -> found.openings() == 2)
                .matches(found -> AHouse.NOW.plusSeconds(9).equals(found.lastOpened()));
        assertThat(links.openings(link, 10))
                .extracting(LinkSeats.Opening::guestName)
                .containsExactly("Ana", null);
        assertThat(links.ofProject(house.project)).hasSize(1);
    }
}
