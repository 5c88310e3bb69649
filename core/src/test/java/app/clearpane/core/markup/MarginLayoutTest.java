package app.clearpane.core.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.clearpane.core.markup.MarginLayout.Note;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.ValueSource;

class MarginLayoutTest {
    private static final double GAP = 2;

    /** The same cases that the script of the page is held to. */
    @ParameterizedTest(name = "{0}")
    @CsvFileSource(resources = "margin-layout.csv", numLinesToSkip = 1)
    void standsAsInTheExamples(
            String why, String what, double gap, double length, String wanted, String heights, String expected) {
        List<Double> places = numbers(wanted);
        List<Double> tall = numbers(heights);
        List<?> placed = what.equals("sides")
                ? MarginLayout.sides(places, tall, gap, length)
                : MarginLayout.tops(
                        IntStream.range(0, places.size())
                                .mapToObj(i -> new Note(places.get(i), tall.get(i)))
                                .toList(),
                        gap,
                        length);
        assertThat(placed.stream().map(Object::toString))
                .isEqualTo(
                        what.equals("sides")
                                ? words(expected)
                                : numbers(expected).stream()
                                        .map(Object::toString)
                                        .toList());
    }

    private static List<String> words(@Nullable String listed) {
        return listed == null ? List.of() : List.of(listed.split(" "));
    }

    private static List<Double> numbers(@Nullable String listed) {
        return words(listed).stream().map(Double::valueOf).toList();
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
