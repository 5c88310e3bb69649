package app.clearpane.web.exposure;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.Ceilings;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ExposureCheck;
import app.clearpane.core.exposure.Filter;
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
import app.clearpane.core.exposure.Visibility;
import app.clearpane.core.exposure.Why;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.usecases.exposure.ReasonWords;
import app.clearpane.web.shell.WordsOfATest;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Every reason as the sentence that stands beside an item, from the decision that gives it. */
class ReasonWordsTest {
    private static final Instant NOW = Instant.parse("2027-05-13T09:30:00Z");
    private static final PaneId BOARD = new PaneId(UUID.randomUUID());
    private static final ContactId JASPER = new ContactId(UUID.randomUUID());
    private static final ItemId FOLDER = new ItemId(UUID.randomUUID());
    private static final ItemId MAP = new ItemId(UUID.randomUUID());
    private static final Setting HELD = new Setting(Showing.HELD_BACK, Actor.kept("Teo Brandt"), NOW);
    private static final Setting SHOWN = new Setting(Showing.SHOWN, Actor.kept("Teo Brandt"), NOW);
    private final ReasonWords reasons = new ReasonWords(WordsOfATest.at(NOW));

    private static Item file(Item.State state, ContactId... to) {
        return new Item(
                MAP, ContentKind.FILES, "Map.pdf", List.of(new Item.Ancestor(FOLDER, "Artwork")), state, Set.of(to));
    }

    private static PaneSettings settings(Aperture aperture, Set<Filter> filters, Map<ItemId, Setting> said) {
        return new PaneSettings(
                Map.of(ContentKind.FILES, aperture), Map.of(ContentKind.FILES, filters), said, Map.of());
    }

    private static Pane pane(PaneSettings both, Ceilings ceilings) {
        return new Pane(BOARD, "The board", Optional.of(NOW), Optional.empty(), both, both, ceilings);
    }

    private static Optional<Seat> seat(SeatState state) {
        return Optional.of(new Seat(new SeatId(UUID.randomUUID()), BOARD, JASPER, SeatRole.READER, state, false));
    }

    private String of(Item item, Pane pane, Optional<Seat> seat) {
        return reasons.inWords(Visibility.decide(item, pane, seat, NOW));
    }

    private String seated(Item item, PaneSettings both, Ceilings ceilings) {
        return of(item, pane(both, ceilings), seat(SeatState.ACCEPTED));
    }

    private static Ceilings ceiling(Aperture aperture) {
        return new Ceilings(
                Map.of(ContentKind.FILES, aperture),
                Map.of(ContentKind.FILES, Set.of(new Filter.Folder("For the client"))));
    }

    @Test
    void theDoor() {
        Item map = file(Item.State.THERE);
        PaneSettings open = settings(Aperture.OPEN, Set.of(), Map.of());
        Pane published = pane(open, Ceilings.NONE);
        assertThat(of(map, published, Optional.empty())).isEqualTo("No seat at this pane");
        assertThat(of(map, published, seat(SeatState.INVITED))).isEqualTo("The seat’s link was not opened yet");
        assertThat(of(map, published, seat(SeatState.ENDED))).isEqualTo("The seat was ended");
        assertThat(of(
                        map,
                        new Pane(BOARD, "The board", Optional.empty(), Optional.empty(), open, open),
                        seat(SeatState.ACCEPTED)))
                .isEqualTo("The pane is not published yet");
        outsideItsDays(map, open);
    }

    private void outsideItsDays(Item map, PaneSettings open) {
        assertThat(of(
                        map,
                        new Pane(BOARD, "The board", Optional.of(NOW), Optional.of(NOW), open, open),
                        seat(SeatState.ACCEPTED)))
                .isEqualTo("The pane’s last day is past");
        assertThat(of(
                        map,
                        new Pane(
                                BOARD,
                                "The board",
                                Optional.of(NOW),
                                Optional.empty(),
                                open,
                                open,
                                Ceilings.NONE,
                                Optional.of(NOW.plusSeconds(1))),
                        seat(SeatState.ACCEPTED)))
                .isEqualTo("The pane’s first day is still to come");
    }

