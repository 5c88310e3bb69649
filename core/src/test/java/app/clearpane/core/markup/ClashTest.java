package app.clearpane.core.markup;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.markup.Clash.Wish;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ClashTest {
    private static final double RATIO = 0.707;
    private static final Place ENTRANCE = new Place.Rectangle(1, 0.6, 0.5, 0.1, 0.1);

    private static Wish wish(int number, String person, Place place, Intent intent) {
        return new Wish(new MarkupId(new UUID(0, number)), person, place, intent, RATIO, Optional.empty());
    }

    private static List<Clash> clashes(Wish... wishes) {
        return Clash.among(List.of(wishes));
    }

    @Test
    void isOneKeepingWhatAnotherWantsChanged() {
        Wish keep = wish(1, "Mirela", ENTRANCE, Intent.KEEP);
        Wish change = wish(2, "Jasper", new Place.Ellipse(1, 0.61, 0.5, 0.1, 0.1), Intent.CHANGE);
        assertThat(clashes(keep, change)).containsExactly(new Clash(keep.mark(), change.mark()));
        assertThat(clashes(change, keep)).containsExactly(new Clash(change.mark(), keep.mark()));
    }

    @ParameterizedTest(name = "not with {0}")
    @EnumSource(
            value = Intent.class,
            names = {"QUESTION", "IDEA", "CHANGE"})
    void needsSomethingToBeKeptAgainstAChange(Intent intent) {
        assertThat(clashes(wish(1, "Mirela", ENTRANCE, intent), wish(2, "Jasper", ENTRANCE, Intent.CHANGE)))
                .isEmpty();
    }

    @Test
    void isNeverBetweenOnePersonsOwnMarks() {
        assertThat(clashes(wish(1, "Jasper", ENTRANCE, Intent.KEEP), wish(2, "Jasper", ENTRANCE, Intent.CHANGE)))
                .isEmpty();
    }

    @Test
    void needsHalfOfTheSmallerPlaceToLieInTheOther() {
        Wish keep = wish(1, "Mirela", ENTRANCE, Intent.KEEP);
        assertThat(clashes(keep, wish(2, "Jasper", new Place.Rectangle(1, 0.6499, 0.5, 0.1, 0.1), Intent.CHANGE)))
                .hasSize(1);
        assertThat(clashes(keep, wish(2, "Jasper", new Place.Rectangle(1, 0.6505, 0.5, 0.1, 0.1), Intent.CHANGE)))
                .isEmpty();
        assertThat(clashes(keep, wish(2, "Jasper", new Place.Rectangle(2, 0.6, 0.5, 0.1, 0.1), Intent.CHANGE)))
                .isEmpty();
        assertThat(clashes(keep, wish(2, "Jasper", new Place.Rectangle(1, 0, 0, 1, 1), Intent.CHANGE)))
                .as("a small place in a large one")
                .hasSize(1);
    }

    @Test
    void takesPointsAndArrowTipsForDiscs() {
        Wish point = wish(1, "Mirela", new Place.Point(1, 0.5, 0.5), Intent.KEEP);
        assertThat(clashes(point, wish(2, "Jasper", new Place.Arrow(1, 0.1, 0.1, 0.505, 0.5), Intent.CHANGE)))
                .hasSize(1);
        assertThat(clashes(point, wish(2, "Jasper", new Place.Arrow(1, 0.5, 0.5, 0.1, 0.1), Intent.CHANGE)))
                .as("its tail says nothing")
                .isEmpty();
        assertThat(clashes(point, wish(2, "Jasper", new Place.Point(1, 0.54, 0.5), Intent.CHANGE)))
                .isEmpty();
    }

    @Test
    void closesWhatWasDrawnByHand() {
        Place ring = new Place.Freehand(
                1,
                List.of(
                        new Place.Spot(0.5, 0.4),
                        new Place.Spot(0.8, 0.4),
                        new Place.Spot(0.8, 0.7),
                        new Place.Spot(0.5, 0.7)));
        assertThat(clashes(wish(1, "Mirela", ENTRANCE, Intent.KEEP), wish(2, "Jasper", ring, Intent.CHANGE)))
                .hasSize(1);
        Place stroke = new Place.Freehand(1, List.of(new Place.Spot(0.1, 0.1), new Place.Spot(0.3, 0.1)));
        assertThat(clashes(
                        wish(1, "Mirela", new Place.Point(1, 0.2, 0.1), Intent.KEEP),
                        wish(2, "Jasper", stroke, Intent.CHANGE)))
                .as("a stroke is as broad as a disc")
                .hasSize(1);
    }

    @Test
    void offersTwoWishesForAChangeAtOnePlaceAsOne() {
        Wish jasper = wish(1, "Jasper", ENTRANCE, Intent.CHANGE);
        Wish mirela = wish(2, "Mirela", new Place.Rectangle(1, 0.58, 0.48, 0.14, 0.14), Intent.CHANGE);
        assertThat(Clash.sameWishes(List.of(jasper, mirela))).containsExactly(new Clash(jasper.mark(), mirela.mark()));
        assertThat(Clash.sameWishes(List.of(jasper, wish(2, "Mirela", ENTRANCE, Intent.KEEP))))
                .isEmpty();
    }
}
