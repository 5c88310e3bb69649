package app.clearpane.web.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.clearpane.core.markup.MarginLayout;
import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What the page works out about its margins is what the core works out: the same cases, and as many by chance. */
class MarginScriptTest extends Journey {
    private static final Path CASES = Path.of("../core/src/test/resources/app/clearpane/core/markup/margin-layout.csv");
    private static final String TOPS = "async one => (await import('/js/markup/margin-layout.js'))"
            + ".tops(one.wanted.map((wantedTop, i) => ({ wantedTop, height: one.heights[i] })), one.gap, one.length)";
    private static final String SIDES = "async one => (await import('/js/markup/margin-layout.js'))"
            + ".sides(one.wanted, one.heights, one.gap, one.length)";
    private Someone somebody;

    @BeforeEach
    void opensAnyPage() {
        somebody = atDesk().goes("/sign-in");
    }

    private static List<Double> numbers(String listed) {
        return listed.isEmpty()
                ? List.of()
                : Arrays.stream(listed.split(" ")).map(Double::valueOf).toList();
    }

    private List<?> run(String script, List<Double> wanted, List<Double> heights, double gap, double length) {
        return (List<?>) somebody.page.evaluate(
                script, Map.of("wanted", wanted, "heights", heights, "gap", gap, "length", length));
    }

    @Test
    void theScriptDoesWhatTheExamplesSay() throws IOException {
        CSVFormat format = withAHeader();
        try (Reader file = Files.newBufferedReader(CASES)) {
            List<CSVRecord> cases = format.parse(file).getRecords();
            assertThat(cases).hasSizeGreaterThan(5);
            for (CSVRecord one : cases) {
                List<Double> wanted = numbers(one.get("wanted"));
                List<Double> heights = numbers(one.get("heights"));
                double gap = Double.parseDouble(one.get("gap"));
                double length = Double.parseDouble(one.get("length"));
                if (one.get("what").equals("sides")) {
                    assertThat(String.join(
                                    " ",
                                    run(SIDES, wanted, heights, gap, length).stream()
                                            .map(String::valueOf)
                                            .toList()))
                            .as(one.get("why"))
                            .isEqualTo(one.get("expected"));
                } else {
                    isClose(one.get("why"), run(TOPS, wanted, heights, gap, length), numbers(one.get("expected")));
                }
            }
        }
    }

    private CSVFormat withAHeader() throws IOException {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        return format;
    }

    private static void isClose(String why, List<?> found, List<Double> expected) {
        assertThat(found).as(why).hasSameSizeAs(expected);
        for (int i = 0; i < expected.size(); i++) {
            assertThat(((Number) found.get(i)).doubleValue())
                    .as(why + ", note " + i)
                    .isCloseTo(expected.get(i), within(1e-6));
        }
    }

    @Test
    void theScriptAgreesWithTheCoreOnAnyNotes() {
        for (long seed = 1; seed <= 40; seed++) {
            Random random = new Random(seed);
            int count = random.nextInt(12);
            List<Double> heights = random.doubles(count, 10, 120).boxed().toList();
            List<Double> across = random.doubles(count).boxed().toList();
            List<Double> down = random.doubles(count, -40, 700).sorted().boxed().toList();
            List<MarginLayout.Note> notes = IntStream.range(0, count)
                    .mapToObj(i -> new MarginLayout.Note(down.get(i), heights.get(i)))
                    .toList();
            isClose("seed " + seed, run(TOPS, down, heights, 12, 640), MarginLayout.tops(notes, 12, 640));
            assertThat(run(SIDES, across, heights, 12, 300).stream().map(String::valueOf))
                    .as("seed " + seed)
                    .containsExactlyElementsOf(MarginLayout.sides(across, heights, 12, 300).stream()
                            .map(Enum::name)
                            .toList());
        }
    }
}
