package app.clearpane.store.desk;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Clash;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupLabel;
import app.clearpane.core.markup.Place;
import app.clearpane.core.people.Actor;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.core.turns.TurnLedger;
import app.clearpane.core.turns.TurnTally;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.markup.ClashTurns;
import app.clearpane.store.markup.Markups;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is counted in one statement is what the ledgers of the deliverables say, whatever their histories (T1). */
class TurnCountsTest {
    private static final int WORKS = 12;
    private static final int STEPS = 24;
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Deliverables deliverables = new Deliverables(house.db);
    private final Releases releases = new Releases(house.db);
    private final Markups markups = new Markups(house.db);
    private final ClashTurns turns = new ClashTurns(house.db);

    /** One deliverable as its history goes on. */
    private final class History {
        private final Random random;
        private final ItemId id;
        private final PaneId pane;
        private final ContactId jasper;
        private final List<TurnLedger.Event> events = new ArrayList<>();
        private Instant now = AHouse.NOW;
        private int versions;
        private @Nullable Version current;
        private @Nullable RoundId round;
        private @Nullable UUID release;

        private History(Random random, String name, PaneId pane, ContactId jasper) {
            this.random = random;
            this.id = house.deliverable(name, pane);
            this.pane = pane;
            this.jasper = jasper;
        }

        private void goOn() {
            now = now.plusSeconds(60);
            switch (random.nextInt(6)) {
                case 0 -> send();
                case 1 -> close();
                case 2 -> clash();
                case 3 -> settle();
                case 4 -> release();
                default -> recall();
            }
        }

        private void happened(TurnEvent what) {
            events.add(new TurnLedger.Event(what, now));
        }

        private void send() {
            if (round != null) {
                close();
                now = now.plusSeconds(1);
            }
            versions++;
            Version draft = new Version(
                    new VersionId(UUID.randomUUID()),
                    id,
                    null,
                    Sha256.ofText(id + " " + versions),
                    "map.pdf",
                    "application/pdf",
                    9,
                    "",
                    Actor.kept("Teo"),
                    now,
                    null);
            deliverables.addVersion(draft);
            deliverables.numberAndSend(draft, versions, now);
            RoundId opened = new RoundId(UUID.randomUUID());
            deliverables.open(new Round(
                    opened,
                    draft.id(),
                    versions,
                    now,
                    now.plusSeconds(86_400),
                    new Rule.All(),
                    List.of(new Round.Signatory(jasper, "Jasper", true))));
            current = draft;
            round = opened;
            release = null;
            happened(TurnEvent.VERSION_SENT);
        }

        private void close() {
            if (round != null) {
                deliverables.close(round, Outcome.SIGNED, Actor.kept("the last decision"), null, now);
                round = null;
                happened(TurnEvent.ROUND_CLOSED);
            }
        }

        private MarkupId mark() {
            MarkupId mark = new MarkupId(UUID.randomUUID());
            VersionId version = current == null ? new VersionId(UUID.randomUUID()) : current.id();
            int number = markups.marksOf(id).size() + 1;
            markups.add(Mark.placed(
                    mark,
                    version,
                    pane,
                    new MarkupLabel.Numbered(versions, number),
                    new Place.Point(1, 0.5, 0.5),
                    new Mark.Wish(Intent.KEEP, "as it is", Optional.empty()),
                    new Actor.OfClient(jasper, "Jasper"),
                    now,
                    Mark.Beside.NOTHING));
            return mark;
        }

        private List<Round> rounds() {
            return current == null
                    ? List.of()
                    : deliverables.rounds(id).stream()
                            .filter(one -> one.version().equals(current.id()))
                            .toList();
        }

        private void clash() {
            boolean withClient = random.nextBoolean();
            rounds().forEach(one -> {
                turns.open(one.id(), new Clash(mark(), mark()), withClient, now);
                happened(withClient ? TurnEvent.CLASH_WITH_CLIENT : TurnEvent.CLASH_WITH_US);
            });
        }

        private void settle() {
            rounds().stream()
                    .flatMap(one -> one.clashes().stream())
                    .filter(Round.ClashTurn::waits)
                    .findFirst()
                    .ifPresent(turn -> {
                        turns.settle(turn, now);
                        happened(turn.withClient() ? TurnEvent.CLASH_LEFT_CLIENT : TurnEvent.CLASH_LEFT_US);
                    });
        }

        private void release() {
            if (current != null && round == null && release == null) {
                release = UUID.randomUUID();
                releases.add(new Releases.Release(
                        release,
                        id,
                        current.id(),
                        now,
                        Actor.kept("Ines"),
                        null,
                        null,
                        null,
                        null,
                        Optional.empty(),
                        null));
                happened(TurnEvent.RELEASED);
            }
        }

        private void recall() {
            if (release != null) {
                releases.recall(release, new Releases.Recall(now, Actor.kept("Ines"), "the wrong paper"));
                release = null;
                happened(TurnEvent.RECALLED);
            }
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void countsAreWhatTheLedgersSay(long seed) {
        Random random = new Random(seed);
        PaneId pane = house.pane("The board");
        ContactId jasper = house.contact("jasper").id();
        Map<Turn, Integer> held = new EnumMap<>(Turn.class);
        for (int i = 0; i < WORKS; i++) {
            History history = new History(random, "Work " + i, pane, jasper);
            for (int step = random.nextInt(STEPS + 1); step > 0; step--) {
                history.goOn();
            }
            held.merge(new TurnLedger(AHouse.NOW, history.events).holder(), 1, Integer::sum);
        }
        TurnTally counted = new TurnCounts(house.db).ofProject(house.project, LocalDate.of(2027, 3, 24));
        assertThat(Map.of(Turn.OURS, counted.ours(), Turn.CLIENTS, counted.clients(), Turn.NOBODYS, counted.nobodys()))
                .isEqualTo(Map.of(
                        Turn.OURS,
                        held.getOrDefault(Turn.OURS, 0),
                        Turn.CLIENTS,
                        held.getOrDefault(Turn.CLIENTS, 0),
                        Turn.NOBODYS,
                        held.getOrDefault(Turn.NOBODYS, 0)));
        assertThat(new TurnCounts(house.db).workedOn(LocalDate.of(2027, 3, 24)))
                .singleElement()
                .satisfies(worked -> assertThat(worked.turns()).isEqualTo(counted));
    }
}
