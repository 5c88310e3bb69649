package app.clearpane.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SearchWordsTest {
    @ParameterizedTest
    @CsvSource({
        "Ottoline Vance,ottoline vance",
        "Quill-Adeyemi,adeyemi quill",
        "ÉTÉ à Čapek,a capek ete",
        "İstanbul,istanbul",
        "ﬁnal ﬁle,file final",
        "1·2,1 2",
        "map map MAP,map",
        "🦊🦊 fox,fox 🦊🦊",
        "'— , .',''",
        "ottoline@penwether.example,example ottoline penwether"
    })
    void areWithoutCaseAndAccentsEachOnce(String text, String words) {
        assertThat(String.join(" ", SearchWords.of(text))).isEqualTo(words);
    }

    @Test
    void areThoseOfWhoDidItOfWhatAndOfAllThatWasSaidButNotOfIds() {
        RecordEntry.What what = aMarkAndItsWords();
        assertThat(SearchWords.of(what))
                .containsExactly(
                        "a",
                        "and",
                        "bigger",
                        "ground",
                        "he",
                        "jasper",
                        "map",
                        "mark.placed",
                        "ottoline",
                        "quill",
                        "said",
                        "slash",
                        "visitor");
    }

    private RecordEntry.What aMarkAndItsWords() {
        RecordEntry.What what = new RecordEntry.What(
                "mark.placed",
                "Jasper Quill",
                "Visitor map",
                CanonicalJson.of(Map.of(
                        "mark",
                        "06211551-3d14-4fab-8665-8d5ffdbccd48",
                        "said",
                        "He said \"bigger\"\nand a \\ slash",
                        "to",
                        List.of("Ottoline", Map.of("deep", "ground")),
                        "forTeam",
                        true)));
        return what;
    }

    @Test
    void aDigestIsOneWordAndLongerOnesAreCutWhereACharacterEnds() {
        assertThat(SearchWords.of("ab".repeat(32))).containsExactly("ab".repeat(32));
        assertThat(SearchWords.of("x" + "🦊".repeat(300))).singleElement().satisfies(word -> assertThat(word)
                .hasSizeLessThanOrEqualTo(SearchWords.LONGEST)
                .endsWith("🦊"));
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void everyStringComesOutOfThePayloadAsItWentIn(long seed) {
        Random random = new Random(seed);
        List<String> put = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            StringBuilder text = new StringBuilder();
            random.ints(random.nextInt(40), 0, 0x2FFFF)
                    .filter(c -> c < 0xD800 || c > 0xDFFF)
                    .forEach(c -> text.appendCodePoint(
                            random.nextInt(3) == 0 ? "\"\\/:,{}[]\n\t\r\b\f\u0001".charAt(random.nextInt(15)) : c));
            put.add(text.toString());
        }
        assertThat(CanonicalJson.of(Map.of("\"a\":b", put)).strings()).isEqualTo(put);
    }

    @Test
    void aLongNoteIsReadToItsEnd() {
        String note = String.join(
                "\n", IntStream.range(0, 50_000).mapToObj(i -> "\"" + i + "\"").toList());
        assertThat(CanonicalJson.of(Map.of("said", note)).strings()).containsExactly(note);
    }
}
