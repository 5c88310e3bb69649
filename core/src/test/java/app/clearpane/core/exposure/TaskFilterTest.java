package app.clearpane.core.exposure;

import static app.clearpane.core.exposure.Filter.Trait.FINISHED;
import static app.clearpane.core.exposure.Filter.Trait.MILESTONES;
import static app.clearpane.core.exposure.Filter.Trait.PHASE_HEADS;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Tasks under apertures and filters: 1 (milestone), 2 (finished, held back), 3 (shown), 4, 5 (milestone, finished). */
class TaskFilterTest {
    private static final Instant NOW = Instant.parse("2027-03-01T09:00:00Z");
    private static final PaneId BOARD = new PaneId(UUID.randomUUID());
    private static final ContactId JASPER = new ContactId(UUID.randomUUID());
    private static final ContactId MIRELA = new ContactId(UUID.randomUUID());
    private static final Map<Integer, Set<Filter.Trait>> TRAITS = Map.of(
            1, Set.of(MILESTONES), 2, Set.of(FINISHED), 3, Set.of(), 4, Set.of(), 5, Set.of(MILESTONES, FINISHED));

    private static ItemId id(int number) {
        return new ItemId(new UUID(0, number));
    }

    private static Item task(int number, Set<ContactId> given) {
        return new Item(
                id(number),
                ContentKind.TASKS,
                "task " + number,
                List.of(),
                Item.State.THERE,
                given,
                false,
                new Item.Facts(TRAITS.get(number)));
    }

    private static List<Integer> seen(ContactId who, Ceilings ceilings, PaneSettings own, Set<ContactId> four) {
        Pane pane = new Pane(BOARD, "The board", Optional.of(NOW), Optional.empty(), own, own, ceilings);
        Seat seat = new Seat(new SeatId(UUID.randomUUID()), BOARD, who, SeatRole.READER, SeatState.ACCEPTED, false);
        List<Integer> seen = new ArrayList<>();
        for (int number = 1; number <= 5; number++) {
            if (Visibility.decide(task(number, number == 4 ? four : Set.of()), pane, Optional.of(seat), NOW)
                    .visible()) {
                seen.add(number);
            }
        }
        return seen;
    }

    private static Set<Filter> filters(String names) {
        return names == null
                ? Set.of()
                : Set.of(names.split("\\+")).stream()
                        .map(name -> Filter.of(ContentKind.TASKS, name))
                        .collect(Collectors.toSet());
    }

    @ParameterizedTest(name = "ceiling {0} {1}, pane {2} {3}: {4}; with 4 given to Jasper {5}")
    @CsvSource({
        "FILTERED, MILESTONES, OPEN, , '1, 3, 5', '1, 3, 4, 5'",
        "OPEN, , PICKED, , 3, '3, 4'",
        "FILTERED, MILESTONES, FILTERED, FINISHED, '3, 5', '3, 4, 5'",
        "CLOSED, , OPEN, , '', 4",
        "OPEN, , FILTERED, MILESTONES+FINISHED, '1, 3, 5', '1, 3, 4, 5'",
        "OPEN, , OPEN, , '1, 3, 4, 5', '1, 3, 4, 5'",
        "OPEN, , FILTERED, , 3, '3, 4'",
        "PICKED, , OPEN, , 3, '3, 4'"
    })
    void letsThroughWhatTheTiersAgreeOn(
            Aperture ceiling, String ceilingFilters, Aperture aperture, String own, String everybody, String jasper) {
        Map<ItemId, Setting> said = Map.of(
                id(2),
                new Setting(Showing.HELD_BACK, Actor.kept("Teo"), NOW),
                id(3),
                new Setting(Showing.SHOWN, Actor.kept("Teo"), NOW));
        Ceilings ceilings =
                new Ceilings(Map.of(ContentKind.TASKS, ceiling), Map.of(ContentKind.TASKS, filters(ceilingFilters)));
        PaneSettings settings = new PaneSettings(
                Map.of(ContentKind.TASKS, aperture), Map.of(ContentKind.TASKS, filters(own)), said, Map.of());
        assertThat(seen(MIRELA, ceilings, settings, Set.of(JASPER))).hasToString("[" + everybody + "]");
        assertThat(seen(JASPER, ceilings, settings, Set.of(JASPER))).hasToString("[" + jasper + "]");
    }

