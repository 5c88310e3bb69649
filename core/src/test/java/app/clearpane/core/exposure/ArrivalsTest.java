package app.clearpane.core.exposure;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What comes and goes without anybody showing it or holding it back (V5). */
class ArrivalsTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private static final ItemId FOLDER = new ItemId(new UUID(0, 1));
    private static final ItemId FILE = new ItemId(new UUID(0, 2));
    private static final ItemId TASK = new ItemId(new UUID(0, 3));
    private static final Setting SHOWN = new Setting(Showing.SHOWN, Actor.kept("Ines"), NOW);

    private static Pane pane(Optional<Instant> published) {
        PaneSettings settings = new PaneSettings(
                Map.of(ContentKind.TASKS, Aperture.FILTERED, ContentKind.FILES, Aperture.PICKED),
                Map.of(ContentKind.TASKS, Set.of(Filter.Trait.FINISHED)),
                Map.of(FOLDER, SHOWN),
                Map.of());
        return new Pane(new PaneId(new UUID(0, 9)), "The board", published, Optional.empty(), settings, settings);
    }

    private static Item file(Item.State state, Item.Ancestor... in) {
        return new Item(FILE, ContentKind.FILES, "Map.pdf", List.of(in), state, Set.of());
    }

    private static Item task(Filter.Trait... traits) {
        return new Item(
                TASK,
                ContentKind.TASKS,
                "Draw",
                List.of(),
                Item.State.THERE,
                Set.of(),
                false,
                new Item.Facts(Set.of(traits)));
    }

    private static Arrivals between(Item before, Item after) {
        List<Pane> panes = List.of(pane(Optional.of(NOW)));
        return Arrivals.between(
                Arrivals.View.of(List.of(before), panes, NOW), Arrivals.View.of(List.of(after), panes, NOW));
    }

    @Test
    void aFileMovedIntoAShownFolderComesAndMovedOutGoes() {
        Item.Ancestor folder = new Item.Ancestor(FOLDER, "Finished artwork");
        assertThat(between(file(Item.State.THERE), file(Item.State.THERE, folder))
                        .came())
                .singleElement()
                .satisfies(one -> assertThat(one.verdict().reason()).isEqualTo(Reason.SHOWN_ABOVE));
        assertThat(between(file(Item.State.THERE, folder), file(Item.State.THERE))
                        .went())
                .singleElement()
                .satisfies(one -> assertThat(one.verdict().reason()).isEqualTo(Reason.NOT_PICKED));
    }

    @Test
    void aTaskThatComesToPassAFilterComesAndGoesWhenItStopsPassing() {
        assertThat(between(task(), task(Filter.Trait.FINISHED)).came())
                .singleElement()
                .satisfies(one -> assertThat(one.verdict().reason()).isEqualTo(Reason.PASSES_FILTER));
        assertThat(between(task(Filter.Trait.FINISHED), task()).went()).hasSize(1);
        assertThat(between(task(Filter.Trait.FINISHED), task(Filter.Trait.FINISHED, Filter.Trait.MILESTONES)))
                .isEqualTo(new Arrivals(List.of(), List.of()));
    }

    @Test
    void whatIsDeletedGoesAndWhoWouldSeeItAgainIsKnown() {
        Item.Ancestor folder = new Item.Ancestor(FOLDER, "Finished artwork");
        assertThat(between(file(Item.State.THERE, folder), file(Item.State.DELETED, folder))
                        .went())
                .singleElement()
                .satisfies(one -> assertThat(one.verdict().reason()).isEqualTo(Reason.DELETED));
        assertThat(Arrivals.ifBroughtBack(file(Item.State.DELETED, folder), List.of(pane(Optional.of(NOW))), NOW))
                .hasSize(1);
        assertThat(Arrivals.ifBroughtBack(file(Item.State.DELETED), List.of(pane(Optional.of(NOW))), NOW))
                .isEmpty();
        assertThat(Arrivals.ifBroughtBack(file(Item.State.DELETED, folder), List.of(pane(Optional.empty())), NOW))
                .as("not published")
                .isEmpty();
    }
}
