package app.clearpane.core.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.clearpane.core.markup.MarginLayout.Margin;
import app.clearpane.core.markup.MarginLayout.Note;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MarginLayoutTest {
    private static final double GAP = 2;

    @Test
    void leavesNotesThatHaveRoomWhereTheyWantToBe() {
        assertThat(MarginLayout.tops(List.of(Note.centredAt(10, 8), Note.centredAt(50, 8)), GAP, 100))
                .containsExactly(6.0, 46.0);
        assertThat(MarginLayout.tops(List.of(), GAP, 100)).isEmpty();
    }

    @Test
    void sharesTheDisplacementOfNotesThatWantTheSamePlace() {
        assertThat(MarginLayout.tops(List.of(new Note(40, 10), new Note(40, 10)), GAP, 100))
                .containsExactly(34.0, 46.0);
    }

    @Test
    void keepsToTheSheetAndRunsPastItsEndOnlyWhenItMust() {
        assertThat(MarginLayout.tops(List.of(new Note(-20, 10), new Note(95, 10)), GAP, 100))
                .containsExactly(0.0, 90.0);
        assertThat(MarginLayout.tops(List.of(new Note(50, 60), new Note(50, 60)), GAP, 100))
                .containsExactly(0.0, 62.0);
    }

    /** No overlap, order kept, and no whole-number placement within the sheet displaces less. */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void isOptimal(long seed) {
        Random random = new Random(seed);
        for (int round = 0; round < 40; round++) {
            List<Note> notes = IntStream.range(0, 1 + random.nextInt(3))
                    .mapToObj(i -> new Note(random.nextInt(30) - 4, 1 + random.nextInt(6)))
                    .toList();
            List<Double> tops = MarginLayout.tops(notes, GAP, 26);
            for (int i = 1; i < tops.size(); i++) {
                assertThat(tops.get(i))
                        .isGreaterThanOrEqualTo(
                                tops.get(i - 1) + notes.get(i - 1).height() + GAP - 1e-9);
            }
            assertThat(cost(notes, tops)).isLessThanOrEqualTo(best(notes, new ArrayList<>(), 26) + 1e-9);
        }
    }

    private static double best(List<Note> notes, List<Double> sofar, double length) {
        if (sofar.size() == notes.size()) {
            return cost(notes, sofar);
        }
        double best = Double.POSITIVE_INFINITY;
        int at = sofar.size();
        double first = at == 0 ? 0 : sofar.get(at - 1) + notes.get(at - 1).height() + GAP;
        for (double top = first; top + notes.get(at).height() <= length; top += 0.5) {
            sofar.add(top);
            best = Math.min(best, best(notes, sofar, length));
            sofar.remove(at);
        }
        return best;
    }

    private static double cost(List<Note> notes, List<Double> tops) {
        return IntStream.range(0, notes.size())
                .mapToDouble(i -> Math.pow(tops.get(i) - notes.get(i).wantedTop(), 2))
                .sum();
    }

    @Test
    void putsNotesOnTheNearerSideUntilItIsFull() {
        assertThat(MarginLayout.sides(List.of(0.1, 0.9, 0.4), List.of(10.0, 10.0, 10.0), GAP, 100))
                .containsExactly(Margin.LEFT, Margin.RIGHT, Margin.LEFT);
        assertThat(MarginLayout.sides(List.of(0.1, 0.45, 0.3, 0.2), List.of(10.0, 10.0, 10.0, 10.0), GAP, 40))
                .containsExactly(Margin.LEFT, Margin.RIGHT, Margin.LEFT, Margin.LEFT);
        assertThat(MarginLayout.sides(List.of(), List.of(), GAP, 40)).isEmpty();
    }

    @Test
    void movesAllByTheSameWhenEverythingMoves() {
        List<Note> notes = List.of(new Note(3, 2), new Note(4, 2), new Note(9, 2));
        List<Note> lower = notes.stream()
                .map(note -> new Note(note.wantedTop() + 7, note.height()))
                .toList();
        List<Double> tops = MarginLayout.tops(notes, GAP, 1_000);
        List<Double> lowerTops = MarginLayout.tops(lower, GAP, 1_000);
        IntStream.range(0, 3)
                .forEach(i -> assertThat(lowerTops.get(i) - tops.get(i)).isCloseTo(7, within(1e-9)));
    }
}
