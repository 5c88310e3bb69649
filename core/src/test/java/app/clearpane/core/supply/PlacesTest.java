package app.clearpane.core.supply;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PlacesTest {
    private static final FileFacts PHOTOGRAPH = FileFacts.ofKind("image/jpeg", 1);
    private static final FileFacts PDF = FileFacts.ofKind("application/pdf", 1);
    private static final FileFacts TEXT = FileFacts.ofKind("text/plain", 1);

    private static RequestPart part(int wanted, FileKind... kinds) {
        return new RequestPart(
                UUID.randomUUID(),
                "part",
                Takes.FILES,
                wanted,
                kinds.length == 0 ? List.of() : List.of(new Check.OfKind(Set.copyOf(List.of(kinds)))),
                List.of(),
                "",
                "");
    }

    @Test
    void filesGoWhereTheyAreAllowedSoThatMostPlacesAreFilled() {
        List<RequestPart> parts = List.of(part(1), part(1, FileKind.PHOTOGRAPH), part(1, FileKind.PDF));
        assertThat(Places.of(parts, List.of(1, 1, 1), List.of(PHOTOGRAPH, PDF, TEXT)))
                .as("the part that takes anything leaves the others what only they take")
                .containsExactly(1, 2, 0);
        assertThat(Places.of(parts, List.of(1, 1, 1), List.of(PHOTOGRAPH, PHOTOGRAPH)))
                .as("in their order")
                .containsExactly(0, 1);
        assertThat(Places.of(parts, List.of(0, 0, 1), List.of(PHOTOGRAPH, PDF, PDF)))
                .as("what has no place stays out")
                .containsExactly(-1, 2, -1);
        assertThat(Places.of(parts, List.of(1, 1, 1), List.of())).isEmpty();
        assertThat(Places.of(List.of(), List.of(), List.of(PDF))).containsExactly(-1);
    }

    static IntStream seeds() {
        return IntStream.range(0, 60);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void noOtherWayFillsMorePlacesOrTheFirstOnesWithEarlierFiles(int seed) {
        Random random = new Random(seed);
        FileKind[] kinds = {FileKind.PHOTOGRAPH, FileKind.PDF, FileKind.TEXT};
        List<RequestPart> parts = IntStream.range(0, 1 + random.nextInt(3))
                .mapToObj(i -> random.nextInt(4) == 0
                        ? part(2)
                        : part(
                                2,
                                kinds[random.nextInt(3)],
                                kinds[random.nextInt(3)] == FileKind.PDF ? FileKind.OTHER : kinds[0]))
                .toList();
        List<Integer> missing = parts.stream().map(part -> random.nextInt(3)).toList();
        List<FileFacts> files = random.ints(random.nextInt(6), 0, 3)
                .mapToObj(i -> List.of(PHOTOGRAPH, PDF, TEXT).get(i))
                .toList();
        assertThat(Places.of(parts, missing, files)).isEqualTo(best(parts, missing, files));
    }

    /** Of all ways whatever, the one that fills most, then the first places, then those with the first files. */
    private static List<Integer> best(List<RequestPart> parts, List<Integer> missing, List<FileFacts> files) {
        List<List<Integer>> ways = new ArrayList<>();
        everyWay(parts, missing, files, new ArrayList<>(), ways);
        return ways.stream()
                .max((one, other) -> compare(order(one, missing), order(other, missing)))
                .orElseThrow();
    }

    private static void everyWay(
            List<RequestPart> parts,
            List<Integer> missing,
            List<FileFacts> files,
            List<Integer> soFar,
            List<List<Integer>> ways) {
        if (soFar.size() == files.size()) {
            ways.add(List.copyOf(soFar));
            return;
        }
        for (int part = -1; part < parts.size(); part++) {
            int number = part;
            boolean fits = part < 0
                    || parts.get(part).allows(files.get(soFar.size()))
                            && soFar.stream().filter(one -> one == number).count() < missing.get(part);
            if (fits) {
                soFar.add(part);
                everyWay(parts, missing, files, soFar, ways);
                soFar.remove(soFar.size() - 1);
            }
        }
    }

    /** How many places are filled; then, place by place, the smaller number of its file the more. */
    private static List<Integer> order(List<Integer> way, List<Integer> missing) {
        List<Integer> order = new ArrayList<>();
        order.add((int) way.stream().filter(part -> part >= 0).count());
        for (int part = 0; part < missing.size(); part++) {
            int number = part;
            List<Integer> own = IntStream.range(0, way.size())
                    .filter(file -> way.get(file) == number)
                    .boxed()
                    .toList();
            for (int place = 0; place < missing.get(part); place++) {
                order.add(place < own.size() ? -own.get(place) : -100);
            }
        }
        return order;
    }

    private static int compare(List<Integer> one, List<Integer> other) {
        OptionalInt differs = IntStream.range(0, one.size())
                .filter(i -> !one.get(i).equals(other.get(i)))
                .findFirst();
        return differs.isEmpty() ? 0 : Integer.compare(one.get(differs.getAsInt()), other.get(differs.getAsInt()));
    }
}
