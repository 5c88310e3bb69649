package app.clearpane.core.compare;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class CarryOverTest {
    private static final List<PageMatch> PAGES = List.of(
            new PageMatch.Both(1, 1), new PageMatch.Inserted(2), new PageMatch.Both(2, 3), new PageMatch.Removed(3));
    private static final Place.Rectangle MARKED = new Place.Rectangle(2, 0.25, 0.5, 0.25, 0.25);

    private static ChangeMap map(Box beforeAt, Box afterAt) {
        return new ChangeMap(List.of(), 0, true, Registration.Size.SAME, beforeAt, afterAt, 1);
    }

    @Test
    void followsItsPageToItsNewNumber() {
        assertThat(CarryOver.of(MARKED, PAGES, Optional.empty()))
                .contains(new Place.Rectangle(3, 0.25, 0.5, 0.25, 0.25));
    }

    @Test
    void saysThatItsPageIsGone() {
        assertThat(CarryOver.of(new Place.Point(3, 0.5, 0.5), PAGES, Optional.empty()))
                .isEmpty();
        assertThat(CarryOver.of(new Place.Point(9, 0.5, 0.5), PAGES, Optional.empty()))
                .isEmpty();
    }

    @Test
    void movesAsThePagesContentMoved() {
        ChangeMap moved = map(new Box(0.125, -0.25, 1, 1), new Box(0, 0, 1, 1));
        assertThat(CarryOver.of(MARKED, PAGES, Optional.of(moved)))
                .contains(new Place.Rectangle(3, 0.375, 0.25, 0.25, 0.25));
        assertThat(CarryOver.of(new Place.Arrow(1, 0.25, 0.5, 0.5, 0.75), PAGES, Optional.of(moved)))
                .contains(new Place.Arrow(1, 0.375, 0.25, 0.625, 0.5));
        assertThat(CarryOver.of(
                        new Place.Freehand(1, List.of(new Place.Spot(0, 0.25), new Place.Spot(0.5, 0.75))),
                        PAGES,
                        Optional.of(moved)))
                .contains(new Place.Freehand(1, List.of(new Place.Spot(0.125, 0), new Place.Spot(0.625, 0.5))));
    }

    @Test
    void keepsItsPlaceOnAPageThatBecameHigher() {
        ChangeMap higher = map(new Box(0, 0, 1, 0.5), new Box(0, 0, 1, 1));
        assertThat(CarryOver.of(MARKED, PAGES, Optional.of(higher)))
                .contains(new Place.Rectangle(3, 0.25, 0.25, 0.25, 0.125));
    }

    @Test
    void becomesAPointAtTheEdgeWhenItsPlaceLeftThePage() {
        ChangeMap away = map(new Box(0.9, 0, 1, 1), new Box(0, 0, 1, 1));
        assertThat(CarryOver.of(MARKED, PAGES, Optional.of(away))).contains(new Place.Point(3, 1, 0.5));
    }
}