    @ParameterizedTest(name = "a finished task in one that is {0}: {1}")
    @CsvSource({
        "FINISHED, PASSES_FILTER",
        ", PARENT_NOT_SHOWN",
        "PHASE_HEADS, PASSES_FILTER",
        "MILESTONES, PARENT_NOT_SHOWN"
    })
    void keepsOutWhatStandsInATaskThatDoesNotPass(Filter.Trait above, Reason reason) {
        Item.Ancestor ancestor = new Item.Ancestor(id(9), "whole", above == null ? Set.of() : Set.of(above));
        Item inside = new Item(
                id(7),
                ContentKind.TASKS,
                "part",
                List.of(ancestor),
                Item.State.THERE,
                Set.of(),
                false,
                new Item.Facts(Set.of(FINISHED)));
        PaneSettings settings = new PaneSettings(
                Map.of(ContentKind.TASKS, Aperture.FILTERED),
                Map.of(ContentKind.TASKS, Set.of(FINISHED, PHASE_HEADS)),
                Map.of(),
                Map.of());
        Pane pane = new Pane(BOARD, "The board", Optional.of(NOW), Optional.empty(), settings, settings, Ceilings.NONE);
        Seat seat = new Seat(new SeatId(UUID.randomUUID()), BOARD, MIRELA, SeatRole.READER, SeatState.ACCEPTED, false);
        assertThat(Visibility.decide(inside, pane, Optional.of(seat), NOW).reason())
                .isEqualTo(reason);
    }

    /** A filtered child of what is visible by name is visible to whoever that was given to, and to nobody else. */
    @Test
    void letsThroughWhatStandsInATaskThatIsSeenByName() {
        Item.Ancestor whole = new Item.Ancestor(id(9), "whole", Item.Facts.NONE, Set.of(JASPER));
        Item.Ancestor top = new Item.Ancestor(id(8), "top", Set.of());
        Item inside = new Item(
                id(7),
                ContentKind.TASKS,
                "part",
                List.of(whole, top),
                Item.State.THERE,
                Set.of(),
                false,
                new Item.Facts(Set.of(FINISHED)));
        PaneSettings settings = new PaneSettings(
                Map.of(ContentKind.TASKS, Aperture.FILTERED),
                Map.of(ContentKind.TASKS, Set.of(FINISHED)),
                Map.of(),
                Map.of());
        Pane pane = new Pane(BOARD, "The board", Optional.of(NOW), Optional.empty(), settings, settings, Ceilings.NONE);
        for (ContactId who : List.of(JASPER, MIRELA)) {
            Seat seat = new Seat(new SeatId(UUID.randomUUID()), BOARD, who, SeatRole.READER, SeatState.ACCEPTED, false);
            assertThat(Visibility.decide(inside, pane, Optional.of(seat), NOW).reason())
                    .isEqualTo(who.equals(JASPER) ? Reason.PASSES_FILTER : Reason.PARENT_NOT_SHOWN);
        }
    }

    /**
     * What is still to be done passes by its day; what waits for whoever looks passes for them alone, under what they
     * see.
     */
    @ParameterizedTest(name = "with {1} days left, late {2}, held by Jasper {3}: {0} lets Jasper {4}, Mirela {5}")
    @CsvSource({
        "DUE_WITHIN_5, 5, false, false, true, true",
        "DUE_WITHIN_5, 6, false, false, false, false",
        "DUE_WITHIN_5, , true, false, false, false",
        "DUE_WITHIN_0, 0, false, false, true, true",
        "LATE, , true, false, true, true",
        "LATE, 0, false, false, false, false",
        "WAITS_FOR_VIEWER, , false, true, true, false",
        "WAITS_FOR_VIEWER, 1, false, false, false, false"
    })
    void passesByTheDayAndByWhoLooks(
            String filter, Integer left, boolean late, boolean held, boolean jasper, boolean mirela) {
        Item.Facts facts = new Item.Facts(
                late ? Set.of(Filter.Trait.LATE) : Set.of(),
                left == null ? OptionalInt.empty() : OptionalInt.of(left),
                held ? Set.of(JASPER) : Set.of());
        Item task = new Item(id(4), ContentKind.TASKS, "task", List.of(), Item.State.THERE, Set.of(), false, facts);
        Filter one = Filter.of(ContentKind.TASKS, filter);
        assertThat(one.text()).isEqualTo(filter);
        assertThat(one.passes(task, JASPER)).isEqualTo(jasper);
        assertThat(one.passes(task, MIRELA)).isEqualTo(mirela);
        assertThat(task.concerned()).isEqualTo(held ? Set.of(JASPER) : Set.of());
    }

    @ParameterizedTest
    @ValueSource(strings = {"DUE_WITHIN_", "DUE_WITHIN_-1", "DUE_WITHIN_251", "DUE_WITHIN_x"})
    void refusesDaysThatAreNone(String filter) {
        assertThatIllegalArgumentException().isThrownBy(() -> Filter.of(ContentKind.TASKS, filter));
        assertThat(Filter.of(ContentKind.FILES, filter)).isEqualTo(new Filter.Folder(filter));
    }

    @Test
    void knowsTheFiltersOfAKind() {
        assertThat(Filter.of(ContentKind.FILES, "FINISHED")).isEqualTo(new Filter.Folder("FINISHED"));
        assertThatIllegalArgumentException().isThrownBy(() -> Filter.of(ContentKind.TASKS, "Artwork"));
        assertThat(ContentKind.TASKS.filterable()).isTrue();
        assertThat(ContentKind.STATUS.filterable()).isFalse();
        assertThat(ContentKind.STATUS.filters()).isEmpty();
    }
}