    @Test
    void theItemItself() {
        PaneSettings open = settings(Aperture.OPEN, Set.of(), Map.of());
        assertThat(seated(file(Item.State.DELETED), open, Ceilings.NONE)).isEqualTo("Deleted");
        assertThat(seated(file(Item.State.NOT_SENT), open, Ceilings.NONE)).isEqualTo("Not sent yet");
        assertThat(seated(file(Item.State.TEAM_ONLY), open, Ceilings.NONE)).isEqualTo("For the team only");
        assertThat(seated(file(Item.State.THERE), settings(Aperture.OPEN, Set.of(), Map.of(MAP, HELD)), Ceilings.NONE))
                .isEqualTo("Held back by Teo, Thu 13 May");
        assertThat(seated(
                        file(Item.State.THERE), settings(Aperture.OPEN, Set.of(), Map.of(FOLDER, HELD)), Ceilings.NONE))
                .isEqualTo("Held back with “Artwork”, in which it stands, by Teo, Thu 13 May");
        assertThat(seated(
                        file(Item.State.THERE, JASPER),
                        settings(Aperture.CLOSED, Set.of(), Map.of()),
                        ceiling(Aperture.CLOSED)))
                .isEqualTo("Sent to them by name");
        assertThat(seated(
                        file(Item.State.THERE), settings(Aperture.PICKED, Set.of(), Map.of(MAP, SHOWN)), Ceilings.NONE))
                .isEqualTo("Shown by Teo, Thu 13 May");
        assertThat(seated(
                        file(Item.State.THERE),
                        settings(Aperture.PICKED, Set.of(), Map.of(FOLDER, SHOWN)),
                        Ceilings.NONE))
                .isEqualTo("Shown with “Artwork”, in which it stands, by Teo, Thu 13 May");
    }

    @Test
    void apertureAndCeiling() {
        Item map = file(Item.State.THERE);
        Set<Filter> artwork = Set.of(new Filter.Folder("Artwork"));
        assertThat(seated(map, settings(Aperture.OPEN, Set.of(), Map.of()), Ceilings.NONE))
                .isEqualTo("The aperture is open");
        assertThat(seated(map, settings(Aperture.CLOSED, Set.of(), Map.of()), Ceilings.NONE))
                .isEqualTo("The aperture is closed");
        assertThat(seated(map, settings(Aperture.PICKED, Set.of(), Map.of()), Ceilings.NONE))
                .isEqualTo("Not picked");
        assertThat(seated(map, settings(Aperture.FILTERED, artwork, Map.of()), Ceilings.NONE))
                .isEqualTo("It lies in the folder “Artwork”, which passes");
        assertThat(seated(map, settings(Aperture.FILTERED, Set.of(), Map.of()), Ceilings.NONE))
                .isEqualTo("No filter lets it pass");
        assertThat(seated(map, settings(Aperture.OPEN, Set.of(), Map.of()), ceiling(Aperture.CLOSED)))
                .isEqualTo("The agency’s ceiling is closed for this kind");
        assertThat(seated(map, settings(Aperture.OPEN, Set.of(), Map.of()), ceiling(Aperture.PICKED)))
                .isEqualTo("The agency’s ceiling lets only what is shown pass");
        assertThat(seated(map, settings(Aperture.FILTERED, artwork, Map.of()), ceiling(Aperture.FILTERED)))
                .isEqualTo("No filter of the agency’s ceiling lets it pass");
    }

    @Test
    void whatWaitsSaysSo() {
        Pane waits = new Pane(
                BOARD,
                "The board",
                Optional.of(NOW),
                Optional.empty(),
                PaneSettings.NOTHING,
                settings(Aperture.OPEN, Set.of(), Map.of()));
        assertThat(of(file(Item.State.THERE), waits, seat(SeatState.ACCEPTED)))
                .isEqualTo("The aperture is open; seen once published");
    }

    @Test
    void whatChangesForSomebodyIsCounted() {
        Seat jasper = seat(SeatState.ACCEPTED).orElseThrow();
        Pane waits = new Pane(
                BOARD,
                "The board",
                Optional.of(NOW),
                Optional.empty(),
                PaneSettings.NOTHING,
                settings(Aperture.OPEN, Set.of(), Map.of()));
        assertThat(reasons.changes(ExposureCheck.of(List.of(file(Item.State.THERE)), waits, List.of(jasper), NOW)
                        .of(jasper.id())))
                .isEqualTo("gains 1");
        assertThat(reasons.changes(List.of())).isEqualTo("nothing changes");
    }

    @ParameterizedTest
    @EnumSource(Why.Question.class)
    void everyQuestionHasASentenceOfItsOwn(Why.Question question) {
        assertThat(Arrays.stream(Why.Question.values()).map(reasons::question).collect(Collectors.toSet()))
                .hasSize(Why.Question.values().length);
        assertThat(reasons.question(question)).matches("[A-Z].*[^.]");
    }

    @ParameterizedTest
    @EnumSource(Why.Change.class)
    void everyChangeSaysWhatToDoAndPublishingComesLast(Why.Change change) {
        assertThat(reasons.remedy(EnumSet.of(change, Why.Change.PUBLISH), "The board"))
                .matches("[A-Z].*")
                .endsWith(change == Why.Change.PUBLISH ? "Publish The board" : ", then publish The board");
    }

    @ParameterizedTest
    @EnumSource(Aperture.class)
    void theBlindIsDrawnAsFarDownAsItIs(Aperture aperture) {
        assertThat(reasons.blind(aperture, 18)).isEqualTo(List.of(18, 12, 6, 0).get(aperture.ordinal()));
        assertThat(reasons.aperture(aperture))
                .isEqualTo(List.of("Closed", "Picked", "Filtered", "Open").get(aperture.ordinal()));
    }
}
