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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The chain behind a decision, and what would change it. */
class WhyTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private static final PaneId BOARD = new PaneId(UUID.randomUUID());
    private static final ContactId JASPER = new ContactId(UUID.randomUUID());
    private static final Seat SEAT =
            new Seat(new SeatId(UUID.randomUUID()), BOARD, JASPER, SeatRole.READER, SeatState.ACCEPTED, false);
    private static final ItemId FOLDER = new ItemId(UUID.randomUUID());
    private static final Item MAP = new Item(
            new ItemId(UUID.randomUUID()),
            ContentKind.FILES,
            "Map.pdf",
            List.of(new Item.Ancestor(FOLDER, "Alternatives")),
            Item.State.THERE,
            Set.of());
    private static final Setting HELD = new Setting(Showing.HELD_BACK, Actor.kept("Teo"), NOW);

    private static Pane pane(Aperture aperture, Map<ItemId, Setting> settings) {
        PaneSettings both = new PaneSettings(Map.of(ContentKind.FILES, aperture), settings, Map.of());
        return new Pane(BOARD, "The board", Optional.of(NOW), Optional.empty(), both, both);
    }

    private static Why why(Pane pane) {
        return Why.of(MAP, pane, Optional.of(SEAT), SEAT, NOW);
    }

    private static List<Why.Question> asked(Why why) {
        return why.steps().stream().map(Why.Step::question).toList();
    }

    @Test
    void theChainEndsWithTheQuestionThatSettledIt() {
        Why notPicked = why(pane(Aperture.PICKED, Map.of()));
        assertThat(asked(notPicked)).containsExactly(Why.Question.values());
        assertThat(notPicked.steps().get(11).yes()).isFalse();
        Why held = why(pane(Aperture.OPEN, Map.of(FOLDER, HELD)));
        assertThat(asked(held)).endsWith(Why.Question.IS_NOT_HELD_BACK);
        assertThat(held.steps().stream().limit(6)).allMatch(Why.Step::yes);
        assertThat(asked(Why.of(MAP, pane(Aperture.OPEN, Map.of()), Optional.empty(), SEAT, NOW)))
                .containsExactly(Why.Question.HAS_A_SEAT);
    }

    @Test
    void theSmallestSetsOfChangesAreOffered() {
        assertThat(why(pane(Aperture.PICKED, Map.of())).remedies())
                .containsExactlyInAnyOrder(
                        Set.of(Why.Change.SHOW, Why.Change.PUBLISH),
                        Set.of(Why.Change.OPEN_THE_APERTURE, Why.Change.PUBLISH));
        assertThat(why(pane(Aperture.OPEN, Map.of(FOLDER, HELD))).remedies())
                .containsExactly(Set.of(Why.Change.LET_GO_ABOVE, Why.Change.PUBLISH));
        assertThat(why(pane(Aperture.OPEN, Map.of())).remedies())
                .containsExactlyInAnyOrder(
                        Set.of(Why.Change.HOLD_BACK),
                        Set.of(Why.Change.CLOSE_THE_APERTURE),
                        Set.of(Why.Change.END_THE_SEAT));
    }

    @Test
    void whatIsHiddenButNotYetTakenAwayComesBackByLettingGo() {
        PaneSettings published = new PaneSettings(Map.of(ContentKind.FILES, Aperture.OPEN), Map.of(), Map.of());
        PaneSettings pending =
                new PaneSettings(Map.of(ContentKind.FILES, Aperture.OPEN), Map.of(MAP.id(), HELD), Map.of());
        assertThat(why(new Pane(BOARD, "The board", Optional.of(NOW), Optional.empty(), published, pending))
                        .remedies())
                .first()
                .isEqualTo(Set.of(Why.Change.LET_GO));
    }

    @Test
    void whatWaitsForPublishingNeedsNothingElse() {
        PaneSettings published = new PaneSettings(Map.of(), Map.of(), Map.of());
        PaneSettings pending = new PaneSettings(Map.of(ContentKind.FILES, Aperture.OPEN), Map.of(), Map.of());
        assertThat(why(new Pane(BOARD, "The board", Optional.of(NOW), Optional.empty(), published, pending))
                        .remedies())
                .containsExactly(Set.of(Why.Change.PUBLISH));
    }

    @Test
    void aPaneBeforeItsFirstDayShowsNothingYet() {
        Pane open = pane(Aperture.OPEN, Map.of());
        Pane later = new Pane(
                BOARD,
                "The board",
                open.publishedAt(),
                open.until(),
                open.published(),
                open.pending(),
                Ceilings.NONE,
                Optional.of(NOW.plusSeconds(1)));
        assertThat(why(later).verdict().reason()).isEqualTo(Reason.PANE_NOT_OPEN_YET);
        assertThat(why(later).remedies()).containsExactly(Set.of(Why.Change.EARLIER_FIRST_DAY));
        Pane now = new Pane(
                BOARD,
                "The board",
                open.publishedAt(),
                open.until(),
                open.published(),
                open.pending(),
                Ceilings.NONE,
                Optional.of(NOW));
        assertThat(why(now).verdict().visible()).isTrue();
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void whateverTheSettingsTheLastStepSettlesAndTheAnswerIsTheRules(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 200; i++) {
            Map<ItemId, Setting> settings = new HashMap<>();
            List.of(MAP.id(), FOLDER).stream()
                    .filter(id -> random.nextBoolean())
                    .forEach(id -> settings.put(
                            id,
                            new Setting(
                                    random.nextBoolean() ? Showing.SHOWN : Showing.HELD_BACK, Actor.kept("Teo"), NOW)));
            Pane pane = anyPane(random, settings);
            Optional<Seat> seat = random.nextInt(6) == 0
                    ? Optional.empty()
                    : Optional.of(new Seat(
                            SEAT.id(), BOARD, JASPER, SeatRole.READER, SeatState.values()[random.nextInt(3)], false));
            Why why = Why.of(MAP, pane, seat, SEAT, NOW);
            assertThat(why.verdict()).isEqualTo(Visibility.decide(MAP, pane, seat, NOW));
            assertThat(why.remedies())
                    .as("there is always a way: %s", why.verdict())
                    .isNotEmpty();
            onlyTheLastStepSettles(why);
        }
    }

    private Pane anyPane(Random random, Map<ItemId, Setting> settings) {
        PaneSettings published =
                new PaneSettings(Map.of(ContentKind.FILES, Aperture.values()[random.nextInt(4)]), Map.of(), Map.of());
        PaneSettings pending = new PaneSettings(
                Map.of(ContentKind.FILES, Aperture.values()[random.nextInt(4)]),
                settings,
                random.nextInt(5) == 0 ? Map.of(FOLDER, HELD) : Map.of());
        Pane pane = new Pane(
                BOARD,
                "The board",
                random.nextInt(4) == 0 ? Optional.empty() : Optional.of(NOW),
                random.nextInt(6) == 0 ? Optional.of(NOW) : Optional.empty(),
                published,
                pending,
                random.nextInt(4) == 0
                        ? new Ceilings(Map.of(ContentKind.FILES, Aperture.values()[random.nextInt(4)]))
                        : Ceilings.NONE);
        return pane;
    }

    private void onlyTheLastStepSettles(Why why) {
        List<Why.Step> steps = new ArrayList<>(why.steps());
        Why.Step last = steps.remove(steps.size() - 1);
        assertThat(steps)
                .allMatch(step -> step.yes()
                        || step.question() == Why.Question.WAS_SENT_BY_NAME
                        || step.question() == Why.Question.IS_SHOWN);
        assertThat(last.yes())
                .isEqualTo(why.verdict().visible() || why.verdict().waits() && last.yes());
    }
}
